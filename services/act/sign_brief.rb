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

      # name :: of who signs. Gives an ApplyEdit::Outcome. Raises what ApplyEdit raises.
      def call(id, name)
        outcome = ApplyEdit.new(@context, seen: @seen).call(id, Edits::Act::Sign.new(name:))
        material = ReadMaterial.new(@context).call(outcome.opened)
        @context.shared_briefs.keep(id, outcome.line, Exchange::Report::Compose.call(material))
        outcome
      end
    end
  end
end
