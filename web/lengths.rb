# frozen_string_literal: true

module Hobrin
  module Web
    # How long what is sent may be, checked before anything looks at it. FieldLengths has narrower limits, which are
    # said at the field; these keep a text that nobody types from ever reaching a pattern.
    module Lengths
      # Letters of a field whose name is not among FIELDS.
      MOST = 1_000
      FIELDS = { situation: 2 * FieldLengths.of(:situation), list: FieldLengths.of(:pasted_list),
                 terms: FieldLengths.of(:filter_terms), conclusion: 3 * FieldLengths.of(:conclusion), finding: 2_000,
                 numbers: FieldLengths.of(:numbers), there: FieldLengths.of(:filter_terms),
                 query: FieldLengths.of(:catalogue_query), authenticity_token: 500 }.freeze
      # The field at which a page says what is wrong, where it has another name.
      SAID_AT = { question: :text }.freeze
      # How many names and values a request may hold, and how deep they may be nested.
      MOST_PARTS = 600
      DEEPEST = 4
      private_constant :MOST, :FIELDS, :SAID_AT, :MOST_PARTS, :DEEPEST

      class << self
        # params :: Hash of a request. Raises InputError for the first text that is too long.
        def check(params)
          name, longest = excess(params)
          return unless name

          said_at = SAID_AT.fetch(name.to_sym, name.to_sym)
          raise InputError,
                { said_at => Book.t("common.errors.too_long", most: most(name), length: longest) }
        end

        # The first field that holds too much, and how much; nil when none does.
        def excess(params)
          sizes = params.to_h { |name, value| [name, texts(value).map(&:size).max.to_i] }
          sizes.find { |name, longest| longest > most(name) }
        end

        # Whether a request has no more parts, and no deeper ones, than any form.
        def sensible?(params) = counted(params, 0) <= MOST_PARTS

        private

        def most(name) = FIELDS.fetch(name.to_sym, MOST)

        def texts(value)
          case value
          when String then [value]
          when Hash then value.flat_map { |name, part| [name.to_s, *texts(part)] }
          when Array then value.flat_map { |part| texts(part) }
          else []
          end
        end

        def counted(value, depth)
          return MOST_PARTS + 1 if depth > DEEPEST

          case value
          when Hash then value.values.sum { |part| 1 + counted(part, depth + 1) }
          when Array then value.sum { |part| 1 + counted(part, depth + 1) }
          else 0
          end
        end
      end
    end
  end
end
