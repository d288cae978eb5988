# frozen_string_literal: true

module Hobrin
  module Strategy
    # An author by family name, with initials or without. Initials match a beginning: "A" finds AB,
    # too.
    #
    # family :: folded words, perhaps ending in a *; initials :: folded letters, "" for any
    class Author < Expression
      attributes :family, :initials

      LONGEST = 80
      SHORTEST_STEM = 3
      # Up to three capitals, perhaps with dots, stand for given names; where all is typed in small
      # letters, up to three small ones do.
      INITIALS = /\A(?:\p{L}\.?-?){1,3}\z/
      private_constant :LONGEST, :SHORTEST_STEM, :INITIALS

      class << self
        # typed :: "Zorvane", "Zorvane A", "A. Zorvane", "Zorvane, Ada". A given name after a comma
        #   counts by its
        # first letters. Raises InputError (:author).
        def read(typed)
          refuse(Book.t("strategy.errors.author_length", most: LONGEST)) if typed.to_s.size > LONGEST

          text = typed.to_s.gsub(/["“”]/, " ").strip

          family, given = split(text)
          new(family: Text::Tokens.masked(family).join(" "), initials: initials(given))
        end

        private

        def split(text)
          return text.split(",", 2) if text.include?(",")

          first, *, last = words = text.split
          return [text, ""] if last.nil?
          return [words[0...-1].join(" "), last.upcase] if initials?(last, text)

          initials?(first, text) ? [words.drop(1).join(" "), first.upcase] : [text, ""]
        end

        # "AB" beside "Zorvane", "ab" beside "zorvane"; but "Lee" beside "Smith" is a name.
        def initials?(word, text)
          word.match?(INITIALS) && (word.size == 1 || word == word.upcase || text == text.downcase)
        end

        def initials(given)
          given.to_s.split(/[\s.-]+/).flat_map { |part| given_initials(part) }
               .join.then { |letters| Text::Folding.fold(letters) }
        end

        # "AB" is two; of "Ada" the first counts.
        def given_initials(part) = part.size <= 3 && part == part.upcase ? part.chars : part[0, 1]

        def refuse(message) = raise(InputError, { author: message })
      end

      def initialize(family:, initials: "")
        stem = family.delete_suffix("*")
        if stem.match?(/[*?]/) || stem.empty? || (stem != family && stem.size < SHORTEST_STEM)
          raise InputError,
                { author: Book.t("strategy.errors.author") }
        end

        @family = family.dup.freeze
        @initials = initials.dup.freeze
        freeze
      end

      def stem = family.delete_suffix("*")
      def truncated? = family.end_with?("*")
      def label = [family, initials.upcase].reject(&:empty?).join(" ")
    end
  end
end
