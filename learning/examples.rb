# frozen_string_literal: true

require "yaml"

module Hobrin
  module Learning
    # The questions that people wrote and marked, as YAML in learning/questions.
    module Examples
      # id :: file and place in it; fold :: 0 to 4, nil when it is held out; spans :: Array of
      #   [element, first character, one past the last]
      Example = Struct.new(:id, :fold, :kind, :text, :spans)

      FOLDER = File.expand_path("questions", __dir__)
      FILES = %w[community hospital spoken].freeze
      FOLDS = 5
      private_constant :FOLDER

      class << self
        # All of them, in their order. Every fifth of each file is held out: nothing was tuned on
        # those. The others are dealt out in fives, so that a run of like questions stays together.
        def all
          FILES.flat_map do |file|
            rows = YAML.safe_load_file(File.join(FOLDER, "#{file}.yml"))
            rows.each_with_index.map do |row, place|
              held_out = place % FOLDS == FOLDS - 1
              Example.new("#{file} #{place + 1}", held_out ? nil : place / FOLDS % FOLDS,
                          row.fetch("kind"), row.fetch("text"), spans(row)).freeze
            end
          end
        end

        def tuned_on = all.select(&:fold)
        def held_out = all.reject(&:fold)

        private

        # Where a phrase stands twice, its first place is meant.
        def spans(row)
          Question::Understanding::States::ELEMENTS.flat_map do |key|
            row.fetch(key, []).map do |phrase|
              from = row["text"].index(phrase) or raise ArgumentError,
                                                        "#{phrase} is not in #{row["text"]}"
              [key, from, from + phrase.size]
            end
          end.sort_by { |span| span[1] }
        end
      end
    end
  end
end
