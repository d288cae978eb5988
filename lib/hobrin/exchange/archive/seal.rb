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

          # A fingerprint for each part: of each item of a list, and of how many there are; of each value
          # under a key, some levels down. data :: Hash of Strings. Gives a Hash of
          # "inquiry/decisions/3" to a fingerprint.
          def parts(data) = {}.tap { |found| gather(data, nil, LEVELS, found) }

          # Each line with the fingerprint of it and of all before it. lines :: Array of Hashes. Gives an
          # Array of Hashes that have `seal` too.
          def chained(lines)
            before = nil
            lines.map do |line|
              before = Digest::SHA256.hexdigest("#{before}#{of(line)}")
              { **line, "seal" => before }
            end
          end

          private

          # Adds the fingerprints of each part to those found.
          def gather(data, path, levels, found)
            data.each do |key, value|
              here = path ? "#{path}/#{key}" : key
              if !levels.positive? || value.nil? || !value.respond_to?(:each) || value.empty? then found[here] = of(value)
              elsif value.is_a?(Hash) then gather(value, here, levels - 1, found)
              else items(value, here, found)
              end
            end
          end

          def items(list, path, found)
            found["#{path}/size"] = of(list.size)
            list.each.with_index(1) { |item, number| found["#{path}/#{number}"] = of(item) }
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
