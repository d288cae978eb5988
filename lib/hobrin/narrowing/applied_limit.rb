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
        NAMES = Book.names("narrowing.limit", %i[type age dates added language sex species flag place journal filter])

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
          return Book.t("narrowing.adults") if leaf.name == :age && leaf.values == Records::AgeGroups::ADULTS

          values = leaf.name == :language ? leaf.values.map { |code| Records::Languages.name(code) } : leaf.values
          text = Book.list(values, joined: "common.or")
          text[0].upcase + text[1..]
        end

        def self.dates(leaf)
          return Book.t("narrowing.dates.since", from: leaf.from) unless leaf.to
          return Book.t("narrowing.dates.until", to: leaf.to) unless leaf.from

          leaf.from == leaf.to ? leaf.from : Book.t("narrowing.dates.between", from: leaf.from, to: leaf.to)
        end
        private_class_method :values, :dates
      end
    end
  end
end
