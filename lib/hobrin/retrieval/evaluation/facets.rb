# frozen_string_literal: true

module Hobrin
  module Retrieval
    # Which facet values one record has: what an Index keeps a set for, each. The one place that
    # says so.
    module Facets
      # Between a heading and one of its aspects in a facet's value; no label holds it.
      BETWEEN = "\u001F"
      # The limits, each with what a record must state for it to let the record through.
      STATED = { type: :types, age: :ages, sex: :sex, species: :species }.freeze
      private_constant :BETWEEN, :STATED

      class << self
        # record :: Records::Record. Gives an Array of [facet name, value], each once.
        def of(record) = with_repeats(record).uniq

        # The same, where what comes twice does no harm: finding that out takes as long as the rest.
        def with_repeats(record)
          [*stated(record), *single(record), *record.headings.flat_map do |indexing|
            heading(indexing)
          end,
           *Records::Flags.of(record).map { |flag| [:flag, flag] },
           *(record.indexed? ? [] : [[:unindexed, "yes"]]), *unstated(record)]
        end

        # The facet, and its value, for a heading as a search asks for it.
        #   label :: String; main :: true or false; aspect :: String or nil
        def heading_key(label, main:, aspect: nil)
          return [main ? :main : :heading, label] unless aspect

          [main ? :main_aspect : :aspect, "#{label}#{BETWEEN}#{aspect}"]
        end

        private

        def stated(record)
          STATED.flat_map { |name, list| record.public_send(list).map { |value| [name, value] } }
        end

        def single(record)
          { dates: record.published, added: record.added, year: record.year&.to_s, language: record.language,
            place: record.country, journal: record.journal }.compact.to_a
        end

        # Written out plainly: this runs for each heading of each record.
        def heading(indexing)
          found = [[:heading, indexing.label], [:heading, Strategy::Heading::ANY]]
          found.push([:main, indexing.label], [:main, Strategy::Heading::ANY]) if indexing.main
          indexing.aspects.each do |aspect|
            [indexing.label, Strategy::Heading::ANY].each do |label|
              found << heading_key(label, main: false, aspect:)
              found << heading_key(label, main: true, aspect:) if indexing.main
            end
          end
          found
        end

        # What a record does not say, a limit on it cannot let through.
        def unstated(record)
          lists = STATED.reject { |_, list| record.public_send(list).any? }.keys
          single = { dates: record.published, added: record.added, language: record.language,
                     place: record.country }
          [*lists, *single.select do |_, value|
            value.nil?
          end.keys].map { |name| [:unstated, name.to_s] }
        end
      end
    end
  end
end
