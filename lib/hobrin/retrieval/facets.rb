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
      SINGLE = { dates: :published, added: :added, language: :language, place: :country }.freeze
      private_constant :BETWEEN, :STATED, :SINGLE

      class << self
        # record :: Records::Record. Gives an Array of [facet name, value], each once.
        def of(record) = enum_for(:each, record).to_a.uniq

        # Yields the same one by one, some of them twice: finding that out takes as long as the
        # rest, and this runs for every record that comes in.
        def each(record, &)
          stated(record, &)
          yield :year, record.year.to_s if record.year
          yield :journal, record.journal if record.journal
          record.headings.each { |indexing| heading(indexing, &) }
          Records::Flags.of(record).each { |flag| yield :flag, flag }
          yield :unindexed, "yes" unless record.indexed?
        end

        # The facet, and its value, for a heading as a search asks for it.
        #   label :: String; main :: true or false; aspect :: String or nil
        def heading_key(label, main:, aspect: nil)
          return [main ? :main : :heading, label] unless aspect

          [main ? :main_aspect : :aspect, "#{label}#{BETWEEN}#{aspect}"]
        end

        private

        # What a record does not say, a limit on it cannot let through.
        def stated(record)
          STATED.each do |name, list|
            values = record.public_send(list)
            yield :unstated, name.to_s if values.empty?
            values.each { |value| yield name, value }
          end
          SINGLE.each do |name, attribute|
            value = record.public_send(attribute)
            value ? yield(name, value) : yield(:unstated, name.to_s)
          end
        end

        def heading(indexing)
          [indexing.label, Strategy::Heading::ANY].each do |label|
            yield :heading, label
            yield :main, label if indexing.main
            indexing.aspects.each do |aspect|
              yield(*heading_key(label, main: false, aspect:))
              yield(*heading_key(label, main: true, aspect:)) if indexing.main
            end
          end
        end
      end

      # What the records of a set have in common: the values of a facet and how many records have
      # each.
      module Counts
        FACETS = %i[heading main journal type age year language place sex species flag].freeze

        # set :: RecordSet; name :: one of FACETS; limit :: how many values at most.
        # Gives an Array of [value, number of records], the most common first, then by name.
        #
        #   FacetCounts.call(set, :type, evaluator) # => [["cohort study", 18], ["guideline", 2]]
        def self.call(set, name, evaluator, limit: nil)
          raise ArgumentError, "no such facet: #{name}" unless FACETS.include?(name)

          counted = evaluator.index.sets(name).filter_map do |value, records|
            next if value == Strategy::Heading::ANY

            size = records.overlap(set)
            [value, size] if size.positive?
          end
          sorted = counted.sort_by { |value, size| [-size, value] }
          limit ? sorted.first(limit) : sorted
        end
      end
    end
  end
end
