# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # What an outcome is, to be written or changed.
        class Described
          # proposed :: the two groups that are compared, as the question has them, as CloseReading::Arms
          attr_reader :outcome, :proposed

          # page :: Page; outcome :: Appraisal::Outcome, nil for a new one
          def initialize(page, outcome = nil)
            @page = page
            @outcome = outcome
            @proposed = (outcome&.arms || CloseReading::Arms.blank).or(page.question.arms)
            freeze
          end

          # The id of the record whose numbers ask for a new one, nil for none.
          def paper
            @page.fields.some_text(:for) || (@page.fields.some_text(:paper) if @page.errors.any?)
          end

          # Names that the question has for outcomes and that are none yet.
          def proposals
            named = @page.weighing.outcomes.map { |outcome| outcome.name.downcase }
            @page.question.elements.select { |element| element.key == "O" }.flat_map { |element| element.phrases.map(&:text) }
                 .map { |text| text[0].upcase + text[1..] }.reject { |text| named.include?(text.downcase) }
          end

          def name = @page.typed_or(:name, @outcome&.name.to_s)

          def kinds
            @page.choices(:kind, Appraisal::Outcome::Kind::ALL.to_h { |kind| [kind.key, kind.name] }, @outcome&.kind || usual_kind)
          end

          def better = @page.choices(:better, Appraisal::Outcome::BETTER, @outcome&.better || :less)

          def matters
            @page.choices(:matters, Appraisal::Outcome::MATTERS, @outcome&.matters || :important)
          end

          # The name of one of the two groups, as written.
          def arm(name) = @page.typed_or(name, @outcome&.arms&.public_send(name).to_s)

          def worthwhile = @page.typed_or(:worthwhile, plain(@outcome&.worthwhile))
          def baseline = @page.typed_or(:baseline, plain(@outcome&.baseline))

          # What the two numbers are told in.
          def worthwhile_unit
            kind = @outcome&.kind || usual_kind
            Book.t("appraise.outcome.unit.#{%w[events time share test].include?(kind) ? "per_100" : "of_measure"}")
          end

          # Papers whose numbers would be taken away with it.
          def results = @outcome ? @page.weighing.results(@outcome.id).size : 0

          private

          # What the kind of question asks for first.
          def usual_kind
            { "diagnosis" => "test", "prognosis" => "share" }.fetch(@page.question.kind, "events")
          end

          def plain(number) = number ? format("%g", number) : ""
        end
      end
    end
  end
end
