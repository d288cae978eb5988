# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Word
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

          # page :: Word; column :: Services::Terms::Read::Column
          def initialize(page, column)
            @page = page
            @column = column
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

          # What it lacks, by what its newest and its kept papers have in common: see
          # Services::Terms::SuggestHeadings.
          def samples = @samples ||= @page.suggestions(key)

          # Why a heading is near to the block. suggestion :: Retrieval::HeadingSuggestions::Suggestion
          def why_near(suggestion)
            about = suggestion.near.about
            case suggestion.near.how
            when :word then "shares the word “#{about}”"
            when :narrower then "narrower than #{about}"
            when :beside then "beside #{about} in the thesaurus"
            when :related then "related to #{about}"
            when :broader then "broader than #{about}"
            when :papers then "#{about} of 10 papers with it are in this block"
            end
          end

          def sample_words(name, sample)
            return "Among the #{count_of(sample.size, "paper")} you kept" if name == :kept

            "Among its #{sample.size} newest indexed papers"
          end

          # Whether the last change was about this block, so that what was wrong is said here.
          def active? = @page.active == key
          def typed = active? ? @page.fields.text(:typed) : ""

          # What may be meant by what was typed and not read: Array of texts.
          def choices
            return [] unless active? && @page.errors.key?(:typed)

            @page.choices_of(key, typed)
          end

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
            return " · no words yet, so papers not indexed yet are missed" if terms.all?(&:heading?)

            fresh = @column.figures.not_indexed
            by_words = " · #{number(@column.figures.by_words)} only by words"
            fresh.positive? ? "#{by_words}, #{number(fresh)} of them not indexed yet" : by_words
          end
        end
      end
    end
  end
end
