# frozen_string_literal: true

module Hobrin
  module Retrieval
    # Why a record is in a set: which leaves of the tree it answers, and where in its text.
    class Reasons
      # leaf :: a leaf of the tree; places :: Hash of field to [[first character, one past the
      #   last], …], empty for what
      # is no text; headings :: the Indexings of the record that a Heading leaf found it by
      class Reason < Value
        attributes :leaf, :places, :headings
      end

      def initialize(evaluator)
        @evaluator = evaluator
      end

      # tree :: what was searched; number :: of the record in the index; record :: the Record.
      # Gives an Array of Reason in the order of the tree; empty when the tree does not find the
      # record.
      def call(tree, number, record)
        return [] unless @evaluator.call(tree).include?(number)

        leaves = Leaves.new(@evaluator.filters).call(tree).uniq
        leaves.select { |leaf| @evaluator.call(leaf).include?(number) }.map { |leaf| reason(leaf, record) }
      end

      # The parts of a tree that keep a record out: what it lacks, or what Except takes away. Empty
      # when it is found.
      def missing(tree, number) = Missing.new(@evaluator, number).call(tree)

      private

      def reason(leaf, record)
        Reason.new(leaf:, places: places(leaf, record), headings: headings(leaf, record))
      end

      def places(leaf, record)
        return {} unless TextPlaces::READ.include?(leaf.class)

        found = leaf.fields.to_h do |field|
          [field, TextPlaces.texts(record, field).flat_map { |text| TextPlaces.of(leaf, text) }]
        end
        found.reject { |_, places| places.empty? }
      end

      def headings(leaf, record)
        return [] unless leaf.is_a?(Strategy::Heading)

        labels = leaf.narrower ? @evaluator.thesaurus.with_narrower(leaf.label) : [leaf.label]
        record.headings.select do |heading|
          (leaf.label == Strategy::Heading::ANY || labels.include?(heading.label)) && (heading.main || !leaf.main) &&
            (leaf.aspects.empty? || leaf.aspects.intersect?(heading.aspects))
        end
      end

      # The leaves that can bring a record in. What Except takes away is no reason to be here.
      class Leaves < Strategy::TreeWalker
        def initialize(filters)
          super()
          @filters = filters
        end

        private

        def any_of(_tree, parts) = parts.flatten
        alias all_of any_of
        def except(_tree, kept, _excluded) = kept

        def leaf(leaf)
          case leaf
          when Strategy::Filters::Filter then call(@filters.tree(leaf))
          when Strategy::Filters::OwnFilter then call(leaf.tree)
          else [leaf]
          end
        end
      end

      # The parts that do not let one record through.
      class Missing < Strategy::TreeWalker
        def initialize(evaluator, number)
          super()
          @evaluator = evaluator
          @number = number
        end

        def call(tree) = found_by?(tree) ? [] : super

        private

        def found_by?(tree) = @evaluator.call(tree).include?(@number)
        def any_of(tree, _parts) = [tree]
        def all_of(_tree, parts) = parts.flatten
        def except(tree, kept, _excluded) = found_by?(tree.excluded) ? [tree] : kept
        def leaf(leaf) = [leaf]
      end
      private_constant :Leaves, :Missing

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

      # Where in a text the words of a search stand, so that a reader sees why a paper is here.
      #
      #   MatchedPlaces.new("P" => [TextTerm.read("earplug*")]).call("Earplugs help", :title) # => [[0, 8, "P"]]
      class MatchedPlaces
        # leaves_by_key :: Hash of an element's key to its leaves; those that are read in no text (an
        #   author, a journal, a heading) mark nothing
        def initialize(leaves_by_key)
          @words = leaves_by_key.flat_map { |key, leaves| leaves.map { |leaf| [key, leaf] } }
                                .select { |_, leaf| TextPlaces::READ.include?(leaf.class) }
        end

        # text :: a record's text; field :: :title, :abstract or :keywords.
        # Gives [first character, one past the last, key], in order and without overlaps.
        def call(text, field)
          found = @words.flat_map do |key, leaf|
            leaf.fields.include?(field) ? TextPlaces.of(leaf, text).map { |from, to| [from, to, key] } : []
          end
          without_overlaps(found.sort_by { |from, to, _| [from, -to] })
        end

        private

        def without_overlaps(found)
          found.each_with_object([]) do |place, kept|
            kept << place if kept.empty? || place[0] >= kept.last[1]
          end
        end
      end
    end
  end
end
