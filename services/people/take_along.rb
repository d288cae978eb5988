# frozen_string_literal: true

module Hobrin
  module Services
    # Inquiries that were made at this Hobrin while nobody was signed in, and that who signed in may take
    # along. Only where nobody has to sign in: there anybody can see them anyway.
    class TakeAlong
      def initialize(context)
        @context = context
      end

      # How many there are; 0 where nobody is signed in.
      def count = @context.person ? @context.standings.unowned.size : 0

      def unowned?(id) = @context.standings.unowned.include?(id)

      # Puts all of them on the person's ward, as theirs. Gives how many. Raises RefusedError where nobody
      # is signed in.
      def call
        raise RefusedError, "Sign in first." unless @context.person

        whose = @context.whose
        count = @context.standings.put_unowned(**whose)
        @context.note_down("inquiries taken along", count.to_s) if count.positive?
        count
      end
    end
  end
end
