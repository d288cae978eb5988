# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
      # Numbers as people type them: with a decimal point or a decimal comma, with spaces between
      # thousands, with a per cent sign. "1,200" is twelve hundred where a count is asked for, and
      # 1.2 where a measured number is; "1,200.5" and "1.200,5" leave no doubt.
      module Typed
        LONGEST = 24
        SPACES = /[\s\u00A0\u2009\u202F]/
        THOUSANDS = /\A-?\d{1,3}(?:([.,])\d{3})(?:\1\d{3})*\z/
        NUMBER = /\A-?(?:\d+(?:\.\d*)?|\.\d+)\z/
        private_constant :LONGEST, :SPACES, :THOUSANDS, :NUMBER

        class << self
          # Gives an Integer; nil for what is none.
          def whole(text)
            plain = bare(text) or return
            plain = plain.delete(".,") if plain.match?(THOUSANDS)
            Integer(plain, 10, exception: false)
          end

          # Gives a Float; nil for what is no number.
          def number(text)
            plain = bare(text) or return
            one, two = [plain.rindex(","), plain.rindex(".")]
            plain = plain.delete(one > two ? "." : ",") if one && two
            plain = plain.tr(",", ".")
            plain.match?(NUMBER) ? plain.to_f : nil
          end

          # Whether a measured number may be meant as thousands: "1,200", but not "0,125".
          def ambiguous?(text) = text.to_s.strip.match?(/\A-?[1-9]\d{0,2},\d{3}\z/)

          # text :: as above. Which of the two is meant, in a sentence.
          def question(text)
            "Is this #{whole(text)} or #{format("%g", number(text))}? Write it without the comma."
          end

          private

          def bare(text)
            return if text.to_s.size > LONGEST

            text.to_s.gsub(SPACES, "").tr("−–", "--").delete_suffix("%")
          end
        end
      end
    end
  end
end
