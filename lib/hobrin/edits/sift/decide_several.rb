# frozen_string_literal: true

module Hobrin
  module Edits
    module Sift
      # Decides several papers in one way, in one line of the trail, so that one undo takes all
      # back.
      #
      # record_ids :: Array of ids; verdict, reason, note :: see Sifting::Decision
      class DecideSeveral < Edit
        STEP = :sift
        MOST = 2_000
        attributes :record_ids, :verdict, :reason, :note
        private_constant :MOST

        def about(inquiry)
          ids = record_ids.to_h { |id| [id, true] }
          inquiry.decisions.select { |decision| ids.key?(decision.record_id) }.sort_by(&:record_id)
        end

        # Raises InputError (:several) for none, for too many, and for retracted papers that are to
        # be kept; GoneError for a paper that is not in the library.
        def call(inquiry, surroundings)
          refuse("Choose papers first.") if record_ids.empty?
          refuse("Decide at most #{MOST} papers at once.") if record_ids.size > MOST
          set = surroundings.set(record_ids)
          raise GoneError, "paper" if set.size < record_ids.uniq.size

          ask(set, surroundings) if verdict == :keep
          made = record_ids.uniq.map { |id| Sifting::Decision.new(record_id: id, verdict:, reason:, note:) }
          Change.new(inquiry: inquiry.with_decisions(made), kind: :papers_decided,
                     facts: { verdict: verdict.to_s, reason:, papers: made.size, records: made.map(&:record_id) })
        end

        private

        def ask(set, surroundings)
          retracted = surroundings.evaluator.index.facet(:flag, [Records::Flags::RETRACTED]).overlap(set)
          return unless retracted.positive?

          refuse("#{retracted} of them #{retracted == 1 ? "was" : "were"} retracted: decide on those one by one.")
        end

        def refuse(words) = raise(InputError, { several: words })
      end
    end
  end
end
