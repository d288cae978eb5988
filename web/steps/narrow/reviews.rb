# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Narrow
        # Reviews of the search by colleagues, and the form for one.
        class Reviews
          # A question of the form: text :: as typed and refused
          class Question < Value
            attributes :key, :group, :ask, :text
          end

          # A review: stale :: whether the search has changed since; remarks :: Array of [group, text]
          class Row < Value
            attributes :name, :on, :line, :verdict, :remarks, :stale
          end

          # page :: Narrow; reviews :: Array of [Narrowing::PeerReview, whether the search has changed since]
          def initialize(page, reviews)
            @page = page
            @reviews = reviews
            freeze
          end

          def reviewer = @page.typed_or(:reviewer, "")

          def questions
            Narrowing::PeerReview::QUESTIONS.map do |key, ask|
              text = @page.refused?(:reviewer) || @page.refused?(:verdict) ? @page.fields.nested(:remarks).text(key) : ""
              Question.new(key:, group: Check::GROUPS.fetch(key), ask:, text:)
            end
          end

          def verdicts
            said = %i[accepted changes].to_h { |verdict| [verdict, Book.t("narrow.reviews.verdict.#{verdict}")] }
            [["", Book.t("common.choose"), false], *@page.choices(:verdict, said, "")]
          end

          # The last first.
          def rows = @reviews.reverse.map { |review, stale| row(review, stale) }

          private

          def row(review, stale)
            remarks = review.remarks.map { |key, text| [Check::GROUPS.fetch(key), text] }
            Row.new(name: review.name, on: @page.day(review.on.iso8601), line: review.line, verdict: review.verdict_words, remarks:,
                    stale:)
          end
        end
      end
    end
  end
end
