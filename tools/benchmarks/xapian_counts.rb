# frozen_string_literal: true

module Hobrin
  module Tools
    module Benchmarks
      # The same counts by Xapian's Boolean matcher (Debian's ruby-xapian), as one would write them
      # well: terms as filters, no ranking. It is used for measuring only, and left out where it is
      # missing.
      class XapianCounts
        MASK = /\*\z/
        # Words of one text do not stand beside those of the next.
        GAP = 100
        COMMIT = 20_000
        FACETS = { type: "XT", age: "XA", sex: "XS", species: "XP", flag: "XF", language: "XL", place: "XC",
                   year: "XY", heading: "XH", main: "XM" }.freeze
        private_constant :MASK, :GAP, :COMMIT, :FACETS

        class << self
          # folder :: Pathname; thesaurus :: Thesaurus. Gives one to be filled, nil where there is no
          # Xapian.
          def in(folder, thesaurus)
            require "xapian"
            new(folder.join("xapian").to_s, thesaurus)
          rescue LoadError
            nil
          end
        end

        def initialize(path, thesaurus)
          @path = path
          @thesaurus = thesaurus
        end

        # records :: Enumerable of Records::Record
        def fill(records)
          writing = Xapian::WritableDatabase.new(@path, Xapian::DB_CREATE_OR_OVERWRITE)
          words = Xapian::TermGenerator.new
          records.each.with_index(1) do |record, place|
            writing.add_document(document(record, words))
            writing.commit if (place % COMMIT).zero?
          end
          writing.commit
          writing.close
        end

        # Opens what was filled.
        def ready
          @database = Xapian::Database.new(@path)
          @enquire = Xapian::Enquire.new(@database)
          @enquire.weighting_scheme = Xapian::BoolWeight.new
        end

        # A tree as PlainCounts takes it; the number of records.
        def call(tree)
          @enquire.query = query(tree)
          @enquire.mset(0, 0, @database.doccount).matches_estimated
        end

        private

        def document(record, words)
          document = words.document = Xapian::Document.new
          [record.title, record.abstract.to_s, *record.keywords].each do |text|
            words.index_text(Text::Tokens.line(text))
            words.increase_termpos(GAP)
          end
          Retrieval::Facets.of(record).each do |name, value|
            document.add_boolean_term("#{FACETS[name]}#{value}") if FACETS.key?(name)
          end
          document
        end

        def op(name) = Xapian::Query.const_get("OP_#{name}")
        def together(name, queries) = Xapian::Query.new(op(name), queries)
        def term(text) = Xapian::Query.new(text)

        def query(tree)
          case tree
          when Strategy::AnyOf then together(:OR, tree.parts.map { |part| query(part) })
          when Strategy::AllOf then together(:AND, tree.parts.map { |part| query(part) })
          when Strategy::Except then Xapian::Query.new(op(:AND_NOT), query(tree.kept),
                                                       query(tree.excluded))
          when Strategy::TextTerm then words(tree.text)
          when Strategy::Heading then heading(tree)
          when Strategy::Limit then together(:OR, tree.values.map { |value| term(FACETS.fetch(tree.name) + value) })
          when Strategy::Dates then together(:OR, (tree.from_year..tree.to_year).map { |year| term("XY#{year}") })
          end
        end

        def words(text)
          *before, last = text.split
          return Xapian::Query.new(op(:WILDCARD), last.sub(MASK, "")) if before.empty? && last.match?(MASK)
          return term(last) if before.empty?

          endings = last.match?(MASK) ? beginning(last.sub(MASK, "")) : [last]
          together(:OR, endings.map { |ending| together(:PHRASE, [*before, ending].map { |word| term(word) }) })
        end

        def beginning(stem) = @database.allterms(stem).map(&:term)

        def heading(leaf)
          labels = leaf.narrower ? @thesaurus.with_narrower(leaf.label) : [leaf.label]
          together(:OR, labels.map { |label| term(FACETS.fetch(leaf.main ? :main : :heading) + label) })
        end
      end
    end
  end
end
