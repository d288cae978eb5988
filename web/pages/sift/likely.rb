# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Sift
        # What Hobrin learned from the decisions so far, in words.
        class Likely
          # How many words are told for and against.
          WORDS = 4
          # Below this chance that one is left, reading on is likely to bring nothing.
          BRINGS_NOTHING = 0.9
          private_constant :WORDS, :BRINGS_NOTHING

          # page :: Sift; likeliest :: Services::Likeliest
          def initialize(page, likeliest, context)
            @page = page
            @likeliest = likeliest
            @context = context
          end

          def any? = @likeliest.any?

          # What speaks for keeping the open paper and against: [for, against], each a text.
          def speaks(record)
            reasons = @likeliest.reasons(@context.library.number(record.id))
            [reasons.select { |_, share| share.positive? }, reasons.select { |_, share| share.negative? }]
              .map { |some| some.first(WORDS).map { |trait, _| words(trait) }.join(", ") }
          end

          # How many keepers are expected among the unread, in a sentence.
          def expected
            stopping = @likeliest.stopping
            return "Nothing is unread." if @page.unread.zero?

            "Of #{@page.number(@page.unread)} unread, about #{@page.decimal(stopping.expected, stopping.expected < 10 ? 1 : 0)} " \
              "are expected to be kept (#{stopping.low} to #{stopping.high}, 9 times in 10)."
          end

          # Whether to stop, in a sentence.
          def advice
            return "With fewer than #{Sifting::Stopping::FEW} papers, read them all." if @page.list.all < Sifting::Stopping::FEW

            stopping = @likeliest.stopping
            return "Reading on is likely to bring nothing: the chance that none is left is #{@page.hundredths(stopping.none)} in 100." if stopping.none >= BRINGS_NOTHING

            "Read on, the likeliest first."
          end

          private

          def words(trait)
            kind, name = trait.is_a?(Array) ? trait : [:word, trait]
            { word: "“#{name}”", heading: "heading #{name}", type: name }.fetch(kind)
          end
        end
      end
    end
  end
end
