# frozen_string_literal: true

module Hobrin
  module Web
    # Numbers, dates and marked text in the words and marks of the page.
    module Formatting
      THIN_SPACE = "\u2009"
      MINUS = "\u2212"
      private_constant :THIN_SPACE, :MINUS

      # 12345 => "12 345", with a thin space.
      def number(count) = count.to_s.reverse.scan(/\d{1,3}/).join(THIN_SPACE).reverse

      # "1 paper", "26 papers"
      def count_of(count, noun) = "#{number(count)} #{noun}#{"s" unless count == 1}"

      # 0.12345 => "0.12"; infinity => "∞"
      def decimal(value, digits = 2)
        return "∞" if value.infinite?

        format("%.#{digits}f", value).sub(/\A-(?=.*[1-9])/, MINUS).delete_prefix("-")
      end

      def points(share) = decimal(share * 100, 1)

      def signed(count) = count.negative? ? "#{MINUS}#{number(-count)}" : "+#{number(count)}"

      # ISO 8601 text => "23 Nov 2026"
      def day(text) = Date.parse(text.to_s).strftime("%-d %b %Y")

      def day_and_time(text) = Time.iso8601(text).getlocal.strftime("%-d %b %Y, %H:%M")

      # The name of an element's colour and line: those beyond PICO share one.
      def tone(key) = %w[P I C O].include?(key) ? key : "T"

      # The question sentence with its marked phrases, as safe markup.
      def sentence(question)
        at = 0
        parts = question.marks.map do |element, phrase|
          before = h(question.text[at...phrase.from])
          at = phrase.to
          "#{before}#{marked(element, phrase.text)}"
        end
        "#{parts.join}#{h question.text[at..]}"
      end

      # A paper's text with the words that brought it here, as safe markup.
      def highlighted(text, field, matched)
        at = 0
        parts = matched.call(text, field).map do |from, to, key|
          before = h(text[at...from])
          at = to
          %(#{before}<mark class="hit hit-#{tone(key)}">#{h text[from...to]}</mark>)
        end
        "#{parts.join}#{h text[at..]}"
      end

      # The sentence on Ask, where a marked phrase leads to its edges and a proposed one can be
      # taken; as safe markup.
      # page :: Pages::Ask
      def asked(page)
        page.pieces.map do |piece|
          case piece.as
          when :marked
            tag("a", marked(piece.element, piece.words), href: piece.path, "hx-get": piece.path)
          when :proposed then proposed(piece)
          else h(piece.words)
          end
        end.join
      end

      # A phrase of the sentence that can be taken with a press, as safe markup.
      def proposed(piece)
        tag("button", h(piece.words), form: "ask-form", name: "take[]", value: piece.value,
                                      class: "phrase proposed phrase-#{tone(piece.key)}",
                                      title: "Proposed: take it")
      end

      # A phrase of the sentence in the colour and line of its element, as safe markup.
      def marked(element, text)
        tone = tone(element.key)
        phrase = %(<span class="phrase phrase-#{tone}" title="#{h element.slot.name}">#{h text}</span>)
        %(#{phrase}<sup class="letter-#{tone}">#{element.letter}</sup>)
      end
    end
  end
end
