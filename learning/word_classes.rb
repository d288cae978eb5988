# frozen_string_literal: true

require "yaml"

module Hobrin
  module Learning
    # The classes of words that the features use, written by hand: common words of the wards, their
    # people, troubles, things and tests. Common practice, no source.
    module WordClasses
      FILE = File.expand_path("word_classes.yml", __dir__)
      private_constant :FILE

      # Hash of word to an Array of its classes.
      def self.load
        YAML.safe_load_file(FILE).each_with_object({}) do |(name, words), all|
          words.split.each { |word| (all[word] ||= []) << name }
        end
      end
    end
  end
end
