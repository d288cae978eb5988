# frozen_string_literal: true

require "parser/current"
require "rspec/core"

module Hobrin
  module Tools
    # Changes one thing of a rule at a time, such as < to <= or 0.33 to 0.34, and asks whether the specs
    # beside it notice. What they do not notice is a threshold without an example on either side.
    #
    # Each mutant runs in a process of its own: the changed file is loaded over the one that is there.
    class Mutation
      CERTAINTY = %w[spec/core/appraisal/certainty/boundaries_spec.rb spec/core/appraisal/certainty_spec.rb].freeze
      private_constant :CERTAINTY

      # Rules and the specs that hold them.
      RULES = {
        "lib/hobrin/appraisal/certainty/risk_of_bias.rb" => CERTAINTY,
        "lib/hobrin/appraisal/certainty/inconsistency.rb" => CERTAINTY,
        "lib/hobrin/appraisal/certainty/indirectness.rb" => CERTAINTY,
        "lib/hobrin/appraisal/certainty/imprecision.rb" => %w[spec/core/appraisal/certainty_spec.rb],
        "lib/hobrin/appraisal/certainty/information_size.rb" => %w[spec/core/appraisal/certainty_spec.rb],
        "lib/hobrin/appraisal/certainty/publication_bias.rb" => CERTAINTY,
        "lib/hobrin/appraisal/certainty/worthwhile.rb" => %w[spec/core/appraisal/certainty_spec.rb],
        "lib/hobrin/appraisal/certainty.rb" => %w[spec/core/appraisal/certainty_spec.rb],
        "lib/hobrin/appraisal/level.rb" => %w[spec/core/appraisal_spec.rb],
        "lib/hobrin/appraisal/finding.rb" => %w[spec/core/appraisal/findings_spec.rb],
        "lib/hobrin/appraisal/synthesis/integrity_warnings.rb" => %w[spec/core/appraisal/synthesis_spec.rb],
        "lib/hobrin/brief/claim.rb" => %w[spec/core/brief/claim_spec.rb],
        "lib/hobrin/brief/measure/reading.rb" => %w[spec/core/brief/measure_spec.rb],
        "lib/hobrin/statistics/run_chart.rb" => %w[spec/core/statistics/control_chart_spec.rb],
        "lib/hobrin/statistics/control_chart.rb" => %w[spec/core/statistics/control_chart_spec.rb],
        "lib/hobrin/statistics/agreement.rb" => %w[spec/core/statistics/agreement_spec.rb],
        "lib/hobrin/statistics/pooling.rb" => %w[spec/core/statistics/pooling_spec.rb],
        "lib/hobrin/screening/stopping_estimate.rb" => %w[spec/core/screening/prediction_spec.rb],
        "lib/hobrin/narrowing/target.rb" => %w[spec/core/narrowing/target_spec.rb spec/core/narrowing/outlook_spec.rb]
      }.freeze
      SWAPS = { :< => :<=, :<= => :<, :> => :>=, :>= => :>, :== => :!=, :!= => :==, :+ => :-, :- => :+,
                :min => :max, :max => :min, :any? => :none?, :all? => :any?, :positive? => :negative?,
                :first => :last, :last => :first }.freeze
      private_constant :SWAPS

      # A change: what stood there, what stands there instead, from and to as places in the text.
      class Mutant < Value
        attributes :file, :line, :from, :to, :was, :now

        def text(source) = source[0...from] + now + source[to..]
        def to_s = "#{file}:#{line} #{was} → #{now}"
      end

      # files :: some of RULES; share :: of the mutants that are tried, 0 to 1; rng :: Random
      def initialize(files: RULES.keys, share: 1.0, rng: Random.new(32), out: $stdout)
        @files = files
        @share = share
        @rng = rng
        @out = out
      end

      # Gives a Hash of each file to [killed, tried].
      def call
        @files.to_h do |file|
          mutants = mutants_of(file).select { @rng.rand < @share }
          alive = mutants.reject { |mutant| killed?(mutant) }
          alive.each { |mutant| @out.puts "  alive: #{mutant}" }
          @out.puts "#{file}: #{mutants.size - alive.size} of #{mutants.size} killed"
          [file, [mutants.size - alive.size, mutants.size]]
        end
      end

      # Array of Mutant.
      def mutants_of(file)
        source = File.read(file)
        found = []
        walk(Parser::CurrentRuby.parse(source)) { |range, now| found << mutant(file, range, now) }
        found
      end

      private

      def mutant(file, range, now)
        Mutant.new(file:, line: range.line, from: range.begin_pos, to: range.end_pos, was: range.source, now:)
      end

      def walk(node, &)
        return unless node.is_a?(Parser::AST::Node)

        changes(node, &)
        node.children.each { |child| walk(child, &) }
      end

      def changes(node)
        case node.type.name
        when "send", "csend"
          swap = SWAPS[node.children[1]]
          yield node.location.selector, swap.to_s if swap && node.children[0]
        when "and" then yield node.location.operator, node.location.operator.source == "and" ? "or" : "||"
        when "or" then yield node.location.operator, node.location.operator.source == "or" ? "and" : "&&"
        when "int" then yield node.location.expression, (node.children[0] + 1).to_s
        when "float" then yield node.location.expression, (node.children[0] * 1.1).round(4).to_s
        when "true" then yield node.location.expression, "false"
        when "false" then yield node.location.expression, "true"
        end
      end

      # In a process of its own. A mutant that cannot be loaded, or that never ends, counts as killed.
      def killed?(mutant)
        pid = fork { exit!(specs_pass?(mutant) ? 0 : 1) }
        Timeout.timeout(120) { Process.wait(pid) }
        !$CHILD_STATUS.success?
      rescue Timeout::Error
        Process.kill(:KILL, pid)
        Process.wait(pid)
        true
      end

      def specs_pass?(mutant)
        [$stdout, $stderr].each { |stream| stream.reopen(File::NULL) }
        $VERBOSE = nil
        TOPLEVEL_BINDING.eval(mutant.text(File.read(mutant.file)), File.expand_path(mutant.file))
        RSpec::Core::Runner.run(["--fail-fast", "--order", "defined", *RULES.fetch(mutant.file)]).zero?
      rescue Exception # rubocop:disable Lint/RescueException
        false
      end
    end
  end
end
