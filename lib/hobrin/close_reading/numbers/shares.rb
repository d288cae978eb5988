# frozen_string_literal: true

module Hobrin
  module CloseReading
    module Numbers
      # Counts with percentages: "31 of 162 (19.1%)"; no part is more than its whole; and no count
      # gives "19.3% of 20".
      class Shares < Check
        ALONE = /(?<![\d.·,(])(?<percent>\d+[.·]\d+|\d+)\s?% of (?:the |all )?(?<whole>\d{1,3}(?:,\d{3})+|\d+)(?![.·]\d|\s?%)/
        private_constant :ALONE

        private

        def in_sentence(sentence)
          Share.all_in(sentence).filter_map { |share| of(sentence, share) } +
            sentence.matches(ALONE).filter_map { |match| alone(sentence, match) }
        end

        def of(sentence, share)
          if share.part > share.whole
            return disagreement(:more_than_all, sentence, share.match,
                                "#{share.part} is more than #{share.whole}")
          end
          return if share.percent.nil? || share.percent.fits?(percentage(share))

          disagreement(:share, sentence, share.match,
                       "#{share.part} of #{share.whole} is #{share.percent.like(percentage(share))}%")
        end

        def percentage(share) = 100.0 * share.part / share.whole

        def alone(sentence, match)
          percent, whole = [match[:percent], match[:whole]].map { |text| printed(text) }
          return if whole.value.zero?

          from, to = [percent.low, percent.high].map { |end_of| end_of * whole.value / 100 }
          near = (from + 1e-9).floor..(to - 1e-9).ceil
          return if near.any? { |count| percent.fits?(100.0 * count / whole.value) }

          disagreement(:impossible_share, sentence, match,
                       "no count of #{whole.text} is #{percent.text}%")
        end
      end
    end
  end
end
