# frozen_string_literal: true

module Hobrin
  module Narrowing
    # What every limit not chosen yet would leave, before it is chosen. A further value of a limit
    # that is already on means either, so it lets papers back in.
    class Previews
      # leaf :: the limit as it would then be; wording :: the added value in words
      # size :: papers then; change :: difference to now, negative when papers go
      # lost :: how many of the must-find papers that are in now would go
      class Preview < Value
        attributes :leaf, :wording, :size, :change, :lost
      end

      YEARS = [5, 10].freeze
      # Taken up by its source in so many days, each with the key of its name.
      DAYS = { 31 => :month, 92 => :three_months, 366 => :year }.freeze
      MOST_JOURNALS = 8
      # Those that the Narrow step shows, and all there are.
      OFFERED = %i[type age dates].freeze
      ALL = [*Strategy::Limit::NAMES, *Strategy::Dates::NAMES, :journal].freeze
      private_constant :YEARS, :DAYS, :MOST_JOURNALS

      # cascade :: the Cascade as it is now; limits :: its AppliedLimits; today :: Date
      # must_find :: RecordSet of the papers that the person knows
      def initialize(cascade:, limits:, evaluator:, today:, must_find: Records::RecordSet.empty)
        @cascade = cascade
        @on = limits.select(&:on).to_h { |limit| [limit.slot, limit.leaf] }
        @evaluator = evaluator
        @today = today
        @must_find = must_find & cascade.final
        @bases = {}
      end

      # names :: of limits. Hash of each to its Previews; a value that no paper of the set has is
      #   left out.
      def call(names = OFFERED)
        names.to_h { |name| [name, of(name)] }
      end

      # What one leaf would leave in the place of what is on in its slot. Gives a Preview.
      def preview(leaf, wording = AppliedLimit::Wording.of(leaf))
        passed = @evaluator.call(leaf)
        base = base(leaf.slot)
        by_hand = @cascade.included - (base & @cascade.included & passed)
        size = base.overlap(passed) + by_hand.size
        lost = @must_find.empty? ? 0 : ((@must_find - passed) - @cascade.included).size
        Preview.new(leaf:, wording:, size:, change: size - @cascade.final.size, lost:)
      end

      private

      def base(slot) = @bases[slot] ||= @cascade.without(slot, @evaluator)

      def of(name)
        case name
        when :dates then dates
        when :added then added
        when :age then ages
        when :journal then journals
        when :flag then flags
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

          preview(Strategy::Limit.new(name:, values: [*@on[name]&.values, value]),
                  AppliedLimit::Wording.of(added))
        end
      end

      # Each is a limit of its own.
      def flags
        all = known(:flag).map { |flag| Strategy::Limit.new(name: :flag, values: [flag]) }
        all.reject { |leaf| @on.key?(leaf.slot) || !@cascade.joined.intersect?(@evaluator.call(leaf)) }
           .map { |leaf| preview(leaf) }
      end

      # A short list is known beforehand; languages and places are those that the library has.
      def known(name)
        Strategy::Limit::KNOWN.fetch(name) do
          there = @evaluator.index.values(name)
          name == :language ? there & Records::Languages::CODES : there
        end
      end

      # The ones with the most papers.
      def journals
        on = @on[:journal]&.values || []
        limit = MOST_JOURNALS + on.size
        common = Retrieval::Facets::Counts.call(base(:journal), :journal, @evaluator, limit:)
        (common.map(&:first) - on).first(MOST_JOURNALS).map do |name|
          preview(Strategy::Journal.new(values: [*on, name]), name)
        end
      end

      def dates
        YEARS.map { |years| Strategy::Dates.years(from_year: @today.year - years, to_year: @today.year) }
             .reject { |leaf| @on[:dates] == leaf }
             .map { |leaf| preview(leaf, Book.t("narrowing.last_years", count: @today.year - leaf.from_year)) }
      end

      def added
        DAYS.map { |days, key| [Strategy::Dates.new(name: :added, from: (@today - days).iso8601), Book.t("narrowing.added.#{key}")] }
            .reject { |leaf, _| @on[:added] == leaf }.map { |leaf, words| preview(leaf, words) }
      end

      # How many papers of each year the search has before its dates are limited, without a gap from
      # the first year to the last.
      class PerYear < Value
        # counts :: Hash of year (Integer) to papers, in order; undated :: papers that state no year
        attributes :counts, :undated

        # More years than this are cut from the old end, so that each stays wide enough to be pointed
        # at.
        MOST = 60
        private_constant :MOST

        # Those that were added manually count, too. cascade :: the Cascade as it is now; evaluator
        # :: an Evaluator
        def self.of(cascade, evaluator)
          set = cascade.without(:dates, evaluator) | (cascade.final - cascade.found)
          found = evaluator.index.sets(:year).transform_values { |papers| papers.overlap(set) }
                           .select { |_, papers| papers.positive? }.transform_keys do |year|
            Integer(
              year, 10
            )
          end
          new(counts: filled(found).freeze, undated: set.size - found.values.sum)
        end

        def self.filled(found)
          return {} if found.empty?

          first = [found.keys.min, found.keys.max - MOST + 1].max
          (first..found.keys.max).to_h { |year| [year, found.fetch(year, 0)] }
        end
        private_class_method :filled
      end

      # Of the papers that limits took away, those that say nothing the limit could go by.
      module Silences
        # step :: the Cascade::Step; papers :: that it took away for saying nothing; not_indexed :: of
        #   those
        class Silence < Value
          attributes :step, :papers, :not_indexed
        end

        # cascade :: Cascade; evaluator :: Evaluator. Gives an Array of Silence, one for each limit
        #   that is on with any.
        def self.of(cascade, evaluator)
          index = evaluator.index
          cascade.steps.select { |step| !step.block? && step.on }.filter_map do |step|
            silent = step.removed & index.unstated(step.source.name)
            next if silent.empty?

            Silence.new(step:, papers: silent.size, not_indexed: silent.overlap(index.not_indexed))
          end
        end
      end
    end
  end
end
