# frozen_string_literal: true

module Hobrin
  module Outside
    # A catalogue that answers over SRU.
    class SruSource
      # fetch :: Fetch; address :: String; version :: "1.2" or "2.0"
      def initialize(fetch, address, version: "1.2")
        @fetch = fetch
        @address = address
        @version = version
      end

      # What it can do: a Catalogue::Ability, by its explain record. Raises NoAnswer.
      def ability
        NoAnswer.understood do
          Catalogue::Sru::Explain.read(@fetch.get(@address,
                                                  Catalogue::Sru::Asking.explain(@version)))
        end
      end

      # How many records a query finds there. Raises NoAnswer, with what it says where it
      # refuses.
      def count(query)
        answer = search(query, most: 0)
        answer.count || raise(NoAnswer, "It does not say how many records it found.")
      end

      # A Catalogue::Sru::Answer with records. Raises NoAnswer.
      def search(query, from: 1, most: 0, schema: nil)
        asked = Catalogue::Sru::Asking.search(query, version: @version, from:, most:, schema:)
        answer = NoAnswer.understood { Catalogue::Sru::Answer.read(@fetch.get(@address, asked)) }
        told = answer.troubles
        raise NoAnswer, "It says: #{told.first(3).join("; ")}" if told.any? && answer.records.empty?

        answer
      end
    end
  end
end
