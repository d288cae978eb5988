# frozen_string_literal: true

module Hobrin
  module Store
    # The Screening::Likeness::Traits of papers that were asked for, kept for as long as the version of the
    # library that they belong to.
    class KeptTraits
      # Past so many papers all are let go: some ten kilobytes each.
      MOST = 6_000
      private_constant :MOST

      # The block gives the Screening::Likeness of the library.
      def initialize(&likeness)
        @likeness = likeness
        @known = {}
        @lock = Mutex.new
      end

      # numbers :: Array. The block turns those that are not known yet into Records, in their order.
      # Gives a Hash of each number to its traits.
      def fetch(numbers)
        known = @lock.synchronize { @known.slice(*numbers) }
        fresh = numbers - known.keys
        return known if fresh.empty?

        likeness = @likeness.call
        made = fresh.zip(yield(fresh)).to_h { |number, record| [number, Screening::Likeness::Traits.of(record, likeness)] }
        keep(made)
        known.merge(made)
      end

      private

      def keep(made)
        @lock.synchronize do
          @known.clear if @known.size + made.size > MOST
          @known.merge!(made) if made.size <= MOST
        end
      end
    end
  end
end
