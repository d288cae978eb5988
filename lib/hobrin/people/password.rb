# frozen_string_literal: true

module Hobrin
  module People
    # What a password must be: long, and none that thousands have. No rule about signs and digits:
    # those make passwords that are hard to keep in mind and easy to guess (as NIST SP 800-63B says,
    # from memory).
    module Password
      SHORTEST = 10
      LONGEST = 200

      # text :: as typed; common :: Set of passwords that many have, in small letters; about ::
      #   texts that it must not be, such as one's own name. Gives why it will not do, or nil.
      def self.trouble(text, common:, about: [])
        return "Write at least #{SHORTEST} letters: a short sentence is easy to keep in mind." if text.size < SHORTEST

        return "Write at most #{LONGEST} letters." if text.size > LONGEST
        return "Leave out what is no letter, digit or sign." if text.match?(/[[:cntrl:]]/)
        return "Thousands of people have this one. Choose another." if common.include?(text.downcase)

        return "Use more than one or two different letters." if text.downcase.chars.uniq.size < 4

        "Your name is the first thing that somebody tries." if about.any? { |one| same?(one, text) }
      end

      def self.same?(one, text) = Text::Tokens.line(one) == Text::Tokens.line(text)
      private_class_method :same?
    end
  end
end
