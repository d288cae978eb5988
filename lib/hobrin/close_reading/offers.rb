# frozen_string_literal: true

module Hobrin
  module CloseReading
    # The numbers of a text in the forms in which a result can be written down, each with the
    # sentence that gives it.
    module Offers
      # form :: key of a form of results; typed :: Hash of field name to text; says :: as they
      #   stand there
      # measure :: of a ready-made effect, a Symbol, or nil; sentence :: Passage::Sentence
      class Offer < Value
        attributes :form, :typed, :says, :measure, :sentence
      end

      MEAN = /(?<mean>#{Printed::PATTERN})\s?\((?:SD|standard deviation)[ =:]?\s?(?<sd>#{Printed::PATTERN})\)[^.;]*?(?: in | of |, n ?= ?)(?<n>\d{1,3}(?:,\d{3})+|\d+)/i
      # Events, and in how many days of tubes, beds or people.
      COUNT = /\d{1,3}(?:,\d{3})+|\d+/
      OVER_TIME = /(?<events>\d+)(?: [a-z]+){0,3} in (?<time>#{COUNT}) (?:[a-z]+[- ])?(?:days|hours|years|months)/i
      SENSITIVITY = /\bsensitivity\b/i
      private_constant :MEAN, :COUNT, :OVER_TIME, :SENSITIVITY

      class << self
        # passage :: Passage; forms :: keys of forms that are asked for; measures :: keys of those
        #   that a ready-made effect may be in, nil for any. Gives an Array of Offer.
        def all_in(passage, forms, measures: nil)
          found = passage.sentences.select(&:numbers?).flat_map { |sentence| of(sentence) }
          found.select do |offer|
            forms.include?(offer.form) && (offer.measure.nil? || measures.nil? || measures.include?(offer.measure))
          end
        end

        private

        def of(sentence)
          [*counts(sentence), *means(sentence), *over_time(sentence), *cells(sentence),
           *groups(sentence), *estimates(sentence)]
        end

        def counts(sentence)
          Pair.all_in(sentence).select(&:possible?).map do |pair|
            names = %i[events total comparison_events comparison_total]
            offer("counts", names.zip(pair.numbers), [pair.one, pair.two].map do |share|
              share.match[0]
            end, sentence)
          end
        end

        def means(sentence)
          sentence.matches(MEAN).each_slice(2).filter_map do |one, two|
            next unless two

            numbers = [one, two].flat_map do |match|
              [match[:mean], match[:sd], match[:n].delete(",")]
            end
            names = %i[mean deviation size comparison_mean comparison_deviation comparison_size]
            offer("means_sd", names.zip(numbers), [one[0], two[0]], sentence)
          end
        end

        def over_time(sentence)
          sentence.matches(OVER_TIME).each_slice(2).filter_map do |one, two|
            next unless two

            numbers = [one, two].flat_map { |match| [match[:events], match[:time].delete(",")] }
            offer("events_over_time",
                  %i[events time comparison_events comparison_time].zip(numbers), [one[0], two[0]], sentence)
          end
        end

        # Sensitivity and specificity as counts.
        def cells(sentence)
          found, cleared = Share.all_in(sentence)
          return [] unless cleared && sentence.text.match?(SENSITIVITY)

          typed = { true_positives: found.part, false_negatives: found.whole - found.part,
                    false_positives: cleared.whole - cleared.part, true_negatives: cleared.part }
          [offer("four_cells", typed.to_a, [found.match[0], cleared.match[0]], sentence)]
        end

        # Each share by itself, and two beside each other as one group.
        def groups(sentence)
          shares = Share.all_in(sentence)
          single = shares.map { |share| [[share.part, share.whole], [share.match[0]]] }
          pairs = Pair.all_in(sentence).map do |pair|
            [[pair.one.part + pair.two.part, pair.one.whole + pair.two.whole],
             [pair.one.match[0], pair.two.match[0]]]
          end
          (single + pairs).map do |numbers, says|
            offer("one_group", %i[events total].zip(numbers), says, sentence)
          end
        end

        def estimates(sentence)
          Estimate.all_in(sentence).filter_map do |one|
            next unless one.interval? || one.p

            typed = { value: one.value.text, low: one.low&.text, high: one.high&.text,
                      p: (one.p.last.text if one.p && !one.interval?) }
            offer("estimate", typed.compact.to_a, [one.match[0]], sentence, one.measure)
          end
        end

        def offer(form, typed, says, sentence, measure = nil)
          Offer.new(form:, typed: typed.to_h.transform_values(&:to_s), says:, measure:, sentence:)
        end
      end
    end
  end
end
