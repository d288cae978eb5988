# frozen_string_literal: true

module Hobrin
  # What is searched for, as a tree of plain values. Leaves: Words, Near, Heading, Author, Journal,
  # Identifier, Limit, Dates, Filter, Everything, and Line, which stands for an earlier tree. Above
  # them: AnyOf (OR), AllOf (AND), Except (NOT). Equal trees are equal values and have one canonical
  # text (Cql.write), which is the key of every cache.
  #
  # What a person builds are Blocks of Terms; `Strategy.join` turns them into a tree.
  module Strategy
    # The join of the blocks that have at least one term in use; nil when none has.
    def self.join(blocks)
      trees = blocks.filter_map(&:tree)
      trees.empty? ? nil : AllOf.of(trees)
    end

    # Any part of a tree, and what blocks are made of. They are looked up in caches all the time, so
    # each works out its hash once.
    class Expression < Value
      attr_reader :hash

      def freeze
        @hash = [self.class, *parts_of_value].hash
        super
      end

      # Two nodes of different hash are different; asking that first saves most comparisons.
      def ==(other)
        equal?(other) || (other.instance_of?(self.class) && other.hash == hash && super)
      end
      alias eql? ==
    end

    # What AnyOf and AllOf have in common: two parts or more, kept in one canonical shape.
    class BooleanExpression < Expression
      attributes :parts

      private_class_method :new

      class << self
        # The parts joined; a single part stands for itself, parts of the same kind are taken in,
        # and a part said twice counts once. Raises ArgumentError for no part.
        def of(parts)
          raise ArgumentError, "needs at least one part" if parts.empty?

          flat = merged(parts.flat_map { |part| part.instance_of?(self) ? part.parts : [part] }.uniq)
          flat.size == 1 ? flat.first : new(parts: flat)
        end

        private

        # Hook for parts that are one and the same leaf said in two halves.
        def merged(parts) = parts
      end
    end

    # The union of its parts (OR). The same words in several fields, and several values of one
    # limit, are one leaf: that is what such a leaf means.
    class AnyOf < BooleanExpression
      class << self
        private

        def merged(parts)
          parts.group_by { |part| alike(part) || part }.values.map do |same|
            same.reduce { |one, two| both(one, two) }
          end
        end

        def alike(part)
          case part
          when TextTerm then [:words, part.text]
          when WholeText then [:whole, part.text]
          when Proximity then [:near, part.left, part.right, part.distance, part.ordered]
          when Limit, Journal then [:limit, part.name]
          end
        end

        def both(one, two)
          case one
          when Limit, Journal then one.with(values: one.values | two.values)
          else one.with(fields: one.fields | two.fields)
          end
        end
      end
    end

    # The intersection of its parts (AND).
    class AllOf < BooleanExpression; end

    # What is in one tree and not in the other (NOT).
    class Except < Expression
      attributes :kept, :excluded
    end

    # Walks a tree from its leaves up. A subclass says what a leaf comes to and how what the parts
    # came to is put together; what it does not say stays as it is, so that one which only says
    # `leaf` gives a changed tree. Everything that reads a tree is one of these: a new kind of
    # expression is known in one place.
    #
    #   class Labels < TreeWalker
    #     private
    #
    #     def leaf(leaf) = [leaf.label]
    #     def any_of(_tree, parts) = parts.flatten
    #   end
    #
    #   Labels.new.call(tree) # => ["sleep*", "Delirium"]
    class TreeWalker
      # tree :: any Expression that can be searched. Gives whatever the subclass makes of it.
      def call(tree)
        case tree
        when AnyOf then any_of(tree, tree.parts.map { |part| call(part) })
        when AllOf then all_of(tree, tree.parts.map { |part| call(part) })
        when Except then except(tree, call(tree.kept), call(tree.excluded))
        else leaf(tree)
        end
      end

      private

      # Hooks: the expression itself, then what its parts came to.
      def any_of(_tree, parts) = AnyOf.of(parts)
      def all_of(_tree, parts) = AllOf.of(parts)
      def except(_tree, kept, excluded) = Except.new(kept:, excluded:)
      def leaf(leaf) = leaf
    end

    # All records of the library.
    class Everything < Expression
      attributes

      def initialize = freeze
    end

    # A heading of the thesaurus by its label, with its narrower headings or without, as a main
    # topic only or anywhere, and under any aspect or under any of those named. The label ANY stands
    # for whatever heading a record has, for searches that ask for an aspect alone.
    class Heading < Expression
      attributes :label, :narrower, :main, :aspects

      ANY = "*"

      # A heading as it is first searched: with what is narrower, where there is anything.
      def self.of(label, thesaurus) = new(label:, narrower: thesaurus.narrower?(label))

      def initialize(label:, narrower: true, main: false, aspects: [])
        @label = label.dup.freeze
        @narrower = [nil, false].none?(narrower) && label != ANY
        @main = main ? true : false
        @aspects = aspects.uniq.sort.map { |aspect| aspect.dup.freeze }.freeze
        freeze
      end
    end

    # Journals by their whole names, as the library has them; several mean either. A term of a
    # block, or a limit.
    class Journal < Expression
      attributes :values

      def self.named(name) = new(values: [name])

      def initialize(values:)
        @values = values.uniq.sort.freeze
        freeze
      end

      def name = :journal
      def slot = name
      def label = values.join(" or ")
    end

    # One record by its DOI or its id; a DOI matches without regard to case, with or without its
    # address.
    class Identifier < Expression
      attributes :value

      LONGEST = 200
      private_constant :LONGEST

      # Raises InputError (:identifier) for nothing, or something endless.
      def self.read(typed)
        value = Records::Doi.plain(typed)
        return new(value:) if value.size.between?(1, LONGEST)

        raise InputError, { identifier: Book.t("strategy.errors.doi") }
      end

      def label = value
    end

    # The words of a field from its first to its last, and no others: a title, an abstract, one
    # keyword or one heading's name as a whole.
    #
    # text, fields :: as in TextTerm, which says what is refused
    class WholeText < Expression
      attributes :text, :fields

      def initialize(text:, fields: TextTerm::TEXT)
        term = TextTerm.new(text:, fields:)
        @text = term.text
        @fields = term.fields
        freeze
      end

      # The same words anywhere in the field.
      def anywhere = TextTerm.new(text:, fields:)
      def masks = anywhere.masks
      def label = text
    end
  end
end
