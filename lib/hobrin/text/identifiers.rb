# frozen_string_literal: true

module Hobrin
  module Text
    # Recognises what may tell who a patient is in what people write: names after a title, dates of
    # birth, numbers of a hospital or a national service, beds and rooms, telephone, mail, postcode. It
    # is a warning and no proof: what it does not find may tell it all the same.
    #
    # Shapes: NHS numbers have ten digits, the last of which is a check (NHS Data Dictionary: modulus
    # 11), CHI numbers begin with a date of birth and have the same check; the others are common
    # practice.
    module Identifiers
      # kind :: key of PATTERNS; from, to :: places in the text; text :: what stands there
      class Found < Value
        attributes :kind, :from, :to, :text
      end

      MONTH = "(?:Jan(?:uary)?|Feb(?:ruary)?|Mar(?:ch)?|Apr(?:il)?|May|June?|July?|Aug(?:ust)?|Sept?(?:ember)?|" \
              "Oct(?:ober)?|Nov(?:ember)?|Dec(?:ember)?)"
      DATE = "(?:\\d{1,2}[./-]\\d{1,2}[./-](?:\\d{4}|\\d{2})|\\d{4}-\\d{2}-\\d{2}|" \
             "\\d{1,2}(?:st|nd|rd|th)?\\s+(?:of\\s+)?#{MONTH},?\\s+\\d{2,4}|#{MONTH}\\s+\\d{1,2}(?:st|nd|rd|th)?,?\\s+\\d{4})".freeze
      NAME = "\\p{Lu}[\\p{Ll}'’]+(?:[-\\s]\\p{Lu}[\\p{Ll}'’]+){0,2}|\\p{Lu}\\.?\\s?\\p{Lu}[\\p{Ll}'’]+"
      # What follows a bed or a room that is not one: a length of time, an angle, a size.
      UNITS = "(?!\\s*(?:%|°|degrees?|min|hours?|hrs?|h\\b|days?|nights?|weeks?|months?|years?|cm|mm|m\\b|kg|hospital|nurses?|" \
              "patients?|beds\\b|times|or\\b|to\\b|per|percent|in\\s))"
      PATTERNS = {
        birth: /\b(?:d\.?o\.?b\.?|born(?:\s+on)?|date\s+of\s+birth|birthday)\W{0,3}(?:is\s+|was\s+)?#{DATE}/i,
        name: /\b(?:Mr|Mrs|Ms|Miss|Mx|Mister|Master|Prof|Sir|Lady)\.?\s+(?:#{NAME})|
               \b(?:[Pp]atient|[Pp]t|[Rr]esident|[Cc]lient|[Nn]ame)(?:'s\s+name)?\s*(?:is|:|called|named|known\s+as|initials)\s+(?:#{NAME})|
               \b(?:called|named)\s+(?:#{NAME})/x,
        number: /\b(?:NHS|CHI|MRN|NI|H&C|hospital|patient|case|unit|chart|health|insurance|record|admission|ID)
                 \s*(?:no\.?|nr\.?|number|num|record|id|\#)?\s*[:\#]?\s*(?=[A-Z0-9 -]*\d{4})[A-Z]{0,3}\d[\d -]{3,12}\d[A-Z]?\b|
                 \b[A-CEGHJ-PR-TW-Z]{2}\s?\d{2}\s?\d{2}\s?\d{2}\s?[A-D]\b|\b\d{3}-\d{2}-\d{4}\b/ix,
        place: /\b(?:side[\s-]?room|bed(?:\s?space)?|room|cubicle|bay|cot)\s*(?:no\.?|number|\#)?\s*(?:[A-Z]?\d{1,3}[A-Z]?)\b#{UNITS}/i,
        phone: /(?<![\d.,])(?:\+\d{2}\s?\(?0?\)?\d{2,4}|\(?0\d{2,4}\)?)[\s-]?\d{3,4}[\s-]?\d{3,4}(?![\d.,]\d)|
                \b(?:tel|phone|ext|extension|bleep|mobile)\.?\s*:?\s*\d{3,11}\b/ix,
        mail: /\b[\w.+-]+@[\w-]+(?:\.[\w-]+)+\b/,
        postcode: /\b[A-Z]{1,2}\d[A-Z\d]?\s\d[A-Z]{2}\b/
      }.freeze
      # Digits that may be a number with a check.
      TEN_DIGITS = /(?<![\d.])\d{3}[ -]?\d{3}[ -]?\d{4}(?![\d.])/
      # A whole date of long ago is a date of birth, likely.
      WHOLE_DATE = /(?<!\d)#{DATE}(?!\d)/i
      LONGEST = 4_000
      INSTEAD = { name: "the patient" }.freeze
      # What leads to a bed or a room goes with it.
      LEADING = /\b(?:in|from|at|on|of|to)\s+(?:the\s+)?\z/i
      private_constant :MONTH, :DATE, :NAME, :UNITS, :PATTERNS, :TEN_DIGITS, :WHOLE_DATE, :LONGEST, :INSTEAD, :LEADING

      class << self
        # today :: Date: a date that is more than a year before is taken for one of birth. Gives an Array
        # of Found, in their order, none within another.
        def in(text, today:)
          text = text[0, LONGEST]
          found = PATTERNS.flat_map { |kind, pattern| all(text, kind, pattern) }
          found += all(text, :number, TEN_DIGITS).select { |match| checked?(match.text) }
          found += all(text, :birth, WHOLE_DATE).select { |match| long_ago?(match.text, today) }
          apart(found)
        end

        # The text without them.
        def without(text, today:)
          self.in(text, today:).reverse.reduce(text) do |left, one|
            before = left[0...one.from]
            before = before.sub(LEADING, "") if one.kind == :place
            "#{before}#{INSTEAD[one.kind]}#{left[one.to..]}"
          end.gsub(/[(\[]\s*[)\]]/, "").gsub(/[ \t]{2,}/, " ").gsub(/\s+([,.;:?!])/, '\1').gsub(/([,;:])(?:\s*[,;:])+/, '\1').strip
        end

        private

        def all(text, kind, pattern)
          text.enum_for(:scan, pattern).map do
            match = Regexp.last_match
            Found.new(kind:, from: match.begin(0), to: match.end(0), text: match[0])
          end
        end

        # The longest first where two lie over each other.
        def apart(found)
          kept = found.sort_by { |one| [one.from - one.to, one.from] }.each_with_object([]) do |one, kept|
            kept << one if kept.none? { |other| one.from < other.to && other.from < one.to }
          end
          kept.sort_by(&:from)
        end

        # Modulus 11, weights 10 to 2.
        def checked?(text)
          digits = text.scan(/\d/).map(&:to_i)
          check = 11 - (digits.first(9).each_with_index.sum { |digit, place| digit * (10 - place) } % 11)
          (check == 11 ? 0 : check) == digits.last
        end

        def long_ago?(text, today)
          year = text[/\d{4}/]&.to_i || two_digits(text[/(\d{2})\z/, 1].to_i, today)
          year.between?(1900, today.year - 2)
        end

        def two_digits(year, today) = year + (year > today.year % 100 ? 1900 : 2000)
      end
    end
  end
end
