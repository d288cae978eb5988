# frozen_string_literal: true

module Hobrin
  module Sifting
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
    end
  end
end
