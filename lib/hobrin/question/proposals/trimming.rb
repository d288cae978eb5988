# frozen_string_literal: true

module Hobrin
  class Question
    class Proposals
      # The edges of a proposal: articles and small words go, and "pain and anxiety" is two outcomes
      # unless the thesaurus has a name for the whole.
      class Trimming
        FIRST = /\A(?:(?:an?|the|their|his|her|its|any|more|less|fewer|better|worse|routine(?=\sly)|use of|the use of)\s+)+/i
        LAST = /\s+(?:and|or|in|on|at|of|for|to|with|by|as|be|been|also|the|an?)\z/i
        BETWEEN = /\s*,?\s+(?:and|or)\s+/i
        private_constant :FIRST, :LAST, :BETWEEN

        def initialize(thesaurus)
          @thesaurus = thesaurus
        end

        # Gives an Array of [first character, one past the last], empty when nothing is left.
        def call(text, from, to, split:)
          pieces(text, from, to, split).map do |one|
            trimmed(text, *one)
          end.select { |start, stop| text[start...stop].match?(/[[:alpha:]]{2}/) }
        end

        private

        def pieces(text, from, to, split)
          whole = text[from...to]
          return [[from, to]] if !split || @thesaurus.named(whole)

          cuts = []
          whole.scan(BETWEEN) { cuts << Regexp.last_match.offset(0) }
          edges = [0, *cuts.flatten, whole.size].map { |place| from + place }
          edges.each_slice(2).to_a
        end

        def trimmed(text, from, to)
          words = text[from...to]
          from += words.size - words.lstrip.size
          words = words.strip
          first = words[FIRST].to_s.size
          words = words[first..]
          words = words.sub(LAST, "") while words.match?(LAST)
          [from + first, from + first + words.size]
        end
      end
    end
  end
end
