# frozen_string_literal: true

module Hobrin
  module Outside
    # Catalogues on other machines, each behind its protocol.
    module Sources
      # A catalogue that is harvested over OAI-PMH.
      class Oai
        # fetch :: Fetch; address :: String
        def initialize(fetch, address)
          @fetch = fetch
          @address = address
        end

        # What it calls itself, and the formats that it gives: [String, Array of prefixes]. Raises
        #   NoAnswer.
        def identity
          name = Exchange::Xml.said(root("verb" => "Identify"), ".//repositoryName").to_s
          [name, Exchange::Xml.all(root("verb" => "ListMetadataFormats"), ".//metadataPrefix")]
        end

        # A Catalogue::Oai::Answer: the first part, or that which a token leads to. from :: a day or nil
        def records(prefix:, token: nil, from: nil)
          asked = token ? { "resumptionToken" => token } : { "metadataPrefix" => prefix, "from" => from }.compact
          answer = Fetch::NoAnswer.understood { Catalogue::Oai::Answer.read(get("verb" => "ListRecords", **asked)) }
          code, words = answer.errors.first
          raise Fetch::NoAnswer, "It says: #{words} (#{code})" if code

          answer
        end

        private

        def get(params) = @fetch.get(@address, params)
        def root(params) = Fetch::NoAnswer.understood { Exchange::Xml.root(get(params)) }
      end

      # A catalogue that answers over SRU.
      class Sru
        # fetch :: Fetch; address :: String; version :: "1.2" or "2.0"
        def initialize(fetch, address, version: "1.2")
          @fetch = fetch
          @address = address
          @version = version
        end

        # What it can do: a Catalogue::Ability, by its explain record. Raises NoAnswer.
        def ability
          Fetch::NoAnswer.understood do
            Catalogue::Sru::Explain.read(@fetch.get(@address,
                                                    Catalogue::Sru::Asking.explain(@version)))
          end
        end

        # How many records a query finds there. Raises NoAnswer, with what it says where it
        # refuses.
        def count(query)
          answer = search(query, most: 0)
          answer.count || raise(Fetch::NoAnswer, "It does not say how many records it found.")
        end

        # A Catalogue::Sru::Answer with records. Raises NoAnswer.
        def search(query, from: 1, most: 0, schema: nil)
          asked = Catalogue::Sru::Asking.search(query, version: @version, from:, most:, schema:)
          answer = Fetch::NoAnswer.understood { Catalogue::Sru::Answer.read(@fetch.get(@address, asked)) }
          told = answer.troubles
          raise Fetch::NoAnswer, "It says: #{told.first(3).join("; ")}" if told.any? && answer.records.empty?

          answer
        end
      end
    end
  end
end
