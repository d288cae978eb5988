# frozen_string_literal: true

module Hobrin
  module Outside
    # A catalogue that does not answer as it should; the words say how, and nothing was changed.
    class NoAnswer < UnavailableError
      # Gives what the block makes of an answer; what cannot be read is no answer. Raises NoAnswer,
      # and InputError (:address) for one that may not be asked.
      def self.understood
        yield
      rescue InputError => e
        raise if e.errors.key?(:address)

        raise NoAnswer, "It answered with something that is no answer. #{e.message}"
      end
    end
  end
end
