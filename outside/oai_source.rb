# frozen_string_literal: true

module Hobrin
  module Outside
    # A catalogue that is harvested over OAI-PMH.
    class OaiSource
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
        answer = NoAnswer.understood { Catalogue::Oai::Answer.read(get("verb" => "ListRecords", **asked)) }
        code, words = answer.errors.first
        raise NoAnswer, "It says: #{words} (#{code})" if code

        answer
      end

      private

      def get(params) = @fetch.get(@address, params)
      def root(params) = NoAnswer.understood { Exchange::Xml.root(get(params)) }
    end
  end
end
