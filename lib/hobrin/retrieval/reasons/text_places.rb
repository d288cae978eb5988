# frozen_string_literal: true

module Hobrin
  module Retrieval
    # Where in one text the words of a leaf stand. It reads as the full-text index does, so that
    # what is marked is what was found.
    #
    #   TextPlaces.of(TextTerm.read("ear plug*"), "Ear-plugs help") # => [[0, 9]]
    module TextPlaces
      # The leaves that are read in a text.
      READ = [Strategy::TextTerm, Strategy::WholeText, Strategy::Proximity].freeze

      class << self
        # leaf :: Strategy::TextTerm, WholeText or Proximity; text :: String.
        # Gives [first character, one past the last] for each place, in order.
        def of(leaf, text)
          located = Text::Tokens.located(text)
          runs(leaf, located).map { |run| ends(located, run) }
        end

        # The texts of one field of a record; words are looked for in each by itself.
        def texts(record, field)
          case field
          when :title then [record.title]
          when :abstract then [record.abstract.to_s]
          when :keywords then record.keywords
          when :headings then record.headings.map(&:label)
          end
        end

        private

        def runs(leaf, located)
          case leaf
          when Strategy::TextTerm then spans(located, leaf.masks)
          when Strategy::WholeText then leaf.masks.size == located.size ? spans(located, leaf.masks) : []
          else near(leaf, located)
          end
        end

        # Ranges of word places at which the masks fit, side by side.
        def spans(located, masks)
          (0..(located.size - masks.size)).filter_map do |first|
            first...(first + masks.size) if masks.each_with_index.all? do |mask, step|
              mask.match?(located[first + step].first)
            end
          end
        end

        def near(leaf, located)
          left, right = leaf.sides.map { |side| spans(located, side.masks) }
          left.product(right).flat_map { |pair| close?(leaf, *pair) ? pair : [] }
              .sort_by(&:begin).uniq
        end

        # How many words lie between the earlier and the later. A word is not near itself: the two
        # sides share none.
        def close?(leaf, left, right)
          return false if leaf.ordered && right.begin < left.end

          first, second = [left, right].sort_by { |span| [span.begin, span.end] }
          (second.begin - first.end).between?(0, leaf.distance - 1)
        end

        def ends(located, span) = [located[span.begin][1], located[span.end - 1][2]]
      end
    end
  end
end
