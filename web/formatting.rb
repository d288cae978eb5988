# frozen_string_literal: true

module Hobrin
  module Web
    # Marked text and times in the words and marks of the page, beside Text::Numerals.
    module Formatting
      include Text::Numerals

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
          %(#{before}<mark class="hit of-#{tone(key)}">#{h text[from...to]}</mark>)
        end
        "#{parts.join}#{h text[at..]}"
      end

      # The sentence on Ask, where a marked phrase leads to its edges and a proposed one can be
      # taken; as safe markup.
      # page :: Web::Steps::Ask::Page
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
                                      class: "phrase proposed #{"unsure " unless piece.sure}of-#{tone(piece.key)}",
                                      title: piece.sure ? Book.t("common.proposals.proposed") : Book.t("common.proposals.proposed_unsure"))
      end

      # A phrase of the sentence in the colour and line of its element, as safe markup.
      def marked(element, text)
        tone = tone(element.key)
        phrase = %(<span class="phrase of-#{tone}" title="#{h element.slot.name}">#{h text}</span>)
        %(#{phrase}<sup class="of-#{tone}">#{element.letter}</sup>)
      end
    end
  end
end
