# frozen_string_literal: true

module Hobrin
  module Trail
    # A search run again over the library as it is now: what is new since it was last counted, and
    # which counts moved.
    #
    # before, now :: papers then and now; fresh :: RecordSet of those that came into the library since
    # lines :: Array of Moved, for each line of the search whose count is another one
    # known :: false when the library was built anew since, so that what is new in it cannot be told
    class Rerun < Value
      attributes :before, :now, :fresh, :lines, :known

      # name :: of the line; before, now :: its counts
      class Moved < Value
        attributes :name, :before, :now
      end

      class << self
        # inquiry :: Inquiry; evaluator :: over the library as it is now
        # records :: RecordSet of the records that were here when it was last counted, nil when that
        #   is not known any more
        # counted :: what it counted then; same :: whether the search is still the one that was
        #   counted
        def of(inquiry, evaluator, records:, counted:, same:)
          now = inquiry.cascade(evaluator)
          return unknown(now, counted) unless records

          as_of = Retrieval::Evaluator::AsOf.new(evaluator, records)
          before = inquiry.cascade(as_of)
          new(before: same ? counted : before.final.size, now: now.final.size, fresh: now.final - records,
              lines: moved(inquiry.question, [before, as_of], [now, evaluator]), known: true)
        end

        private

        def unknown(now, counted)
          new(before: counted, now: now.final.size, fresh: Records::RecordSet.empty, lines: [],
              known: false)
        end

        def moved(question, *both)
          one, other = both.map do |cascade, evaluator|
            Brief::SearchLines.new(question:, cascade:, evaluator:).call
          end
          one.zip(other).reject { |old, new| old.count == new.count }.map do |old, new|
            Moved.new(name: "#{new.number}  #{new.name}", before: old.count, now: new.count)
          end
        end
      end

      # Papers that were in the library before and are found, or not found any more, because its
      # headings changed.
      def reindexed = known ? now - fresh.size - before : 0

      def changed? = !fresh.empty? || lines.any?
    end
  end
end
