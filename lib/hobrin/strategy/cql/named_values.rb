# frozen_string_literal: true

require "set"

module Hobrin
  module Strategy
    module Cql
      # The values named in one text, such as "United Kingdom India": known ones by the longest that
      # fits, anything else word by word.
      module NamedValues
        # How many words one list of values may have.
        MOST = 400
        private_constant :MOST

        class << self
          # text :: String; known :: Array of String. Gives an Array of String. Raises InputError for
          #   more words than a person lists.
          def call(text, known)
            words = text.split
            raise InputError, { words: "Name at most #{MOST} words." } if words.size > MOST

            names = known.to_set { |one| one.downcase.split }
            longest = names.map(&:size).max.to_i
            found = []
            found << words.shift(fitting(words, names, longest)).join(" ") until words.empty?
            found.uniq
          end

          private

          # How many of the first words are one known name; 1 when none is.
          def fitting(words, names, longest)
            first = words.first(longest).map(&:downcase)
            first.size.downto(2).find { |count| names.include?(first.first(count)) } || 1
          end
        end
      end
    end
  end
end
