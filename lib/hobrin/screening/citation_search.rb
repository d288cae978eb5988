# frozen_string_literal: true

module Hobrin
  module Screening
    # Following citations, round by round: the first goes from the papers that are kept, each later
    # one from those that were kept or let in since.
    module CitationSearch
      # A paper that hangs on others. record_id :: of it; by :: ids of the papers that it hangs on,
      #   which cite it or are cited by it
      class Tied < Value
        attributes :record_id, :by
      end

      # At most so many are named in one round: who has more follows papers that everybody cites.
      MOST = 300

      class << self
        # The papers that the next round goes from. inquiry :: Inquiry. Gives an Array of ids.
        def next_from(inquiry)
          followed = inquiry.rounds.flat_map(&:from_ids)
          found = inquiry.rounds.flat_map(&:found_ids)
          dropped = inquiry.decisions.select { |decision| decision.verdict == :drop }.map(&:record_id)
          (inquiry.kept_ids | ((inquiry.included_ids & found) - dropped)) - followed
        end

        # from :: ids; neighbours :: Hash of each to the ids of the papers that it cites and is
        #   cited by; known :: ids that are not news. Gives an Array of Tied, the most tied first,
        #   then by id.
        def of(from, neighbours, known:)
          by = Hash.new { |hash, id| hash[id] = [] }
          from.each { |id| neighbours.fetch(id, []).uniq.each { |other| by[other] << id } }
          (by.keys - known).map { |id| Tied.new(record_id: id, by: by[id]) }
                           .sort_by { |tied| [-tied.by.size, tied.record_id] }.first(MOST)
        end
      end

      # One round of following citations: from some papers to those that they cite and are cited by.
      #
      # from_ids :: the papers that were followed; found_ids :: what hangs on them and was neither in
      #   the set nor found in an earlier round, the most tied first
      class Round < Value
        attributes :from_ids, :found_ids
      end
    end
  end
end
