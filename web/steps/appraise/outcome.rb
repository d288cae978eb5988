# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # An outcome: its papers together, how sure that is, and what the outcome is.
        class Outcome
          PARTS = %w[together certainty without time groups small is].freeze
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
            parts_offered.include?(page.fields.text(:part)) ? page.fields.text(:part) : "together"
          end

          # How much it matters and which way is better, in words.
          def about
            matters = Appraisal::Outcome::MATTERS.fetch(outcome.matters)
            outcome.kind == "test" ? matters : "#{matters} · #{Appraisal::Outcome::BETTER.fetch(outcome.better)}"
          end

          # Who is compared with whom, in words; nil for a share or a test.
          def compared = (pool.arms.words if outcome.sort.compares?)

          # The name of the measure with the level of its intervals.
          def measured = "#{outcome.measure.name.sub(/\A./, &:upcase)} (#{outcome.way.level} % CI)"

          # [name, path, whether it is open]
          def parts
            parts_offered.map do |key|
              [Book.t("appraise.outcome.part.#{key}"), page.path_to_outcome(outcome, part: (key unless key == "together")),
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
            return Book.t("appraise.outcome.no_data") if pool.studies.empty?
            return Book.t("appraise.outcome.blocked") if pool.open_traps.any?
            return Book.t("appraise.outcome.one_paper") if pool.studies.size == 1

            Book.t("appraise.outcome.individually")
          end

          # The papers one by one: how many lie on which side, the middle effect and the range; nil
          # where they are pooled or there is only one.
          def side_by_side
            return if pool.pooled || pool.studies.size < 2 || pool.measure.nothing.nil?

            less = pool.results.count { |result| result.effect.negative? }
            low, middle, high = pool.range
            Book.t("appraise.outcome.not_pooled_summary", less:, papers: pool.studies.size, median: told.value(middle),
                                                          range: told.range(low, high))
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
                "#{Book.t("appraise.certainty.upgrading") if @certainty.start == 2}"
            end

            def lines
              @certainty.lines.map do |line|
                Line.new(domain: line.domain, name: Appraisal::Certainty::DOMAINS.fetch(line.domain),
                         proposed: steps_words(line.proposed),
                         why: line.why, said: said(line), choices: choices(line), by: by(line))
              end
            end

            # The domain at which something was refused, or nil.
            def refused = (@part.page.fields.text(:domain) if @part.page.errors.any?)

            private

            # -1 => "down one level"
            def steps_words(steps) = Book.t("appraise.certainty.steps.#{%w[none up_one up_two down_two down_one].fetch(steps)}")

            def said(line)
              steps = steps_words(line.steps)
              return steps if line.steps.zero? || @certainty.counts?(line)

              Book.t("appraise.certainty.#{@certainty.start == 4 ? "not_counted_high" : "not_counted_down"}", steps:)
            end

            def by(line)
              line.domain.to_s == refused ? @part.page.fields.text(:why) : line.judgement&.why.to_s
            end

            def choices(line)
              typed = @part.page.fields.text(:steps) if line.domain.to_s == refused
              chosen = typed || line.judgement&.steps.to_s
              steps = line.up? ? [0, 1, 2] : [0, -1, -2]
              proposed = ["", Book.t("appraise.certainty.as_proposed"), chosen.empty?]
              [proposed, *steps.map { |step| [step, steps_words(step), step.to_s == chosen] }]
            end
          end
        end
      end
    end
  end
end
