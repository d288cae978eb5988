# frozen_string_literal: true

module Hobrin
  module CloseReading
    module Offers
      # The numbers of two groups in a sentence: how many of how many, means with deviations, or
      # events over time, in the ways in which abstracts print them.
      module Groups
        # form :: key of a form; typed :: Array of [field, text]; says :: as they stand there;
        # places :: [[from, to], [from, to]] of each group's numbers in the sentence
        class Found < Value
          attributes :form, :typed, :says, :places
        end

        # How many of how many: part, whole :: Integers; says, from, to :: where it stands
        class Counted < Value
          attributes :part, :whole, :says, :from, :to
        end

        COUNT = /\d{1,3}(?:,\d{3})+|\d+/
        NUMBER = Printed::PATTERN
        WHO = /patients|people|persons|adults|children|participants|residents|women|men|nurses|babies|infants|cases/
        PERCENT = /\d+(?:[.·]\d+)?\s?%/
        # Beside those that Share reads.
        COUNTED = [
          /(?<![\d.,·])(?<part>#{COUNT})\s(?:#{WHO})(?:\s?\(#{PERCENT}\))?\s(?:out of|of|among)\s(?:the\s)?(?<whole>#{COUNT})(?![\d.,]*\d|%)/i,
          /(?<![\d.,·])(?<part>#{COUNT})(?:\s(?:#{WHO}))?\s?\(#{PERCENT}\)[^.;\d]{1,60}?\(\s?n\s?=\s?(?<whole>#{COUNT})\)/i,
          %r{\b(?:of|among)\s(?:the\s)?(?<whole>#{COUNT})\s(?:#{WHO})?[^.;\d]{0,60}?[,\s](?<part>#{COUNT})(?![\d.,·]*\d|\s?(?:%|of\b|out of|/|(?:#{WHO})\sof))}i,
          /(?<percent>\d+(?:[.·]\d+)?)\s?%\sof\s(?:the\s)?(?<whole>#{COUNT})(?![\d.,]*\d)/i
        ].freeze
        SD = /(?:SD|standard deviation)/i
        MEANS = [/(?<mean>#{NUMBER})\s?(?:\(|,\s?)#{SD}[ =:]?\s?(?<sd>#{NUMBER})(?!\d)/i, /(?<mean>#{NUMBER})\s?±\s?(?<sd>#{NUMBER})/,
                 /(?<mean>#{NUMBER})\s\((?<sd>#{NUMBER})\)/].freeze
        # The last way only where the sentence says that deviations stand in brackets.
        IN_BRACKETS = /\((?:SD|standard deviation)\)/i
        SIZE = /\bn\s?=\s?(?<n>#{COUNT})|\b(?:in|of|by)\s(?:the\s)?(?<n>#{COUNT})(?!\s?%)\b|(?<n>#{COUNT})\s(?:#{WHO})/i
        OVER_TIME = /(?<events>\d+)(?: [a-z]+){0,3} in (?<time>#{COUNT}) (?:[a-z]+[- ])?(?:days|hours|years|months)/i
        private_constant :COUNT, :NUMBER, :WHO, :PERCENT, :COUNTED, :SD, :MEANS, :IN_BRACKETS, :SIZE, :OVER_TIME

        class << self
          # sentence :: Passage::Sentence. Array of Found, each of two groups beside each other.
          def of(sentence) = [*counts(sentence), *means(sentence), *over_time(sentence)]

          # Array of Counted in the order of the sentence, none within another.
          def shares(sentence)
            text = Printed::NumberWords.in_figures(sentence.text)
            plain = sentence.with(text:)
            found = Share.all_in(plain).map { |share| counted(share.part, share.whole, share.match) }
            found += COUNTED.flat_map { |pattern| plain.matches(pattern).filter_map { |match| of_match(match) } }
            found.sort_by { |one| [one.from, one.to] }.each_with_object([]) do |one, kept|
              kept << one unless kept.last && one.from < kept.last.to
            end
          end

          private

          def counted(part, whole, match)
            Counted.new(part:, whole:, says: match[0], from: match.begin(0), to: match.end(0))
          end

          def of_match(match)
            whole = match[:whole].delete(",").to_i
            part = match.names.include?("percent") ? from_percent(match[:percent], whole) : match[:part].delete(",").to_i
            counted(part, whole, match) if part && whole.positive?
          end

          # The only count that is printed as that percentage; nil where there are several.
          def from_percent(text, whole)
            percent = Printed.read(text)
            counts = ((percent.low * whole / 100).floor..(percent.high * whole / 100).ceil)
                     .select { |count| percent.fits?(100.0 * count / whole) }
            counts.first if counts.size == 1
          end

          # Of a test, the two counts are not of two groups.
          def counts(sentence)
            return [] if sentence.text.match?(/\bspecificity\b/i)

            shares(sentence).each_slice(2).filter_map do |one, two|
              next unless two && [one, two].all? { |share| share.part <= share.whole }

              typed = %i[events total comparison_events comparison_total].zip([one.part, one.whole, two.part, two.whole])
              found("counts", typed, [one.says, two.says], [[one.from, one.to], [two.from, two.to]])
            end
          end

          def means(sentence)
            pattern = MEANS.find { |pattern| sentence.text.match?(pattern) } or return []
            return [] if pattern == MEANS.last && !sentence.text.match?(IN_BRACKETS)

            sentence.matches(pattern).each_slice(2).filter_map do |one, two|
              two && of_means(sentence.text, one, two)
            end
          end

          def of_means(text, one, two)
            names = %i[mean deviation size comparison_mean comparison_deviation comparison_size]
            numbers = [one, two].zip(sizes(text, one, two)).flat_map { |match, size| [match[:mean], match[:sd], size] }
            found("means_sd", names.zip(numbers), [one[0], two[0]].map { |says| says.count("(") > says.count(")") ? "#{says})" : says },
                  [one, two].map { |match| [match.begin(0), match.end(0)] })
          end

          # How many there were in each group: behind its numbers, or before them; "" where it is
          # not said.
          def sizes(text, one, two)
            stretches = [text[0...one.begin(0)], text[one.end(0)...two.begin(0)], text[two.end(0)..]]
            first, second, third = stretches.map { |part| part.scan(SIZE).flatten.compact.map { |size| size.delete(",") } }
            return [first.last, second.last] if first.any? && second.any? && third.empty?

            [second.first || first.last || "", third.first || ""]
          end

          def over_time(sentence)
            sentence.matches(OVER_TIME).each_slice(2).filter_map do |one, two|
              next unless two

              numbers = [one, two].flat_map { |match| [match[:events], match[:time].delete(",")] }
              found("events_over_time", %i[events time comparison_events comparison_time].zip(numbers), [one[0], two[0]],
                    [one, two].map { |match| [match.begin(0), match.end(0)] })
            end
          end

          def found(form, typed, says, places) = Found.new(form:, typed:, says:, places:)
        end
      end
    end
  end
end
