# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Terms
        # The open card of a term, or of a heading before it is added.
        class TermCard
          include Formatting

          MOST_SPELLINGS = 14
          FEW_ASPECTS = 3
          private_constant :MOST_SPELLINGS, :FEW_ASPECTS

          # param, value :: what a press or a tick sends; on :: whether the heading is searched so
          #   now
          class Choice < Value
            attributes :name, :param, :value, :on, :size, :pressed

            def turned = on ? Book.t("terms.term.turned_off") : Book.t("terms.term.turned_on")
          end

          # A heading in the neighbourhood: depth :: in its branch; held :: whether the block has it
          #   already
          class Neighbour < Value
            attributes :label, :size, :depth, :itself, :held, :path
          end

          # text :: the words; adds :: papers that the block lacks; kind :: in words
          class Synonym < Value
            attributes :text, :adds, :kind
          end

          # page :: Word; card :: Retrieval::TermCard; block :: Strategy::Block
          def initialize(page, card, block)
            @page = page
            @card = card
            @block = block
          end

          def key = @card.key
          def term = @card.term
          def heading = @card.heading
          def first? = @card.first
          def last? = @card.last
          def close_path = @page.path

          # Where its forms send, and what keeps it open.
          def path = term ? @page.path("terms/#{term.id}") : @page.path(:terms)
          def adding_path = @page.path(:terms)
          def here = term ? "term:#{term.id}" : "heading:#{key}:#{@card.leaf.label}"
          def label = @card.leaf.label
          def reason = @page.fields.text(:reason)

          # The blocks that it could be moved to, for a select.
          def others
            columns = @page.columns.reject { |column| column.key == key }
            columns.map { |column| [column.key, Book.t("terms.term.to_block", letter: column.letter), false] }
          end

          def also_called = heading.also_called.join(", ")

          # The choices of a heading: those of its own, then its aspects.
          def choices = @card.choices.grep_v(aspect?).map { |choice| choice_of(choice) }
          def aspects = @card.choices.grep(aspect?).map { |choice| choice_of(choice) }
          def nothing_narrower? = @card.choices.none? { |choice| choice.key == :narrower }
          def many_aspects? = @card.leaf.aspects.size > FEW_ASPECTS

          # One branch for each place of the heading, each an Array of Neighbour; narrower ones
          # stand below it.
          def branches
            @card.place.paths.map do |path|
              below = @card.place.narrower.map { |label, size| neighbour(label, size, path.size) }
              path.each_with_index.map { |(label, size), depth| neighbour(label, size, depth) } + below
            end
          end

          def related = @card.place.related.map { |label, size| neighbour(label, size, 0) }

          # The form in which its words can be changed; nil for a term that is none of words.
          def words = (Column::WordsForm.new(@page, term) if term && Column::WordsForm.for?(term.leaf))

          # What a truncated term takes in: [spelling, papers] of the commonest, and how many more
          # there are; nil for others.
          def spellings = @card.expansion&.words&.first(MOST_SPELLINGS)
          def spellings_size = @card.expansion.size
          def more_spellings = spellings_size - spellings.size

          def synonyms
            @card.synonyms.map do |synonym|
              Synonym.new(text: synonym.leaf.text, adds: synonym.adds, kind: Book.t("terms.term.kind.#{synonym.kind}"))
            end
          end

          private

          def aspect? = ->(choice) { choice.key.is_a?(String) }

          # In a card of a term each choice is pressed; before a heading is added it is ticked.
          def choice_of(choice)
            aspect = choice.key.is_a?(String)
            param, value = if term then ["turn", aspect ? "aspect:#{choice.key}" : choice.key]
                           else aspect ? ["aspects[]", choice.key] : [choice.key, "yes"]
                           end
            Choice.new(name: choice.name, param:, value:, on: choice.chosen, size: choice.size,
                       pressed: !term.nil?)
          end

          def neighbour(label, size, depth)
            held = @block.terms.any? { |term| term.heading? && term.label == label }
            Neighbour.new(label:, size:, depth: [depth, 6].min, itself: label == @card.leaf.label, held:,
                          path: @page.path(open: "heading:#{key}:#{label}"))
          end
        end
      end
    end
  end
end
