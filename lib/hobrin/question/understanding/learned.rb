# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # What was learnt from questions that people marked: weights for what TokenFeatures and
      # KindFeatures say, and the classes of words that they use. Made by the rake task `learn`,
      # see docs/asking.md; kept as a text, which who starts Hobrin reads and passes in.
      #
      # Each line of the text is a name, a tab, and one letter for each weight: UNIT times how far
      # the letter stands from MIDDLE.
      class Learned
        FORMAT = "hobrin-learned 1"
        PARTS = %i[classes words beginnings kinds transitions].freeze
        UNIT = 0.05
        MIDDLE = 80
        MOST = 46
        private_constant :FORMAT, :PARTS

        attr_reader :classes, :transitions

        class << self
          # text :: as `dump` gives it. Raises InputError (:learned) for any other.
          def parse(text)
            head, *parts = text.split(/^\[(?:#{PARTS.join("|")})\]\n/)
            named = text.scan(/^\[(\w+)\]$/).flatten.map(&:to_sym)
            unless head.to_s.strip == FORMAT && named == PARTS
              raise InputError, { learned: "The file of what was learnt cannot be read: make it anew." }
            end

            new(**PARTS.zip(parts.map { |part| rows(part) }).to_h)
          end

          # As the text that `parse` reads. words, beginnings, kinds :: Hash of name to an Array of
          # weights; classes :: Hash of word to its classes; transitions :: Array of weights
          def dump(classes:, words:, beginnings:, kinds:, transitions:)
            rows = { classes: classes.transform_values { |some| some.join(" ") },
                     words: coded(words), beginnings: coded(beginnings), kinds: coded(kinds),
                     transitions: coded({ "steps" => transitions }) }
            [FORMAT, *PARTS.flat_map { |part| ["[#{part}]", *rows[part].sort.map { |row| row.join("\t") }] }]
              .join("\n") << "\n"
          end

          def coded(rows)
            rows.transform_values do |weights|
              weights.map { |weight| (MIDDLE + (weight / UNIT).round.clamp(-MOST, MOST)).chr }.join
            end
          end

          private

          def rows(part) = part.each_line(chomp: true).to_h { |line| line.split("\t", 2).map(&:freeze) }
        end

        # Each Hash as its text has it: name to coded weights; classes: word to classes with spaces.
        def initialize(classes:, words:, beginnings:, kinds:, transitions:)
          @classes = classes.transform_values { |some| some.split.freeze }.freeze
          @words = words.freeze
          @beginnings = beginnings.freeze
          @kinds = kinds.freeze
          @transitions = transitions.fetch("steps").each_byte.map { |byte| (byte - MIDDLE) * UNIT }.freeze
          freeze
        end

        def inspect = "#<#{self.class} of #{@words.size} names>"

        # For names of features: the sum of their weights for each of States::LABELS.
        def of_words(names) = sum(@words, names, States::LABELS.size)

        # The same for each element at a beginning, for each of States::LAST.
        def of_beginnings(names)
          sum(@beginnings, names, States::LAST.size * States::ELEMENTS.size).each_slice(States::ELEMENTS.size).to_a
        end

        # The same for each of Kind::ALL.
        def of_kinds(names) = sum(@kinds, names, Kind::ALL.size)

        # What one feature weighs for a label over being outside; 0.0 when it was not learnt.
        def for_label(name, label)
          row = @words[name] or return 0.0
          (row.getbyte(label) - row.getbyte(0)) * UNIT
        end

        # What one feature weighs for each kind, or nil.
        def for_kinds(name) = @kinds[name]&.each_byte&.map { |byte| (byte - MIDDLE) * UNIT }

        private

        def sum(table, names, size)
          sums = Array.new(size, 0)
          rows = 0
          names.each do |name|
            row = table[name] or next
            place = size
            sums[place] += row.getbyte(place) while (place -= 1) >= 0
            rows += 1
          end
          sums.map! { |sum| (sum - (rows * MIDDLE)) * UNIT }
        end
      end
    end
  end
end
