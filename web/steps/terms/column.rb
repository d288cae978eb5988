# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Terms
        # One block as Word shows it: its terms, its entry line, and what it finds together.
        class Column
          include Formatting

          # Between a block and those before it.
          JOINERS = { and: "AND", not: "NOT", out: "—" }.freeze
          private_constant :JOINERS

          # operator :: a key of Strategy::Block::OPERATORS; name :: in words
          class Operator < Value
            attributes :operator, :name, :chosen
          end

          # samples :: what it lacks, by what its newest and its kept papers have in common, while that is open: Hash of
          # :newest and :kept to Services::Terms::SuggestHeadings::Sample
          # choices :: what may be meant by what was typed and not read, as texts
          attr_reader :samples, :choices

          # page :: Page; column :: Services::Terms::Read::Column; context :: Services::Context
          def initialize(page, column, context)
            @page = page
            @column = column
            @samples = missing_open? ? Services::Terms::SuggestHeadings.new(context).call(page.inquiry, key) : {}
            @choices = unread? ? Services::Terms::Offer.new(context).entry(page.id, key, typed)&.choices.to_a : []
            freeze
          end

          def key = block.key
          def block = @column.block
          def letter = @column.element.letter
          def name = @column.element.name
          def size = @column.figures.size
          def empty? = block.terms.empty?
          def nothing? = size.zero?
          def joiner = JOINERS.fetch(block.operator)
          def suggestions = @column.suggestions

          def rows = block.terms.map { |term| TermRow.new(@page, @column, term) }

          # The addresses of what can be opened on it.
          def list_path = @page.path(open: "list:#{key}")
          def missing_path = @page.path(open: "gain:#{key}")
          def papers_path = @page.path(open: "papers:#{key}")
          def form_path = @page.path("blocks/#{key}")

          def list_open? = @page.open?("list", key)
          def list = @page.fields.text(:list)
          def missing_open? = @page.open?("gain", key)

          # Why a heading is near to the block. suggestion :: Retrieval::HeadingSuggestions::Suggestion
          def why_near(suggestion)
            Book.t("terms.missing.near.#{suggestion.near.how}", about: suggestion.near.about)
          end

          def sample_words(name, sample)
            Book.t("terms.missing.sample.#{name == :kept ? "included" : "newest"}", count: sample.size)
          end

          # Whether the last change was about this block, so that what was wrong is said here.
          def active? = @page.active == key
          def typed = active? ? @page.fields.text(:typed) : ""

          # Whether what was typed was not read.
          def unread? = active? && @page.errors.key?(:typed)

          # Its first heading and its first words from the question that find papers.
          def first_terms
            finding = suggestions.select(&:finds?)
            [finding.find(&:heading?), finding.find { |offer| offer.leaf.is_a?(Strategy::TextTerm) }].compact
          end

          # The card of a heading that is open at the entry line since the block does not have it;
          # nil for none.
          def new_card
            card = @page.card
            TermCard.new(@page, card, block) if card && card.term.nil? && card.key == key
          end

          def operators
            Strategy::Block::OPERATORS.map do |operator, name|
              Operator.new(operator:, name:, chosen: block.operator == operator)
            end
          end

          # What the foot says beyond the count.
          def foot
            terms = block.in_use
            return "" if terms.empty?
            return Book.t("terms.block.no_words") if terms.all?(&:heading?)

            by_words, fresh = @column.figures.by_words, @column.figures.not_indexed
            fresh.positive? ? Book.t("terms.block.by_words_and_not_indexed", by_words:, fresh:) : Book.t("terms.block.by_words", by_words:)
          end

          # One term in its block: how it searches, what it finds, and what no other one does.
          class TermRow
            include Formatting

            ICONS = { Strategy::Heading => "bookmark", Strategy::Author => "person",
                      Strategy::Journal => "journal-text" }.freeze
            private_constant :ICONS

            # page :: Word; column :: Services::Terms::Read::Column; term :: Strategy::Block::Term
            def initialize(page, column, term)
              @page = page
              @column = column
              @term = term
            end

            def id = @term.id
            def label = @term.label
            def size = figures.size
            def kind = Strategy::Wording.kind(@term.leaf)
            def icon = ICONS.fetch(@term.leaf.class, "quote")
            def open? = @page.open?("term", id) && !@page.card.nil?

            # Opens its card, or closes it.
            def path = open? ? @page.path : @page.path(open: "term:#{id}")

            def card = (TermCard.new(@page, @page.card, @column.block) if open?)

            def state
              [("crossed" if @term.crossed_out?), ("taking" if @term.excluded?),
               ("open" if open?)].compact.join(" ")
            end

            # How it searches, or why it does not.
            def note
              return crossed_out if @term.crossed_out?

              note = Strategy::Wording.note(@term.leaf, @column.narrower[label])
              @term.excluded? ? Book.t("terms.block.excluded", note:) : note
            end

            # How many spellings a truncated term in use takes in, when they are very many; else nil.
            def wild = (@column.wild[id] if @term.in_use?)

            # What it finds that no other term does, in words.
            def alone
              return Book.t("terms.block.would_add", papers: figures.alone) if @term.crossed_out?
              return Book.t("terms.block.removes", papers: figures.alone) if @term.excluded?
              return Book.t("terms.block.finds_nothing") if figures.empty?

              figures.alone.zero? ? Book.t("terms.block.adds_nothing") : Book.t("terms.block.unique", papers: figures.alone)
            end

            # For the bar: what it finds, what of that no other one does, the whole block.
            def bar = [size, @term.in_use? ? figures.alone : 0, @column.figures.size]

            private

            def figures = @column.figures.terms.fetch(id)

            def crossed_out
              @term.crossed_out.empty? ? Book.t("terms.block.crossed_out") : Book.t("terms.block.crossed_out_why", why: @term.crossed_out)
            end
          end

          # The form in which the words of a term are changed: as they were typed and refused, or as
          # they are.
          class WordsForm
            USUAL_DISTANCE = 3
            private_constant :USUAL_DISTANCE

            # Whether a leaf is one of words.
            def self.for?(leaf) = leaf.is_a?(Strategy::TextTerm) || leaf.is_a?(Strategy::Proximity)

            # page :: Word; term :: Strategy::Block::Term
            def initialize(page, term)
              @leaf = term.leaf
              @near = @leaf if @leaf.is_a?(Strategy::Proximity)
              @typed = page.fields if page.errors.any? && page.fields.text(:do) == "reword"
              @id = term.id
            end

            attr_reader :id

            def text
              return @typed.text(:text) if @typed

              @near ? "#{@near.left} #{@near.right}" : @leaf.text
            end

            # Array of [field, name, whether it is looked at].
            def places
              chosen = @typed ? @typed.list(:in) : @leaf.fields.map(&:to_s)
              Strategy::TextTerm::FIELDS.map { |field, name| [field, name, chosen.include?(field.to_s)] }
            end

            def several? = words.size > 1
            def near? = @typed ? @typed.text(:as) == "near" : !@near.nil?
            def distance = @typed ? @typed.text(:distance) : @near&.distance || USUAL_DISTANCE
            def ordered? = @typed ? @typed.checked?(:ordered) : @near&.ordered

            # Where the words can be split into two sides, for a select; none for two words.
            def splits
              return [] if words.size < 3

              chosen = @typed ? @typed.number(:split) : (@near.left.split.size if @near)
              (1...words.size).map do |at|
                [at, "#{words.take(at).join(" ")} | #{words.drop(at).join(" ")}", at == chosen]
              end
            end

            private

            def words = text.split
          end
        end
      end
    end
  end
end
