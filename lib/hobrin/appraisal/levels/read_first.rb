# frozen_string_literal: true

module Hobrin
  module Appraisal
    # Up to three papers to read before all others: from the highest rung down, on each the newest;
    # of one year, the one that is closest to the search. Nothing that is set aside.
    module ReadFirst
      # record :: Records::Record; rung :: Ladder::Rung; newest :: whether it is the newest on it;
      #   closest :: whether it is also the closest to the search there
      class Choice < Value
        attributes :record, :rung, :newest, :closest
      end

      MOST = 3

      class << self
        # rungs :: Array of Ladder::Rung. The block is given a Rung and gives its newest papers as
        #   an Array of [Record, closeness: the higher the closer]. Gives an Array of Choice.
        def call(rungs)
          rungs.reject(&:aside?).reduce([]) do |found, rung|
            break found if found.size == MOST

            found + choices(rung, yield(rung)).first(MOST - found.size)
          end
        end

        private

        def choices(rung, papers)
          closest = papers.max_by { |_, closeness| closeness }&.first
          sorted = papers.sort_by.with_index { |(record, near), place| [record.year.to_i, near, -place] }.reverse
          sorted.each_with_index.map do |(record, _), place|
            Choice.new(record:, rung:, newest: place.zero?, closest: record.id == closest.id)
          end
        end
      end
    end
  end
end
