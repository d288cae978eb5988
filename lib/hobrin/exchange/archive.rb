# frozen_string_literal: true

require "base64"
require "digest"
require "openssl"

module Hobrin
  module Exchange
    # A whole inquiry in one file that can be checked: what was asked, decided, weighed and
    # measured, the trail in a chain of fingerprints, the papers that it rests on, and every number
    # that follows from them. config/archive.schema.json describes it.
    #
    #   { "hobrin": "archive", "format": 2, "sample": …, "made": "2026-11-27", "inquiry": { … },
    #     "trail": [ … ], "records": [ … ], "numbers": { … }, "seals": { "records/1": "…", … },
    #     "signature": { "algorithm": "Ed25519", "key": "…", "value": "…" } }
    #
    # Format 1 had no seals for its first four lines, and no signature.
    module Archive
      FORMAT = 2
      # Larger files are not read.
      LARGEST = 100 * 1_048_576

      class << self
        # inquiry :: plain data as it is stored; trail :: Array of Hashes; records :: plain CSL data;
        #   numbers :: as Numbers gives them; sample :: whether its papers are made up; made :: Date
        # key :: OpenSSL::PKey of Ed25519 that signs it, nil for none
        # Gives JSON text.
        def write(inquiry:, trail:, records:, numbers:, sample:, made:, key: nil)
          parts = plain("hobrin" => "archive", "format" => FORMAT, "sample" => sample, "made" => made.iso8601,
                        "inquiry" => inquiry, "trail" => trail, "records" => records, "numbers" => numbers)
          parts = { **parts, "trail" => Seal.chained(parts["trail"]) }
          seals = Seal.parts(parts)
          signature = { "signature" => Signature.of(seals, key) } if key
          JSON.pretty_generate({ **parts, "seals" => seals, **signature.to_h })
        end

        # text :: String. Gives the data. Raises InputError (:archive) for what is no archive, or
        # one of a later format.
        def read(text)
          refuse(Book.t("exports.archive.too_large", megabytes: LARGEST / 1_048_576)) if text.bytesize > LARGEST
          data = JSON.parse(text, max_nesting: 40)
          refuse(Book.t("exports.archive.not_an_archive")) unless data.is_a?(Hash) && data["hobrin"] == "archive"
          refuse(Book.t("exports.archive.newer", format: data["format"])) if data["format"].to_i > FORMAT
          data
        rescue JSON::ParserError, EncodingError
          refuse(Book.t("exports.archive.not_json"))
        end

        # Data as JSON gives it back: Strings for Symbols.
        def plain(data) = JSON.parse(JSON.generate(data))

        private

        def refuse(words) = raise(InputError, { archive: words })
      end

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
            when Array then data.map { |part| ordered(part) }
            else data
            end
          end
        end
      end

      # The signature of an archive: Ed25519 (RFC 8032, by OpenSSL) over the fingerprint of all its
      # seals. Seals alone tell that something was changed; whoever remade all of them is told only
      # by the key.
      module Signature
        ALGORITHM = "Ed25519"

        class << self
          # seals :: Hash as Seal.parts gives it; key :: OpenSSL::PKey of Ed25519. Gives a Hash.
          def of(seals, key)
            { "algorithm" => ALGORITHM, "key" => public_key(key),
              "value" => Base64.strict_encode64(key.sign(nil, Seal.of(seals))) }
          end

          # The public half of a key as text: its DER in Base64.
          def public_key(key) = Base64.strict_encode64(key.public_to_der)

          # signature :: Hash as `of` gives it, or anything that a file may hold. Whether it fits.
          def fits?(signature, seals)
            return false unless signature.is_a?(Hash) && signature["algorithm"] == ALGORITHM

            key = OpenSSL::PKey.read(Base64.strict_decode64(signature["key"].to_s))
            key.oid == "ED25519" && key.verify(nil, Base64.strict_decode64(signature["value"].to_s), Seal.of(seals))
          rescue OpenSSL::PKey::PKeyError, ArgumentError, NoMethodError
            false
          end

          # A short name for a public key, to be read out: SHA-256 of it in groups of four.
          def fingerprint(public_key)
            Digest::SHA256.hexdigest(public_key.to_s)[0, 32].scan(/.{4}/).join(" ")
          end
        end
      end
    end
  end
end
