# frozen_string_literal: true

module Hobrin
  module Services
    # Keeps, drops or sets aside one paper; or takes the decision back.
    class DecidePaper
      VERBS = { keep: "Kept", drop: "Dropped", unsure: "Unsure of" }.freeze
      UNDECIDED = "Keep it, drop it, or say you are unsure: the note goes with that."
      private_constant :VERBS, :UNDECIDED

      def initialize(context, seen: nil)
        @context = context
        @change = ChangeInquiry.new(context, seen:)
      end

      # Raises GoneError for an unknown paper, InputError from Sifting::Decision.
      def call(id, record_id, verdict:, reason: nil, note: "")
        title = title_of(record_id)
        decision = Sifting::Decision.new(record_id:, verdict:, reason:, note:)
        change(id, record_id, "#{VERBS.fetch(verdict)} “#{title}”#{" (#{reason})" if decision.reason}") do |inquiry|
          inquiry.with_decision(decision)
        end
      end

      # Changes the note of a decision that was made. Raises InputError when there is none yet.
      def annotate(id, record_id, note)
        change(id, record_id, "Noted on “#{title_of(record_id)}”") do |inquiry|
          decision = inquiry.decision(record_id) or raise InputError, { verdict: UNDECIDED }

          inquiry.with_decision(decision.with(note:))
        end
      end

      def take_back(id, record_id)
        change(id, record_id, "Took back the decision on “#{title_of(record_id)}”") do |inquiry|
          inquiry.with(decisions: inquiry.decisions.reject { |decision| decision.record_id == record_id })
        end
      end

      private

      def title_of(record_id) = (@context.library.record(record_id) or raise GoneError, "paper").title

      def change(id, record_id, words)
        part = ->(inquiry) { inquiry.decision(record_id) }
        @change.call(id, step: :sift, part:) { |inquiry| [yield(inquiry), words] }
      end
    end
  end
end
