# frozen_string_literal: true

module Hobrin
  module Exchange
    # A date of publication as ISO 8601, as exact as it is known.
    module Published
      MONTHS = %w[jan feb mar apr may jun jul aug sep oct nov dec].freeze
      DATE = %r{(\d{4})(?:[-/](\d{1,2})(?:[-/](\d{1,2}))?)?}
      private_constant :MONTHS, :DATE

      class << self
        # year :: a year, or a whole date in one text ("2021/03/14", "2021-03", "March 2021");
        # month :: number or name
        # Gives a String such as "2021-03-14", or nil when there is no year in it.
        #
        #   Published.of(2021, 3) # => "2021-03"
        #   Published.of("2021", "mar") # => "2021-03"
        def of(year, month = nil, day = nil)
          year, month, day = parts(year.to_s) if month.nil?
          return unless year.to_s.match?(/\A\d{4}\z/)

          month = number(month)
          day = day.to_i
          return year.to_s unless month

          real = day.positive? && Date.valid_date?(year.to_i, month, day)
          return format("%s-%02d", year, month) unless real

          format("%s-%02d-%02d", year, month, day)
        end

        private

        def parts(text)
          return named_parts(text) if text.match?(/[A-Za-z]{3}/)

          text.match(DATE)&.captures || []
        end

        # "2020 Mar 4", "4 March 2020", "March 2020"
        def named_parts(text)
          [text[/\b\d{4}\b/], text[/[A-Za-z]{3}/], text[/(?<!\d)\d{1,2}(?!\d)/]]
        end

        def number(month)
          text = month.to_s
          found = text.match?(/\A\d+\z/) ? text.to_i : MONTHS.index(text[0, 3].downcase)&.succ
          found if found&.between?(1, 12)
        end
      end
    end
  end
end
