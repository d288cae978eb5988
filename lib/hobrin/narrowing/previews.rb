# frozen_string_literal: true

module Hobrin
  module Narrowing
    # What every limit not chosen yet would leave, before it is chosen. A further value of a limit that is
    # already on means either, so it lets papers back in.
    class Previews
      # leaf :: the limit as it would then be; wording :: the added value in words
      # size :: papers then; change :: difference to now, negative when papers go
      Preview = Struct.new(:leaf, :wording, :size, :change, keyword_init: true)

      SPANS = [5, 10].freeze
      private_constant :SPANS

      # cascade :: the Cascade as it is now; limits :: its PlacedLimits; today :: Date
      def initialize(cascade:, limits:, evaluator:, today:)
        @cascade = cascade
        @on = limits.select(&:on).to_h { |limit| [limit.name, limit.leaf] }
        @evaluator = evaluator
        @today = today
      end

      # Hash of limit name to its Previews; a value that no paper of the set has is left out.
      def call
        { type: values(:type), age: ages, dates: }
      end

      private

      def ages
        adults = Strategy::Limit.new(name: :age, values: Records::AgeGroups::ADULTS)
        [(preview(adults) unless @on.key?(:age)), *values(:age)].compact
      end

      def values(name)
        (Strategy::Limit::KNOWN.fetch(name) - (@on[name]&.values || [])).filter_map do |value|
          added = Strategy::Limit.new(name:, values: [value])
          next if @cascade.joined.overlap(@evaluator.call(added)).zero?

          preview(Strategy::Limit.new(name:, values: [*@on[name]&.values, value]), Wording.of(added))
        end
      end

      def dates
        SPANS.map { |years| Strategy::Dates.years(from_year: @today.year - years, to_year: @today.year) }
             .reject { |leaf| @on[:dates] == leaf }
             .map { |leaf| preview(leaf, "Last #{@today.year - leaf.from_year} years") }
      end

      def preview(leaf, wording = Wording.of(leaf))
        base = (@bases ||= {})[leaf.name] ||= @cascade.without(leaf.name, @evaluator)
        size = base.overlap(@evaluator.call(leaf))
        Preview.new(leaf:, wording:, size:, change: size - @cascade.final.size)
      end
    end
  end
end
