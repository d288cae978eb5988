# frozen_string_literal: true

module Hobrin
  module Strategy
    # A word, or a phrase (its words side by side, in order), perhaps masked: * any letters, ? one
    # letter.
    #
    # text   :: folded words with one space between: "ear plug*", "wom?n"
    # fields :: some of FIELDS; the text of a paper (title, abstract, author keywords) unless said
    #   otherwise
    #
    # Raises InputError (:words) when there is no word, a * comes after fewer than three letters, or
    # the text is too long; (:fields) when no field is chosen.
    class TextTerm < Expression
      attributes :text, :fields

      FIELDS = Book.names("strategy.field", %i[title abstract keywords headings])
      TEXT = %i[title abstract keywords].freeze
      LONGEST = FieldLengths.of(:term)
      SHORTEST_STEM = 3
      QUOTED = /["“”]/
      # Quotation and question marks around a term that do not count.
      SIGNS = 20
      private_constant :QUOTED, :SIGNS

      class << self
        # typed :: as a person typed it; quotation marks, capitals and hyphens do not matter, and a question
        # mark at the very end is one unless it stands in quotation marks.
        def read(typed, fields: TEXT)
          text = typed.to_s.strip
          refuse(Book.t("strategy.errors.term_length", most: LONGEST)) if text.size > LONGEST + SIGNS

          text = text.sub(/\?+\z/, "").gsub(QUOTED, " ").strip
          refuse(Book.t("strategy.errors.term_length", most: LONGEST)) if text.size > LONGEST

          new(text: Text::Tokens.masked(text).join(" "), fields:)
        end

        private

        def refuse(message) = raise(InputError, { words: message })
      end

      def initialize(text:, fields: TEXT)
        @text = text.dup.freeze
        @fields = FIELDS.keys.select { |field| fields.include?(field) }.freeze
        raise InputError, { fields: Book.t("strategy.errors.fields") } if @fields.empty?

        check
        freeze
      end

      # The words with their masks, in order.
      def tokens = text.split
      def masks = tokens.map { |token| Text::Mask.new(token) }
      def masked? = text.match?(/[*?]/)
      def phrase? = text.include?(" ")
      def label = text

      private

      def check
        problem = if tokens.none? { |token| token.match?(/[^*?]/) } then Book.t("strategy.errors.word")
                  elsif tokens.any? do |token|
                    token.match?(/\A[*?]+\z/)
                  end then Book.t("strategy.errors.wildcard")
                  elsif tokens.any? { |token| early_star?(token) }
                    Book.t("strategy.errors.stem", least: SHORTEST_STEM)
                  end
        raise InputError, { words: problem } if problem
      end

      def early_star?(token)
        token.include?("*") && token[/\A[^*]*/].delete("?").size < SHORTEST_STEM
      end
    end
  end
end
