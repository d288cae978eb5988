# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Sift
        # What Hobrin learned from the decisions so far, in words.
        class Likely
          # How many words are told for and against.
          WORDS = 4
          # From this chance that none is left, reading on is likely to bring nothing: the estimate
          # errs towards reading on.
          BRINGS_NOTHING = 0.5
          private_constant :WORDS, :BRINGS_NOTHING

          # page :: Sift; likeliest :: Services::Screen::List::Likeliest
          def initialize(page, likeliest, context)
            @page = page
            @likeliest = likeliest
            @context = context
          end

          def any? = @likeliest.any?

          # What speaks for keeping the open paper and against: [for, against], each a text.
          def speaks(record)
            reasons = @likeliest.reasons(record).select { |trait, _| telling?(trait) }
            [reasons.select { |_, share| share.positive? }, reasons.select { |_, share| share.negative? }]
              .map { |some| some.first(WORDS).map { |trait, _| words(trait) }.join(", ") }
          end

          # How many keepers are expected among the unread, and whether to stop, in sentences.
          def may_stop
            return "Nothing is unread." if @page.unread.zero?
            return "With fewer than #{few} papers, read them all." if @page.list.all < few
            return "Too early to tell: decide on #{enough} first." if @page.list.all - @page.unread < enough

            "#{expected} #{advice}"
          end

          private

          def few = Screening::StoppingEstimate::FEW
          def enough = Screening::StoppingEstimate.enough(@page.list.all)
          def stopping = @likeliest.stopping

          def expected
            about = @page.decimal(stopping.expected, stopping.expected < 10 ? 1 : 0)
            most = stopping.high == Screening::StoppingEstimate::MOST ? "" : ", hardly more than #{stopping.high}"
            "Of #{@page.number(@page.unread)} unread, about #{about} are expected to be kept#{most}."
          end

          def advice
            none = @page.hundredths(stopping.none)
            return "Reading on is likely to bring nothing: #{none} in 100 that none is left." if stopping.none >= BRINGS_NOTHING

            "Read on, the likeliest first."
          end

          # A word that names a thing: others tell a person nothing.
          def telling?(trait) = trait.name.include?(" ") || @context.thesaurus.word?(trait.name)

          def words(trait)
            name = trait.name
            return "“#{name}”" unless name.include?(" ")

            name.delete_prefix("type ")
          end
        end
      end
    end
  end
end
