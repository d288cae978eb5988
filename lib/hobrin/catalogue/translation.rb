# frozen_string_literal: true

module Hobrin
  module Catalogue
    # What becomes of a search in a catalogue that can do what its Ability says: part by part, the
    # text that it is asked, the search that this comes to in our own terms, and what was changed on
    # the way. A catalogue that can do everything is asked the same search.
    class Translation < Strategy::TreeWalker
      # became :: the tree that the text comes to, so that it can be counted here; nil for what was left out
      # text   :: CQL for the catalogue, "" for what was left out
      # notes  :: Array of what was changed, in words; empty when nothing was
      class Part < Value
        attributes :became, :text, :notes

        # What can be asked as it is.
        def self.same(leaf) = new(became: leaf, text: Strategy::Cql.write(leaf), notes: [])

        def self.left_out(note) = new(became: nil, text: "", notes: [note])

        def left_out? = became.nil?
        def same? = notes.empty? && !left_out?
        def with_notes(more) = with(notes: [*more, *notes].uniq)
      end

      # ability :: Ability; evaluator :: Retrieval::Evaluator over the library
      def initialize(ability:, evaluator:)
        super()
        @ability = ability
        @words = Words.new(ability, evaluator)
        @headings = Headings.new(ability, evaluator.thesaurus, @words)
        @limits = Limits.new(ability, @words)
        @filters = evaluator.filters
      end

      private

      def any_of(_tree, parts) = Joined.call(parts, "or") { |trees| Strategy::AnyOf.of(trees) }
      def all_of(_tree, parts) = Joined.call(parts, "and") { |trees| Strategy::AllOf.of(trees) }

      # What is not to be there can be left out; nothing is left without what it is taken from.
      def except(_tree, kept, excluded)
        return kept.with_notes(excluded.notes) if excluded.left_out? || kept.left_out?

        Part.new(became: Strategy::Except.new(kept: kept.became, excluded: excluded.became),
                 text: "(#{kept.text} not #{excluded.text})",
                 notes: (kept.notes + excluded.notes).uniq)
      end

      def leaf(leaf)
        case leaf
        when Strategy::TextTerm, Strategy::WholeText, Strategy::Proximity then @words.call(leaf)
        when Strategy::Heading then @headings.call(leaf)
        when Strategy::Limit, Strategy::Dates, Strategy::Journal then @limits.call(leaf)
        when Strategy::Filters::Filter then filter(leaf)
        when Strategy::Filters::OwnFilter then call(leaf.tree)
        else named(leaf)
        end
      end

      # A filter is no name elsewhere: its own words are asked for.
      def filter(leaf)
        return Part.same(leaf) if @ability.index?("hobrin.filter")

        call(@filters.tree(leaf)).with_notes([Book.t("catalogue.note.own_filter")])
      end

      def named(leaf)
        index = { Strategy::Author => "dc.creator", Strategy::Identifier => "dc.identifier",
                  Strategy::Everything => "cql.allrecords" }.fetch(leaf.class) do
          raise ArgumentError, "cannot translate #{leaf.class}"
        end
        return Part.same(leaf) if @ability.index?(index)

        Part.left_out(Book.t("catalogue.note.no_index"))
      end

      # In which indexes of a catalogue the words of some fields are looked for, and how a clause
      # about them is written.
      class Places
        OWN = { title: %w[dc.title], abstract: %w[dc.description],
                keywords: %w[hobrin.keywords dc.subject],
                headings: %w[hobrin.headings dc.subject] }.freeze
        ALL = Strategy::TextTerm::FIELDS.keys.freeze
        # Hobrin's own index for the text of a paper, and the one for all of a record.
        TEXT = "hobrin.text"
        EVERYTHING = "cql.serverChoice"
        private_constant :OWN, :ALL, :TEXT, :EVERYTHING

        # indexes :: names, or [nil] for a word alone; fields :: what that comes to here; notes :: what
        #   was changed
        class Place < Value
          attributes :indexes, :fields, :notes
        end

        def initialize(ability)
          @ability = ability
        end

        # One index for all of the fields, or one for each; otherwise anywhere. Gives a Place.
        def of(fields)
          one = { Strategy::TextTerm::TEXT => TEXT, ALL => EVERYTHING }[fields]
          return Place.new(indexes: [one], fields:, notes: []) if one && @ability.index?(one)

          indexes = fields.map { |field| OWN.fetch(field).find { |name| @ability.index?(name) } }
          indexes.include?(nil) ? anywhere : each_in_its_own(indexes.uniq, fields)
        end

        private

        def each_in_its_own(indexes, fields)
          subjects = indexes.include?("dc.subject") ? %i[keywords headings] : []
          wider = ALL & (fields | subjects)
          notes = wider == fields ? [] : [Book.t("catalogue.note.one_index")]
          Place.new(indexes:, fields: wider, notes:)
        end

        def anywhere
          index = @ability.anywhere
          index = EVERYTHING if index == EVERYTHING.downcase
          Place.new(indexes: [index], fields: ALL, notes: [Book.t("catalogue.note.anywhere")])
        end
      end

      # Several parts put together by one Boolean; those that were left out are not there.
      module Joined
        # parts :: Array of Part; word :: "or" or "and"; the block makes one tree of several
        def self.call(parts, word)
          notes = parts.flat_map(&:notes).uniq
          there = parts.reject(&:left_out?)
          return Part.new(became: nil, text: "", notes:) if there.empty?

          texts = there.map(&:text).uniq
          Part.new(became: yield(there.map(&:became)), notes:,
                   text: texts.one? ? texts.first : "(#{texts.join(" #{word} ")})")
        end
      end
    end
  end
end
