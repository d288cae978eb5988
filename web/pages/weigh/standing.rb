# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Weigh
        # A result of a paper that stands: its groups, its effect, and what is to be doubted of it.
        class Standing
          # page :: Weigh; record :: of the paper; result :: Brief::EvidenceRow::Result
          def initialize(page, record, result)
            @page = page
            @record = record
            @result = result
            @told = Brief::Words::OfResult.new(result.outcome.measure)
          end

          def outcome = @result.outcome
          def reported = @result.reported
          def groups = @told.groups(reported).compact
          def doubts = reported.doubts

          # Who, against whom, when, and what was done to the numbers, in words.
          def about
            [reported.group, reported.comparison, reported.time, *reported.notes].reject(&:empty?).join(" · ")
          end

          # How what it does not give was made, nil where nothing was.
          def made = Appraisal::Reported::Figures::Values.made(reported.form)

          # Why it is not counted, nil where it is.
          def aside = reported.aside && Appraisal::Synthesis::WHY.fetch(reported.aside)

          def path = @page.path_to_numbers(@record, outcome, result: reported.number)
          def path_to_outcome = @page.path_to_outcome(outcome)

          # What a press about it sends.
          def fields = { paper: @record.id, result: reported.number, outcome: outcome.id }

          def effect
            return test(reported.values) if outcome.kind == "test"

            @told.result(reported, outcome.way) || "tells nothing by the #{outcome.measure.name}"
          end

          # Four counts with their difference and number needed, as Brief::Words::OfEffect; nil for
          #   others.
          def effect_words
            Brief::Words::OfEffect.new(@result.effect) if @result.effect && outcome.measure.ratio?
          end

          private

          def test(test)
            both = { "sensitivity" => test.sensitivity, "specificity" => test.specificity }
            ratios = { "likelihood ratio of a positive test" => test.positive_ratio,
                       "of a negative one" => test.negative_ratio, "odds ratio" => test.odds_ratio }
            [*both.map { |name, one| "#{name} #{share(one)}" },
             *ratios.map { |name, one| "#{name} #{ratio(one)}" }].join(", ")
          end

          def ratio(one) = "#{@page.decimal(one.estimate)} (#{@page.decimal(one.low)} to #{@page.decimal(one.high)})"

          def share(one)
            "#{@page.points(one.estimate)} (#{@page.points(one.low)} to " \
              "#{@page.points(one.high)})"
          end
        end
      end
    end
  end
end
