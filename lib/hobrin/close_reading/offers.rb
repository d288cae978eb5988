# frozen_string_literal: true

module Hobrin
  module CloseReading
    # The numbers of a text in the forms in which a result can be written down, each with the
    # sentence that gives it.
    module Offers
      # form :: key of a form of results; typed :: Hash of field name to text; says :: as they stand there
      # measure :: of a ready-made effect, a Symbol, or nil; sentence :: Passage::Sentence
      # labels :: what the sentence calls the two groups, [with, without], "" for nothing
      # settled :: whether it is known which group is which; else the first stands as "with"
      class Offer < Value
        attributes :form, :typed, :says, :measure, :sentence, :labels, :settled

        # The same with the second group as the one with the intervention.
        def turned
          other = ->(name) { name.start_with?(OTHER) ? name.to_s.delete_prefix(OTHER).to_sym : :"#{OTHER}#{name}" }
          with(typed: typed.transform_keys(&other), labels: labels.reverse, says: says.reverse)
        end
      end

      # What stands before the name of a field of the comparison group.
      OTHER = "comparison_"
      private_constant :OTHER

      class << self
        # passage :: Passage; forms :: keys of forms that are asked for; measures :: keys of those
        #   that a ready-made effect may be in, nil for any; arms :: Arms, by which the
        #   groups of a sentence are told apart. Gives an Array of Offer.
        def all_in(passage, forms, measures: nil, arms: Arms.blank)
          found = passage.sentences.select(&:numbers?).flat_map { |sentence| of(sentence, arms, passage) }
          found.select do |offer|
            forms.include?(offer.form) && (offer.measure.nil? || measures.nil? || measures.include?(offer.measure))
          end
        end

        private

        def of(sentence, arms, passage)
          pairs = Groups.of(sentence).filter_map { |pair| of_pair(pair, sentence, arms) }
          [*pairs, *cells(sentence), *groups(sentence), *estimates(sentence, passage)]
        end

        def of_pair(pair, sentence, arms)
          found = GroupLabels.new(sentence.text, *pair.places, arms).call
          made = offer(pair.form, pair.typed, pair.says, sentence, labels: found.labels, settled: !found.order.nil?)
          found.order == :turned ? made.turned : made
        end

        # Sensitivity and specificity as counts, in the order in which the sentence names them.
        def cells(sentence)
          names = sentence.matches(/\b(?:sensitivity|specificity)\b/i).map { |match| match[0].downcase }
          shares = Share.all_in(sentence)
          return [] unless names.uniq.size == 2 && names.size == 2 && shares.size == 2

          found, cleared = names.zip(shares).to_h.values_at("sensitivity", "specificity")
          typed = { true_positives: found.part, false_negatives: found.whole - found.part,
                    false_positives: cleared.whole - cleared.part, true_negatives: cleared.part }
          [offer("four_cells", typed.to_a, [found.match[0], cleared.match[0]], sentence)]
        end

        # Each share by itself, and two beside each other as one group.
        def groups(sentence)
          single = Groups.shares(sentence).map { |share| [[share.part, share.whole], [share.says]] }
          pairs = Share::Pair.all_in(sentence).map do |pair|
            [[pair.one.part + pair.two.part, pair.one.whole + pair.two.whole],
             [pair.one.match[0], pair.two.match[0]]]
          end
          (single + pairs).map do |numbers, says|
            offer("one_group", %i[events total].zip(numbers), says, sentence)
          end
        end

        def estimates(sentence, passage)
          Estimate.all_in(sentence).filter_map do |estimate|
            next unless estimate.interval? || estimate.p

            typed = { value: estimate.value.text, low: estimate.low&.text, high: estimate.high&.text, level: level(estimate, passage),
                      p: (estimate.p.last.text if estimate.p && !estimate.interval?) }
            offer("estimate", typed.compact.to_a, [estimate.match[0]], sentence, measure: estimate.measure)
          end
        end

        # The level of an interval where it is not 95: as it says, else the only one that the text
        # names.
        def level(estimate, passage)
          return unless estimate.interval?

          named = estimate.level ? [estimate.level] : Estimate.levels(passage.text)
          format("%g", named.first) if named.size == 1 && named.first != 95
        end

        def offer(form, typed, says, sentence, measure: nil, labels: ["", ""], settled: true)
          Offer.new(form:, typed: typed.to_h.transform_values(&:to_s), says:, measure:, sentence:, labels:, settled:)
        end
      end

      # Which end of a scale is the good one, as a sentence says: "10 being best", "higher is worse".
      module ScaleWay
        MORE = /\b\d+ (?:being|is|was|means?|for) (?:the )?best|\b(?:higher|more)(?: scores?| values?| points?)? (?:is|are|being|means?) (?:better|good)/i
        LESS = /\b\d+ (?:being|is|was|means?|for) (?:the )?worst|\b(?:higher|more)(?: scores?| values?| points?)? (?:is|are|being|means?) (?:worse|bad)/i
        private_constant :MORE, :LESS

        # text :: String. Gives :more where more is better, :less where less is, nil where it does
        # not say, or says both.
        def self.of(text)
          more, less = [MORE, LESS].map { |pattern| text.match?(pattern) }
          return if more == less

          more ? :more : :less
        end
      end
    end
  end
end
