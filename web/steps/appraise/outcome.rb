# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # An outcome: its papers together, how sure that is, and what the outcome is.
        class Outcome
          PARTS = { "together" => "Pooled", "certainty" => "Certainty", "without" => "Leave-one-out",
                    "time" => "Cumulative",
                    "groups" => "Subgroups", "small" => "Small-study effects", "is" => "Outcome" }.freeze
          private_constant :PARTS

          # An open trap: of :: in words; fields :: of the presses that settle it; path :: to the
          #   numbers
          class Snare < Value
            attributes :trap, :of, :fields, :path
          end

          # A result that is not counted: back :: fields that count it again, nil where nothing
          #   helps
          class Aside < Value
            attributes :study, :why, :back
          end

          # pool :: Appraisal::Synthesis::Pool; told :: Brief::Words::OfResult; is :: Described
          attr_reader :page, :outcome, :pool, :told, :certainty, :is

          # Pictures of it: Forest, Forest::Lines, SmallPapers and Forest::OfHundred, the last nil while no paper counts.
          attr_reader :forest, :lines, :small, :hundred

          # page :: Page; outcome :: Appraisal::Outcome
          def initialize(page, outcome)
            @page = page
            @outcome = outcome
            @pool = page.pool(outcome)
            @told = Brief::Words::OfResult.new(outcome.measure)
            @certainty = Certainty.new(self, page.certainty(outcome))
            @is = Described.new(page, outcome)
            read_pictures
            freeze
          end

          # What is open: the key of a part.
          def part
            parts_offered.key?(page.fields.text(:part)) ? page.fields.text(:part) : "together"
          end

          # How much it matters and which way is better, in words.
          def about
            matters = Appraisal::Outcome::MATTERS.fetch(outcome.matters)
            outcome.kind == "test" ? matters : "#{matters} · #{Appraisal::Outcome::BETTER.fetch(outcome.better)}"
          end

          # Who is compared with whom, in words; nil for a share or a test.
          def compared = (pool.arms.words if outcome.sort.compares?)

          # The name of the measure with the level of its intervals.
          def measured = "#{outcome.measure.name.sub(/\A./, &:upcase)} (#{outcome.way.level} %)"

          # [name, path, whether it is open]
          def parts
            parts_offered.map do |key, name|
              [name, page.path_to_outcome(outcome, part: (key unless key == "together")),
               key == part]
            end
          end

          def view = part == "together" ? "appraise/together" : "appraise/#{part}"

          def snares
            pool.open_traps.map do |trap|
              Snare.new(trap:, of: trap.of.map { |study| named(study) }.join(", "),
                        fields: fields_of(trap.study).merge(trap: trap.key),
                        path: page.path_to_numbers(trap.study.record, outcome, result: trap.study.number))
            end
          end

          def asides
            pool.aside.map do |study|
              why = study.reported.aside
              silent = study.reported.irreversible ? :irreversible : :nothing
              Aside.new(study:, why: Appraisal::Synthesis::WHY.fetch(why || silent),
                        back: why && fields_of(study).merge(do: "back"))
            end
          end

          # What a press about a result sends.
          def fields_of(study) = { outcome: outcome.id, paper: study.id, result: study.number }

          # The ways to put together: [value, name, whether it is chosen].
          def measures
            outcome.sort.measures.map { |key| [key, Appraisal::Outcome::Measure.fetch(key).name, key == outcome.way.measure] }
          end

          def models
            fits = Appraisal::Outcome::Way::MODELS.reject { |key, _| key == :mantel_haenszel && outcome.way.weighed.nil? }
            fits.map { |key, name| [key, name, key == outcome.way.model] }
          end

          def levels
            Appraisal::Outcome::Way::LEVELS.map { |level| [level, "#{level} %", level == outcome.way.level] }
          end

          # What the pooled value rests on, in sentences.
          def facts = pool.pooled ? Brief::PooledFacts.new(pool).call : []

          # Why nothing is pooled, in a sentence; nil where something is.
          def unpooled
            return if pool.pooled
            return "No paper reports numbers for it yet." if pool.studies.empty?
            if pool.open_traps.any?
              return "Nothing is pooled while a trap is open: something would count twice, or " \
                     "does not belong."
            end
            return "Only one paper: nothing to pool." if pool.studies.size == 1

            "Not pooled: look at the papers individually."
          end

          # The papers one by one: how many lie on which side, the middle effect and the range; nil
          # where they are pooled or there is only one.
          def side_by_side
            return if pool.pooled || pool.studies.size < 2 || pool.measure.nothing.nil?

            less = pool.results.count { |result| result.effect.negative? }
            low, middle, high = pool.range
            "#{less} of #{pool.studies.size} lie on the side of less. Their middle effect is " \
              "#{told.value(middle)}, from #{told.range(low, high)}."
          end

          private

          def read_pictures
            @forest = Forest.new(self)
            @lines = Forest::Lines.new(self)
            @small = SmallPapers.new(self)
            @hundred = Forest::OfHundred.new(self) if pool.studies.any?
          end

          # A result of the same paper by what tells it apart, another paper by its short name.
          def named(one) = one.is_a?(Appraisal::Synthesis::Study) ? one.apart : one.short_name

          def parts_offered = PARTS

          # How sure an outcome is: what was proposed and why, what a person set, and what comes of
          # it.
          class Certainty
            STEPS = { 2 => "up two levels", 1 => "up one level", 0 => "no change", -1 => "down one level",
                      -2 => "down two levels" }.freeze
            private_constant :STEPS

            # A reason: proposed, said :: steps in words; choices :: of the select; by :: what a
            #   person wrote
            class Line < Value
              attributes :domain, :name, :proposed, :why, :said, :choices, :by
            end

            # part :: Outcome, or Accuracy; certainty :: Appraisal::Certainty, nil where no paper is counted
            def initialize(part, certainty)
              @part = part
              @certainty = certainty
              freeze
            end

            def any? = !@certainty.nil?
            def level = @certainty.level
            def word = @certainty.word

            def start
              "#{@certainty.start_why} " \
                "#{"Upgrading applies only to low-certainty evidence that has not been downgraded." if @certainty.start == 2}"
            end

            def lines
              @certainty.lines.map do |line|
                Line.new(domain: line.domain, name: Appraisal::Certainty::DOMAINS.fetch(line.domain),
                         proposed: STEPS.fetch(line.proposed),
                         why: line.why, said: said(line), choices: choices(line), by: by(line))
              end
            end

            # The domain at which something was refused, or nil.
            def refused = (@part.page.fields.text(:domain) if @part.page.errors.any?)

            private

            def said(line)
              steps = STEPS.fetch(line.steps)
              return steps if line.steps.zero? || @certainty.counts?(line)

              "#{steps}, not counted: #{@certainty.start == 4 ? "it starts high" : "something is rated down"}"
            end

            def by(line)
              line.domain.to_s == refused ? @part.page.fields.text(:why) : line.judgement&.why.to_s
            end

            def choices(line)
              typed = @part.page.fields.text(:steps) if line.domain.to_s == refused
              chosen = typed || line.judgement&.steps.to_s
              steps = line.up? ? [0, 1, 2] : [0, -1, -2]
              [["", "as proposed", chosen.empty?]] + steps.map { |step| [step, STEPS.fetch(step), step.to_s == chosen] }
            end
          end
        end
      end
    end
  end
end
