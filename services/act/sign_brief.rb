# frozen_string_literal: true

module Hobrin
  module Services
    # Signs a brief off and keeps it as it was then.
    class SignBrief
      # seen :: see ApplyEdit
      def initialize(context, seen: nil)
        @context = context
        @seen = seen
      end

      # name :: of who signs; reason :: why, although something does not fit or is still open
      # Gives an ApplyEdit::Outcome. Raises what ApplyEdit raises, and InputError (:reason) where
      # one is needed.
      def call(id, name, reason: "")
        gaps = CheckSignOff.new(@context).call(ReadInquiry.new(@context).call(id))
        edit = Edits::Practice::Sign.new(name:, reason:, gaps: gaps.map(&:words))
        outcome = ApplyEdit.new(@context, seen: @seen).call(id, edit)
        material = ReadMaterial.new(@context).call(outcome.opened)
        @context.shared_briefs.keep(id, outcome.line, Exchange::Report::Compose.call(material))
        outcome
      end
    end
  end
end
