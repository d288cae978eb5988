# frozen_string_literal: true

module Hobrin
  module Narrowing
    # A limit, or the study filter, at its place in the person's order, on or for now off. There is
    # one of each slot.
    #
    # leaf :: Strategy::Limit, Dates, Journal, Filter or OwnFilter
    class AppliedLimit < Value
      attributes :leaf, :on

      def initialize(leaf:, on: true)
        @leaf = leaf
        @on = on ? true : false
        freeze
      end

      def name = leaf.name
      def slot = leaf.slot

      # A limit in the words of the page and the brief.
      module Wording
        NAMES = { type: "Study type", age: "Age group", dates: "Published", added: "Added to its source",
                  language: "Language", sex: "Sex", species: "Species", flag: "Only", place: "Place",
                  journal: "Journal", filter: "Study filter" }.freeze

        # leaf :: what a AppliedLimit holds. Gives a String without its name: "2016 to 2026".
        #
        #   Wording.of(Strategy::Limit.new(name: :age, values: Records::AgeGroups::ADULTS)) # => "Adults, 19 and over"
        def self.of(leaf)
          case leaf
          when Strategy::Dates then dates(leaf)
          when Strategy::Filters::Filter then "#{leaf.kind.capitalize}, #{leaf.width}"
          when Strategy::Filters::OwnFilter then leaf.title
          else values(leaf)
          end
        end

        # The same with its name: "Published: 2016 to 2026".
        def self.named(leaf) = "#{NAMES.fetch(leaf.name)}: #{of(leaf)}"

        def self.values(leaf)
          return "Adults, 19 and over" if leaf.name == :age && leaf.values == Records::AgeGroups::ADULTS

          values = leaf.name == :language ? leaf.values.map { |code| Records::Languages.name(code) } : leaf.values
          *rest, last = values
          text = rest.empty? ? last : "#{rest.join(", ")} or #{last}"
          text[0].upcase + text[1..]
        end

        def self.dates(leaf)
          return "#{leaf.from} or later" unless leaf.to
          return "#{leaf.to} or earlier" unless leaf.from

          leaf.from == leaf.to ? leaf.from : "#{leaf.from} to #{leaf.to}"
        end
        private_class_method :values, :dates
      end
    end
  end
end
