# frozen_string_literal: true

module Hobrin
  module Services
    # What is done once a night, by `hobrin nightly`: what was deleted long ago is forgotten, and the log
    # of people is checked from its first line.
    class Nightly < Service
      # forgotten :: how many inquiries; broken_at :: the first line of the log that is not as it was
      #   written, or nil
      class Outcome < Value
        attributes :forgotten, :broken_at
      end

      # Gives an Outcome.
      def call
        Outcome.new(forgotten: forget, broken_at: @context.directory.audit.broken_anywhere(today: @context.clock.now))
      end

      private

      def forget
        gone = @context.stored.forget(before: Inquiries::Delete.new(@context).since)
        gone.each { |id| Act::MakeFile.forget(@context, id) }
        if gone.any?
          @context.directory.audit.add(at: @context.clock.now, who: "the nightly run", what: "forgotten",
                                       about: "#{gone.size} inquiries deleted over #{Inquiries::Delete::KEPT_DAYS} days ago")
        end
        gone.size
      end
    end
  end
end
