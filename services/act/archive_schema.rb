# frozen_string_literal: true

require "json_schemer"

module Hobrin
  module Services
    # What an archive must look like, before anything in it is taken for what it should be:
    # config/archive.schema.json for the file, config/inquiry.schema.json for the inquiry in it, led
    # to the present format.
    module ArchiveSchema
      FOLDER = Pathname(__dir__).join("../../config")
      MOST = 5
      private_constant :FOLDER, :MOST

      class << self
        # data :: as Exchange::Archive.read gives it. Array of Exchange::Archive::Check::Fault, those of
        # the inquiry only where the file is as it should be.
        def faults(data)
          return [fault("", "holds a character that no text has")] if nul?(data)

          found = errors(file, data)
          return found if found.any?

          upgraded = Store::Upgrades.call(JSON.parse(JSON.generate(data["inquiry"]), symbolize_names: true))
          errors(inquiry, JSON.parse(JSON.generate(upgraded)), "inquiry")
        rescue KeyError, NoMethodError, TypeError, ArgumentError
          [fault("inquiry", "cannot be read")]
        end

        private

        def file = @file ||= JSONSchemer.schema(FOLDER.join("archive.schema.json"))
        def inquiry = @inquiry ||= JSONSchemer.schema(FOLDER.join("inquiry.schema.json"))

        def nul?(data)
          case data
          when String then data.include?("\0")
          when Array then data.any? { |value| nul?(value) }
          when Hash then data.any? { |key, value| nul?(key) || nul?(value) }
          else false
          end
        end

        def errors(schema, data, within = nil)
          return [] if schema.valid?(data)

          schema.validate(data).first(MOST).flat_map do |error|
            missing = error.dig("details", "missing_keys")
            next missing.map { |key| fault(path(within, error, key), "is not there") } if missing

            [fault(path(within, error), "is not as it should be")]
          end
        end

        # As Check names places: items of a list are counted from 1.
        def path(within, error, key = nil)
          parts = error["data_pointer"].split("/").drop(1)
          [within, *parts.map { |part| part.match?(/\A\d+\z/) ? part.to_i + 1 : part }, key].compact.join("/")
        end

        def fault(path, says) = Exchange::Archive::Check::Fault.new(path:, says:)
      end
    end
  end
end
