# frozen_string_literal: true

module Hobrin
  module Demo
    # One generated study: a design, a date, and a title and an abstract that fit together.
    class Study
      # Of a hundred papers, how many are from these years.
      YEARS = { 2024..2026 => 24, 2019..2023 => 33, 2014..2018 => 21, 2006..2013 => 16,
                1996..2005 => 6 }.freeze
      # How many have no headings yet, by when they were published; a few older papers never got
      # any.
      UNINDEXED = { "2026-05" => 0.88, "2026-01" => 0.3, "0000" => 0.015 }.freeze
      LAST = "2026-10"
      NO_AGE = 0.12
      NO_ABSTRACT = { true => 0.6, false => 0.015 }.freeze
      ONE_ASPECT = 0.35
      # How often an indexer passes over a heading that belongs there.
      MISSED = 0.07
      ANIMALS = 0.006
      # Headings that fit nearly any paper on care.
      COMMON = ["Nursing Care", "Patient Safety", "Quality of Life", "Length of Stay", "Costs", "Adults", "Nurses",
                "Hospitals", "Patient Satisfaction", "Teamwork", "Competence", "Mortality", "University Hospitals",
                "Evidence-Based Practice", "Nursing Records"].freeze
      private_constant :YEARS, :UNINDEXED, :LAST, :NO_AGE, :NO_ABSTRACT, :ONE_ASPECT, :MISSED,
                       :ANIMALS, :COMMON

      # parts :: { people:, intervention:, outcome: } to their keys in topics.yml; things :: what
      #   stands there; names :: OtherNames; country :: where it is printed
      # thesaurus :: of the sample, for its aspects
      # designs :: names of the only designs that make sense for a topic, one named twice is twice
      #   as common; or nil for all
      def initialize(parts, things:, names:, country:, thesaurus:, random:, designs: nil)
        @keys = parts
        @things = things
        @names = names
        @country = country
        @thesaurus = thesaurus
        @random = random
        @design = weighted(designs ? designs.map(&:to_sym).tally : Designs::SHARES)
      end

      # Gives what Printing#record takes, but for the key.
      def call
        published = date
        @parts = named(published[0, 4].to_i)
        text = Texts.of(@design, **@parts, random: @random)
        unindexed = chance(UNINDEXED.find { |since, _| published >= since }.last)
        types = unindexed ? text.types.first(@random.rand(2)) : text.types
        { title: text.title, abstract: abstract(text), types:, published:, keywords:,
          headings: unindexed ? [] : headings, research: Designs::RESEARCH.include?(@design), spell: true,
          **facts(unindexed) }
      end

      private

      # The parts under the names that such a paper has for them.
      def named(year)
        { people: "people", intervention: "interventions",
          outcome: "outcomes" }.to_h do |part, kind|
          key = @keys.fetch(part)
          [part,
           @names.call(kind, key, @things.fetch(kind).fetch(key), year:, country: @country,
                                                                  random: @random)]
        end
      end

      def abstract(text)
        chance(NO_ABSTRACT.fetch(Designs::BRIEF.include?(@design))) ? nil : text.abstract
      end

      def facts(unindexed)
        return { ages: [], sex: [], species: ["humans"] } if unindexed

        { ages: chance(NO_AGE) ? [] : @parts[:people]["ages"], sex: @parts[:people].fetch("sex", %w[female male]),
          species: chance(ANIMALS) ? ["animals"] : ["humans"] }
      end

      def date
        year = @random.rand(weighted(YEARS))
        month = @random.rand(1..(year == LAST[0, 4].to_i ? LAST[5, 2].to_i : 12))
        return year.to_s if year < 2006 && chance(0.4)

        format("%<year>d-%<month>02d", year:, month:)
      end

      # The intervention and the outcome are what a paper is mainly about; indexers add what lies
      # beside.
      def headings
        main = %i[intervention outcome].map { |part| @parts[part]["headings"].first }
        labels = %i[intervention outcome people].flat_map { |part| @parts[part]["headings"] }.uniq
        labels -= [pick(labels)] if chance(MISSED)
        (labels | beside(labels)).map do |label|
          Records::Indexing.new(label:, main: main.include?(label), aspects: aspects(label))
        end
      end

      def beside(labels)
        near = labels.filter_map { |label| @thesaurus.heading(label) }.flat_map(&:related)
        [[near, 2], [Designs::METHODS.fetch(@design, []), 1], [COMMON, 3]].flat_map do |some, most|
          some.sample(@random.rand(0..most), random: @random)
        end
      end

      def aspects(label)
        allowed = @thesaurus.heading(label)&.aspects || []
        allowed.any? && chance(ONE_ASPECT) ? [pick(allowed)] : []
      end

      def keywords
        @parts.values_at(:intervention, :outcome, :people).map { |part| part["text"] }.sample(@random.rand(0..3), random: @random)
      end

      def weighted(shares)
        at = @random.rand(shares.values.sum)
        shares.find { |_, share| (at -= share).negative? }.first
      end

      def pick(list) = list[@random.rand(list.size)]
      def chance(share) = @random.rand < share
    end
  end
end
