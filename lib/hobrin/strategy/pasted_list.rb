# frozen_string_literal: true

module Hobrin
  module Strategy
    # A list of names that was pasted: one a line, or apart by semicolons or operators (see Entry), or
    # a search in CQL. A whole entry that the thesaurus knows becomes its heading, any other words;
    # quotation marks or truncation mean words only.
    #
    # leaves  :: Array of leaves to be searched, in the order of the list, each once
    # without :: the same of those to be taken away
    # refused :: Array of [entry as pasted, why], what could not be read
    class PastedList < Value
      attributes :leaves, :without, :refused

      BREAKS = /\r?\n|;/
      # Numbers and bullets before an entry; an OR at the end or the beginning of its line.
      MARKS = /\A\s*(?:\d{1,3}[.)]\s+|[-–—•*]\s+)|\A\s*OR\s+|\s+OR\s*\z/
      # Brackets around a list of several lines.
      BRACKETS = /\A\s*\(|\)\s*\z/
      CQL = %r{\b(?:hobrin|dc|cql|bib)\.\w+\s*(?:=|any\b|all\b|==|exact\b|within\b|<|>)|\bprox\s*/}i
      MOST = 200
      private_constant :BREAKS, :MARKS, :BRACKETS, :CQL, :MOST

      class << self
        # text :: as pasted; thesaurus :: Thesaurus; vocabulary :: Vocabulary, for CQL; known :: see Entry
        # Raises InputError (:list) when there is nothing in it, or far too much.
        def read(text, thesaurus:, vocabulary:, known: ->(_) { false })
          FieldLengths.check(:pasted_list, text, at: :list)

          # Runs of white space would make every pattern below slow.
          text = text.gsub(/[[:blank:]]+/, " ").gsub(/ ?\r?\n\s*/, "\n")
          return cql(text, vocabulary) if cql?(text)

          lines = lines(text)
          refuse(Book.t("strategy.errors.paste")) if lines.empty?
          whole = ->(line) { !thesaurus.named(line).nil? }
          of_entries(lines.map { |line| entry(line, known, whole) }, thesaurus)
        end

        # Whether a text is a search in CQL.
        def cql?(text) = text.match?(CQL)

        private

        def lines(text)
          lines = text.split(BREAKS).map { |line| line.gsub(MARKS, "").strip }
          lines = lines.map { |line| line.count("(") == line.count(")") ? line : line.gsub(BRACKETS, "").strip }
          lines.reject { |line| line.gsub(/["“”()]/, "").strip.empty? }
        end

        # [line, Entry or nil, why it cannot be read or nil]
        def entry(line, known, whole)
          entry = Entry.read(line, known:, whole:)
          [line, entry, (entry.why unless entry.read?)]
        rescue InputError => e
          [line, nil, e.message]
        end

        def of_entries(entries, thesaurus)
          read, unread = entries.partition { |_, _, why| why.nil? }
          added, without = %i[added without].map { |way| read.flat_map { |_, entry,| entry.public_send(way) } }
          count = added.size + without.size
          refuse(Book.t("strategy.errors.too_many_entries", count:, most: MOST)) if count > MOST

          leaves, taken = [added, without].map { |parts| parts.map { |part| [part, *leaf(part, thesaurus)] } }
          refused = unread.map { |line, _, why| [line, why] } +
                    (leaves + taken).filter_map { |part, leaf, why| [part, why] unless leaf }
          new(leaves: of(leaves), without: of(taken), refused:)
        end

        def of(read) = read.filter_map { |_, leaf,| leaf }.uniq

        # part :: text, or a leaf already
        def leaf(part, thesaurus)
          return [part] unless part.is_a?(String)

          heading = thesaurus.named(part) unless part.match?(/["“”*?]/)
          [heading ? Heading.of(heading.label, thesaurus) : TextTerm.read(part)]
        rescue InputError => e
          [nil, e.message]
        end

        # The parts of one OR; anything more is no list of names.
        def cql(text, vocabulary)
          tree = Cql.read(text.gsub(/\s+/, " ").strip, vocabulary)
          leaves = tree.is_a?(AnyOf) ? tree.parts : [tree]
          return new(leaves:, without: [], refused: []) if leaves.all? { |leaf| Block::Term::LEAVES.include?(leaf.class) }

          refuse(Book.t("strategy.errors.only_or"))
        rescue Cql::Error => e
          refuse(e.message)
        end

        def refuse(message) = raise(InputError, { list: message })
      end
    end
  end
end
