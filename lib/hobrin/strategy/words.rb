# frozen_string_literal: true

module Hobrin
  module Strategy
    # A word, a phrase (its words side by side, in order), or either with its last word unfinished (*).
    #
    # text   :: folded words with one space between, perhaps with a * at the end: "ear plug*"
    # fields :: some of FIELDS; all three unless said otherwise
    #
    # Raises InputError (:words) when there is no word, a * stands elsewhere or after fewer than three
    # letters, or the text is too long; (:fields) when no field is chosen.
    class Words < Value
      attributes :text, :fields

      FIELDS = { title: "title", abstract: "abstract", keywords: "author keywords" }.freeze
      LONGEST = 120
      SHORTEST_STEM = 3

      # typed :: as a person typed it; quotation marks, capitals and hyphens do not matter.
      def self.read(typed, fields: FIELDS.keys)
        text = typed.to_s.gsub(/["“”]/, " ").strip
        refuse("Keep a term to #{LONGEST} characters. Long sentences find nothing.") if text.size > LONGEST
        refuse("A * stands only at the end of the last word: earplug*") if text.chomp("*").include?("*")

        stem = Text::Tokens.of(text)
        refuse("Write a word or a phrase.") if stem.empty?

        new(text: stem.join(" ") + (text.end_with?("*") ? "*" : ""), fields:)
      end

      def self.refuse(message) = raise(InputError, { words: message })
      private_class_method :refuse

      def initialize(text:, fields: FIELDS.keys)
        @text = text.dup.freeze
        @fields = FIELDS.keys.select { |field| fields.include?(field) }.freeze
        raise InputError, { fields: "Choose where to look: title, abstract or author keywords." } if @fields.empty?

        if truncated? && tokens.last.size < SHORTEST_STEM
          raise InputError, { words: "Write at least #{SHORTEST_STEM} letters before the *." }
        end

        freeze
      end

      def tokens = text.delete_suffix("*").split
      def truncated? = text.end_with?("*")
      def phrase? = tokens.size > 1
      def label = text

      # "phrase · title, abstract", what a person needs beside the words; where only when not everywhere.
      def note
        kind = phrase? ? "phrase" : "word"
        kind = "#{kind}, any ending" if truncated?
        where = fields.size == FIELDS.size ? "anywhere in the text" : FIELDS.values_at(*fields).join(", ")
        "#{kind} · #{where}"
      end
    end
  end
end
