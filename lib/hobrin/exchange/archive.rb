# frozen_string_literal: true

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
          refuse("The file is larger than #{LARGEST / 1_048_576} MB.") if text.bytesize > LARGEST
          data = JSON.parse(text, max_nesting: 40)
          refuse("This is no archive of Hobrin.") unless data.is_a?(Hash) && data["hobrin"] == "archive"
          refuse("This archive was written by a newer Hobrin (format #{data["format"]}).") if data["format"].to_i > FORMAT
          data
        rescue JSON::ParserError, EncodingError
          refuse("This is no archive of Hobrin: it is not JSON.")
        end

        # Data as JSON gives it back: Strings for Symbols.
        def plain(data) = JSON.parse(JSON.generate(data))

        private

        def refuse(words) = raise(InputError, { archive: words })
      end
    end
  end
end
