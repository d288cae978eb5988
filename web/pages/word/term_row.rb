# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Word
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
            @term.excluded? ? "taken away · #{note}" : note
          end

          # How many spellings a truncated term in use takes in, when they are very many; else nil.
          def wild = (@column.wild[id] if @term.in_use?)

          # What it finds that no other term does, in words.
          def alone
            return "would add #{number(figures.alone)}" if @term.crossed_out?
            return "takes #{number(figures.alone)}" if @term.excluded?
            return "finds nothing" if figures.empty?

            figures.alone.zero? ? "adds nothing" : "#{number(figures.alone)} only here"
          end

          # For the bar: what it finds, what of that no other one does, the whole block.
          def bar = [size, @term.in_use? ? figures.alone : 0, @column.figures.size]

          private

          def figures = @column.figures.terms.fetch(id)

          def crossed_out
            @term.crossed_out.empty? ? "crossed out" : "crossed out: #{@term.crossed_out}"
          end
        end
      end
    end
  end
end
