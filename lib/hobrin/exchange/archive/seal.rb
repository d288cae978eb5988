# frozen_string_literal: true

require "digest"

module Hobrin
  module Exchange
    module Archive
      # Fingerprints of data that JSON can hold, part by part, so that a change can be named where
      # it is.
      module Seal
        # So far down parts have fingerprints of their own.
        LEVELS = 3
        private_constant :LEVELS

        class << self
          # The SHA-256 of plain data, whatever the order of its keys. Gives hexadecimal text.
          def of(data) = Digest::SHA256.hexdigest(JSON.generate(ordered(data)))

          # A fingerprint for each part: of each item of a list, and of how many there are; of each
          # value
          # under a key, some levels down. data :: Hash of Strings. Gives a Hash of
          # "inquiry/decisions/3" to a fingerprint.
          def parts(data, path = nil, levels = LEVELS)
            data.reduce({}) do |found, (key, value)|
              here = [path, key].compact.join("/")
              found.merge(deeper?(value,
                                  levels) ? inner(value, here,
                                                  levels - 1) : { here => of(value) })
            end
          end

          # Each line with the fingerprint of it and of all before it. lines :: Array of Hashes.
          #   Gives an
          # Array of Hashes that have `seal` too.
          def chained(lines)
            lines.reduce([]) do |done, line|
              [*done,
               { **line,
                 "seal" => Digest::SHA256.hexdigest("#{done.last&.fetch("seal")}#{of(line)}") }]
            end
          end

          private

          def deeper?(value, levels)
            levels.positive? && (value.is_a?(Hash) || value.is_a?(Array)) && value.any?
          end

          def inner(value, path, levels)
            return parts(value, path, levels) if value.is_a?(Hash)

            items = value.each_with_index.to_h { |one, place| ["#{path}/#{place + 1}", of(one)] }
            { "#{path}/size" => of(value.size), **items }
          end

          def ordered(data)
            case data
            when Hash then data.sort.to_h { |name, value| [name, ordered(value)] }
            when Array then data.map { |one| ordered(one) }
            else data
            end
          end
        end
      end
    end
  end
end
