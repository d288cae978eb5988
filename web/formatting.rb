# frozen_string_literal: true

require "bigdecimal"

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

      # 0.125 => "0.13"; infinity => "∞". A half goes away from nothing, read off the number as it
      # is
      # written and not off its binary neighbour.
      def decimal(value, digits = 2)
        return "#{MINUS if value.negative?}∞" if value.infinite?

        format("%.#{digits}f", BigDecimal(value.to_s).round(digits, half: :up)).sub(/\A-(?=.*[1-9])/,
                                                                                    MINUS).delete_prefix("-")
      end

      # 0.285 => "29": a share as a whole number of hundredths.
      def hundredths(share) = decimal(BigDecimal(share.to_s) * 100, 0)

      # 0.1234 => "12.3". What is not nothing is not shown as nothing: 0.0002 => "0.02".
      def points(share)
        all = BigDecimal(share.to_s) * 100
        digits = (1..4).find { |count| all.zero? || !all.round(count, half: :up).zero? } || 4
        decimal(all, digits)
      end

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

      # The title of a paper, as safe markup; that it was retracted goes before it wherever it
      # appears.
      def title_of(record, text = h(record.title))
        return text unless record.retracted?

        %(<b class="retracted">Retracted</b> #{text.sub(/\Aretracted(?: article)?:\s*/i, "")})
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
                                      class: "phrase proposed #{"unsure " unless piece.sure}phrase-#{tone(piece.key)}",
                                      title: piece.sure ? "Proposed: take it" : "Proposed, not sure: take it")
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
