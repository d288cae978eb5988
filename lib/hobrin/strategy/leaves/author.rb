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
      # Up to three capitals, perhaps with dots, stand for given names.
      INITIALS = /\A(?:\p{Lu}\.?-?){1,3}\z/
      private_constant :LONGEST, :SHORTEST_STEM, :INITIALS

      class << self
        # typed :: "Zorvane", "Zorvane A", "A. Zorvane", "Zorvane, Ada". A given name after a comma
        #   counts by its
        # first letters. Raises InputError (:author).
        def read(typed)
          text = typed.to_s.gsub(/["“”]/, " ").strip
          refuse("Keep an author to #{LONGEST} characters.") if text.size > LONGEST

          family, given = split(text)
          new(family: Text::Tokens.masked(family).join(" "), initials: initials(given))
        end

        private

        def split(text)
          return text.split(",", 2) if text.include?(",")

          words = text.split
          return [words[0...-1].join(" "),
                  words.last] if words.size > 1 && words.last.match?(INITIALS)
          return [words.drop(1).join(" "),
                  words.first] if words.size > 1 && words.first.match?(INITIALS)

          [text, ""]
        end

        def initials(given)
          given.to_s.split(/[\s.-]+/).flat_map { |part| part.match?(INITIALS) ? part.chars : part[0, 1] }
               .join.then { |letters| Text::Folding.fold(letters) }
        end

        def refuse(message) = raise(InputError, { author: message })
      end

      def initialize(family:, initials: "")
        stem = family.delete_suffix("*")
        if stem.match?(/[*?]/) || stem.empty? || (stem != family && stem.size < SHORTEST_STEM)
          raise InputError,
                { author: "Write a family name, perhaps with initials; a * only at the end of the family name." }
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
