# frozen_string_literal: true

module Hobrin
  module Strategy
    # A list of names that was pasted: one a line, or apart by OR or semicolons, or a search in CQL.
    # A whole entry that the thesaurus knows becomes its heading, any other words; quotation marks
    # or a mask mean words only.
    #
    # leaves  :: Array of leaves in the order of the list, each once
    # refused :: Array of [entry as pasted, why], what could not be read
    class PastedList < Value
      attributes :leaves, :refused

      BREAKS = /\r?\n|;/
      OR = /\s+(?:or|\|)\s+/i
      JOINED = /\s(?:AND|NOT)\s/
      # Numbers and bullets before an entry; brackets around it.
      MARKS = /\A\s*(?:\d{1,3}[.)]\s+|[-–—•*]\s+)|\A\s*\(|\)\s*\z/
      CQL = /\b(?:hobrin|dc|cql|bib)\.\w+\s*(?:=|any\b|all\b|==|exact\b|within\b|<|>)/i
      MOST = 200
      LONGEST = 20_000
      private_constant :BREAKS, :OR, :JOINED, :MARKS, :CQL, :MOST, :LONGEST

      class << self
        # text :: as pasted; thesaurus :: Thesaurus; vocabulary :: Vocabulary, for CQL
        # Raises InputError (:list) when there is nothing in it, or far too much.
        def read(text, thesaurus:, vocabulary:)
          refuse("Paste #{LONGEST} characters at most.") if text.size > LONGEST

          # Runs of white space would make every pattern below slow.
          text = text.gsub(/[[:blank:]]+/, " ").gsub(/ ?\r?\n\s*/, "\n")
          return cql(text, vocabulary) if text.match?(CQL)

          entries = entries(text, thesaurus)
          refuse("Paste names here: one a line, or separated by OR.") if entries.empty?
          refuse("That is #{entries.size} entries. Paste #{MOST} at most.") if entries.size > MOST
          of_entries(entries, thesaurus)
        end

        private

        # A name of the thesaurus may hold an "or" of its own.
        def entries(text, thesaurus)
          lines = bare(text.split(BREAKS))
          entries = lines.flat_map { |line| thesaurus.named(line) ? [line] : bare(line.split(OR)) }
          entries.reject { |entry| entry.gsub(/["“”]/, "").strip.empty? }
        end

        def bare(entries) = entries.map { |entry| entry.gsub(MARKS, "").strip }

        def of_entries(entries, thesaurus)
          read = entries.map { |entry| [entry, *leaf(entry, thesaurus)] }
          refused = read.filter_map { |entry, leaf, why| [entry, why] unless leaf }
          new(leaves: read.filter_map { |_, leaf,| leaf }.uniq, refused:)
        end

        def leaf(entry, thesaurus)
          heading = thesaurus.named(entry) unless entry.match?(/["“”*?]/)
          return [Heading.of(heading.label, thesaurus)] if heading

          return [nil,
                  "AND and NOT join blocks: put each side into its own."] if entry.match?(JOINED)

          [TextTerm.read(entry)]
        rescue InputError => e
          [nil, e.message]
        end

        # The parts of one OR; anything more is no list of names.
        def cql(text, vocabulary)
          tree = Cql.read(text.gsub(/\s+/, " ").strip, vocabulary)
          leaves = tree.is_a?(AnyOf) ? tree.parts : [tree]
          return new(leaves:, refused: []) if leaves.all? { |leaf| Term::LEAVES.include?(leaf.class) }

          refuse("A block holds names joined by OR: paste the and, the not and the limits elsewhere.")
        rescue Cql::Error => e
          refuse(e.message)
        end

        def refuse(message) = raise(InputError, { list: message })
      end
    end
  end
end
