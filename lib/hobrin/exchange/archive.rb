# frozen_string_literal: true

module Hobrin
  module Exchange
    # A whole inquiry in one file that can be checked: what was asked, decided, weighed and
    # measured, the trail in a chain of fingerprints, the papers that it rests on, and every number
    # that follows from them. config/archive.schema.json describes it.
    #
    #   { "hobrin": "archive", "format": 1, "sample": …, "made": "2026-11-27", "inquiry": { … },
    #     "trail": [ … ], "records": [ … ], "numbers": { … }, "seals": { "records/1": "…", … } }
    module Archive
      FORMAT = 1
      # Larger files are not read.
      LARGEST = 100 * 1_048_576

      class << self
        # inquiry :: plain data as it is stored; trail :: Array of Hashes; records :: plain CSL
        #   data;
        #   numbers :: as Numbers gives them; sample :: whether its papers are made up; made :: Date
        # Gives JSON text.
        def write(inquiry:, trail:, records:, numbers:, sample:, made:)
          parts = plain("inquiry" => inquiry, "trail" => trail, "records" => records,
                        "numbers" => numbers)
          parts = { **parts, "trail" => Seal.chained(parts["trail"]) }
          JSON.pretty_generate({ "hobrin" => "archive", "format" => FORMAT, "sample" => sample, "made" => made.iso8601,
                                 **parts, "seals" => Seal.parts(parts) })
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
