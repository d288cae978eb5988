# frozen_string_literal: true

module Hobrin
  module Appraisal
    module Findings
      # What is found, in words that say no more than certainty and interval allow (after GRADE guidance
      # 26, Santesso et al., J Clin Epidemiol 2020;119:126; from memory). Direction and size come
      # from the interval and from what is worth having; how surely it is said comes from the
      # certainty.
      module Wording
        # What an interval tells, and its direction.
        DIRECTIONS = { less: :less, slightly_less: :less, alike: :alike, slightly_more: :more, more: :more,
                       unclear: :unclear }.freeze
        TELLS = "We cannot tell"
        private_constant :TELLS

        class << self
          # found :: as `said` gives it; level :: 1 to 4; name :: of the outcome. Gives a sentence
          # without its full stop.
          def of(found:, level:, name:)
            what = thing(name)
            return "#{TELLS} what it does to #{what}" if level == 1 || found == :unclear

            before, verb, after = verb(found)
            case level
            when 4 then capital("#{before}#{verb}s#{after} #{what}")
            when 3 then "Probably #{before}#{verb}s#{after} #{what}"
            else "May #{before}#{verb}#{after} #{what}"
            end
          end

          # What an interval tells, one of DIRECTIONS. estimate, low, high :: on the scale of
          # pooling; worth :: Certainty::Worthwhile, nil where none is known
          def said(estimate, low, high, worth)
            return without_size(low, high) unless worth
            return :alike if low >= worth.low && high <= worth.high && low.negative? && high.positive?
            return :unclear if 0.between?(low, high)

            if high.negative? then estimate < worth.low ? :less : :slightly_less
            else estimate > worth.high ? :more : :slightly_more
            end
          end

          private

          def without_size(low, high)
            return :unclear if 0.between?(low, high)

            high.negative? ? :less : :more
          end

          # [before the verb, the verb, behind it]
          def verb(found)
            { less: ["", "lower", ""], slightly_less: ["slightly ", "lower", ""], more: ["", "raise", ""],
              slightly_more: ["slightly ", "raise", ""], alike: ["", "make", " little or no " \
                                                                             "difference to"] }.fetch(found)
          end

          # Small letters within a sentence, but for names in capitals.
          def thing(name) = name.match?(/\A\p{Lu}\p{Ll}/) ? name[0].downcase + name[1..] : name
          def capital(text) = text[0].upcase + text[1..]
        end
      end
    end
  end
end
