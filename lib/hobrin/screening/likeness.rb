# frozen_string_literal: true

module Hobrin
  module Screening
    # How alike two papers are by their words: the cosine of their TF-IDF vectors over title,
    # abstract and headings. A word that a paper has f times, and d of N papers have, weighs (1 + ln
    # f) · (1 + ln((1 + N) / (1 + d))) (Salton and Buckley 1988, with the smoothing of
    # scikit-learn's TfidfVectorizer, sublinear; from memory); vectors have length one.
    class Likeness
      # size :: papers in the library; counts :: Hash of folded word to how many of them have it
      def initialize(size:, counts:)
        @size = size
        @counts = counts
      end

      # Hash of word to weight.
      def vector(record)
        Deadline.check
        weights = words(record).tally.to_h do |word, times|
          [word, (1 + Math.log(times)) * rarity(word)]
        end
        length = Math.sqrt(weights.each_value.sum { |weight| weight * weight })
        length.zero? ? weights : weights.transform_values { |weight| weight / length }
      end

      # one, two :: vectors. Gives 0 to 1.
      def cosine(one, two)
        one, two = two, one if one.size > two.size
        one.sum { |word, weight| weight * two.fetch(word, 0.0) }
      end

      # The words of a vector that weigh most, at most `most`, and together in at most `postings`
      # papers.
      def heaviest(vector, most:, postings:)
        left = postings
        vector.sort_by { |word, weight| [-weight, word] }.first(most).filter_map do |word, _|
          left -= @counts.fetch(word, 1)
          word if left >= 0
        end
      end

      # How rare a word is in the library: from 1, the larger the rarer.
      def rarity(word) = 1 + Math.log((1.0 + @size) / (1 + @counts.fetch(word, 0)))

      private

      def words(record)
        Text::Tokens.of([record.title, record.abstract, *record.headings.map(&:label)].join(" "))
      end

      # What a paper is told by when Hobrin learns what a person keeps: the words of its title and
      # abstract, its headings and its study types, each with a weight; the weights of a paper have
      # length one, so that a long abstract says no more than a short one.
      class Traits
        # How much heavier than a word of the abstract.
        TITLE = 1.5
        HEADING = 2.0
        TYPE = 4.0
        # So many of a paper's traits are kept, the weightiest: the rest tells little and takes time.
        MOST = 48
        private_constant :TITLE, :HEADING, :TYPE, :MOST

        # A Hash of each trait to its weight. likeness :: Likeness, for how rare a word is. A trait is a
        # Symbol, which is quick to look up: a word, or "heading …" or "type …" with a space.
        def self.of(record, likeness)
          weights = { **words(record, likeness), **labels(record) }.max_by(MOST) { |_, weight| weight }.to_h
          length = Math.sqrt(weights.each_value.sum { |weight| weight * weight })
          length.zero? ? weights : weights.transform_values { |weight| weight / length }
        end

        # A word of the title counts as one, whether the abstract has it or not.
        def self.words(record, likeness)
          abstract = Text::Tokens.of(record.abstract.to_s).uniq.grep_v(/\A\d/)
          title = Text::Tokens.of(record.title).uniq
          { **abstract.to_h { |word| [word.to_sym, likeness.rarity(word)] },
            **title.to_h { |word| [word.to_sym, TITLE * likeness.rarity(word)] } }
        end

        def self.labels(record)
          { **record.headings.to_h { |heading| [:"heading #{heading.label}", HEADING * (heading.main ? 2 : 1)] },
            **record.types.to_h { |type| [:"type #{type}", TYPE] } }
        end
        private_class_method :words, :labels
      end

      # The words of a search, by which papers are put in the order of how close they are to it.
      module SearchWords
        # leaf :: of a strategy. Gives an Array of texts, as they are searched; none for what has no
        # words.
        def self.of(leaf)
          case leaf
          when Strategy::TextTerm then [leaf.text]
          when Strategy::Proximity then [leaf.left, leaf.right]
          when Strategy::Heading then [leaf.label]
          else []
          end
        end
      end
    end
  end
end
