# frozen_string_literal: true

module Hobrin
  module Edits
    # The search check, and a colleague's review of the search.
    module SearchCheck
      # Mends one finding of the check of the search.
      #
      # name :: of a Check::Finding
      class MendFinding < Edit
        STEP = :narrow
        attributes :name

        def about(inquiry) = [inquiry.question, inquiry.state]

        # Raises GoneError when it is not found any more, or only the person can mend it.
        def call(inquiry, surroundings)
          finding = Check.new(inquiry, surroundings.evaluator).named(name)
          raise GoneError, "finding" unless finding&.mended

          Change.new(inquiry: finding.mended, kind: :finding_mended,
                     facts: { finding: finding.kind.to_s, words: finding.words })
        end
      end

      # A colleague's review of the search.
      #
      # name :: of who reviewed it; verdict :: key of Narrowing::PeerReview::VERDICTS; remarks :: Hash of
      #   a key of its QUESTIONS to text
      class ReviewSearch < Edit
        STEP = :narrow
        attributes :name, :verdict, :remarks

        # What was reviewed is the search: a change of it since it was read must be read first.
        def about(inquiry) = [inquiry.question, inquiry.state]

        # Raises InputError, see Narrowing::PeerReview, and (:press) where nothing is searched.
        def call(inquiry, surroundings)
          raise InputError, { press: Book.t("edits.errors.no_search") } unless inquiry.tree

          review = Narrowing::PeerReview.new(name:, on: surroundings.today, line: surroundings.trail.size + 1, verdict:, remarks:)
          Change.new(inquiry: inquiry.with(peer_reviews: [*inquiry.peer_reviews, review]), kind: :search_reviewed,
                     facts: { name: review.name, verdict: review.verdict_words })
        end
      end
    end
  end
end
