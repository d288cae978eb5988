# frozen_string_literal: true

module Hobrin
  module Demo
    # One generated study: a design, a title and an abstract that fit together, with numbers that agree.
    class Study
      # Shares of the designs in the sample, in percent.
      DESIGNS = { trial: 24, cohort: 18, before_after: 12, survey: 8, qualitative: 8, review: 8, narrative: 7,
                  controlled: 6, case_report: 3, editorial: 3, protocol: 3 }.freeze
      # Of a hundred papers, how many are from these years.
      YEARS = { 2024..2026 => 30, 2019..2023 => 36, 2014..2018 => 22, 2004..2013 => 12 }.freeze
      # Papers of the last months have no headings yet.
      NEW = "2026-06"
      # A few older papers never got headings, and some papers say no age.
      NEVER_INDEXED = 0.03
      NO_AGE = 0.12
      private_constant :DESIGNS, :YEARS, :NEW, :NEVER_INDEXED, :NO_AGE

      # people, interventions, outcomes :: the parts from topics.yml
      # designs :: names of the only designs that make sense for a topic, or nil for all
      def initialize(people:, interventions:, outcomes:, random:, designs: nil)
        @designs = designs ? DESIGNS.slice(*designs.map(&:to_sym)) : DESIGNS
        @people = people
        @intervention = interventions
        @outcome = outcomes
        @random = random
      end

      # Gives what Printing#record takes, but for the key.
      def call
        text = StudyText.new(people: @people, intervention: @intervention, outcome: @outcome,
                             random: @random).call(weighted(@designs))
        published = date
        { title: text.title, abstract: text.abstract, types: text.types, published:, species: ["humans"], keywords:,
          headings: published > NEW || chance(NEVER_INDEXED) ? [] : headings,
          ages: published > NEW || chance(NO_AGE) ? [] : @people["ages"], spell: true }
      end

      private

      def date
        year = @random.rand(weighted(YEARS))
        format("%<year>d-%<month>02d", year:, month: @random.rand(1..(year == 2026 ? 10 : 12)))
      end

      # The intervention and the outcome are what a paper is mainly about.
      def headings
        main = [@intervention["headings"].first, @outcome["headings"].first]
        labels = [@intervention, @outcome, @people].flat_map { |part| part["headings"] }.uniq
        labels.map { |label| Records::Indexing.new(label:, main: main.include?(label)) }
      end

      def keywords
        [@intervention["text"], @outcome["text"], @people["text"]].sample(@random.rand(1..3), random: @random)
      end

      def weighted(shares)
        at = @random.rand(shares.values.sum)
        shares.find { |_, share| (at -= share).negative? }.first
      end

      def chance(share) = @random.rand < share
    end
  end
end
