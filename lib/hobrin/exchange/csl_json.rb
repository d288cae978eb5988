# frozen_string_literal: true

module Hobrin
  module Exchange
    # CSL-JSON, the input format of citation processors (schema 1.0). What CSL has no field for
    # stands under `custom`.
    module CslJson
      NAME = "CSL-JSON"
      EXTENSION = "json"
      TYPE = "application/vnd.citationstyles.csl+json"

      # The values of a Hash that came from outside, each of the kind it should be or refused by its
      # name. What is missing or null is nil, or an empty list.
      class Typed
        def initialize(hash)
          @hash = hash
        end

        def text(name)
          value = @hash[name]
          value.nil? || value.is_a?(String) ? value : refuse(name)
        end

        # Some programs write volumes and ids as numbers.
        def text_or_number(name)
          value = @hash[name]
          value.is_a?(Integer) && value.abs < LARGEST ? value.to_s : text(name)
        end

        def flag(name)
          value = @hash[name]
          [nil, true, false].include?(value) ? value : refuse(name)
        end

        def list?(name) = @hash[name].is_a?(Array)
        def texts(name) = list(name, String)
        def hashes(name) = list(name, Hash)
        def numbers(name) = list(name, Integer)

        # A Hash, an empty one where there is none.
        def hash(name)
          value = @hash.fetch(name, nil) || {}
          value.is_a?(Hash) ? value : refuse(name)
        end

        # Year, month and day, as far as they are said; nil where they are not.
        def date_parts
          first = Array(@hash["date-parts"]).first
          return if first.nil?

          kinds = first.is_a?(Array) ? first.map(&:class) - [Integer, String] : [first.class]
          kinds.empty? && first.size.between?(1, 3) ? first : refuse("date-parts")
        end

        # Raises InputError (:file).
        def refuse(name)
          raise(InputError, { file: Book.t("exports.entry.wrong_kind", field: name) })
        end

        LARGEST = 10**12
        private_constant :LARGEST

        private

        def list(name, kind)
          value = @hash[name]
          return [] if value.nil?

          value.is_a?(Array) && value.all?(kind) ? value : refuse(name)
        end
      end
    end
  end
end
