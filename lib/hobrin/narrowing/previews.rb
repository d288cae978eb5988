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
      # Those that the Narrow step shows, and all there are.
      OFFERED = %i[type age dates].freeze
      ALL = [*Strategy::Limit::NAMES, :dates].freeze
      private_constant :SPANS

      # cascade :: the Cascade as it is now; limits :: its PlacedLimits; today :: Date
      def initialize(cascade:, limits:, evaluator:, today:)
        @cascade = cascade
        @on = limits.select(&:on).to_h { |limit| [limit.name, limit.leaf] }
        @evaluator = evaluator
        @today = today
      end

      # names :: of limits. Hash of each to its Previews; a value that no paper of the set has is left out.
      def call(names = OFFERED)
        names.to_h { |name| [name, of(name)] }
      end

      private

      def of(name)
        case name
        when :dates then dates
        when :age then ages
        else values(name)
        end
      end

      def ages
        adults = Strategy::Limit.new(name: :age, values: Records::AgeGroups::ADULTS)
        [(preview(adults) unless @on.key?(:age)), *values(:age)].compact
      end

      def values(name)
        (known(name) - (@on[name]&.values || [])).filter_map do |value|
          added = Strategy::Limit.new(name:, values: [value])
          next unless @cascade.joined.intersect?(@evaluator.call(added))

          preview(Strategy::Limit.new(name:, values: [*@on[name]&.values, value]), Wording.of(added))
        end
      end

      # A short list is known beforehand; languages and places are those that the library has.
      def known(name)
        Strategy::Limit::KNOWN.fetch(name) do
          there = @evaluator.index.values(name)
          name == :language ? there & Records::Languages::CODES : there
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
