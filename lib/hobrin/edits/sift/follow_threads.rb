# frozen_string_literal: true

module Hobrin
  module Edits
    module Sift
      # Follows citations for one round, both ways, from the papers kept or let in since the last
      # one.
      class FollowThreads < Edit
        STEP = :sift
        MOST_ROUNDS = 20
        attributes
        private_constant :MOST_ROUNDS

        def about(inquiry) = inquiry.rounds

        # Raises InputError (:threads) when there is nothing to go from.
        def call(inquiry, surroundings)
          from = Sifting::Threads.next_from(inquiry)
          refuse(inquiry) if from.empty? || inquiry.rounds.size >= MOST_ROUNDS
          found = found(inquiry, from, surroundings)
          round = Sifting::Round.new(from_ids: from, found_ids: found.map(&:record_id))
          Change.new(inquiry: inquiry.with(rounds: [*inquiry.rounds, round]), kind: :threads_followed,
                     facts: { round: inquiry.rounds.size + 1, from: from.size, found: found.size })
        end

        private

        def found(inquiry, from, surroundings)
          neighbours = surroundings.neighbours(from)
          near = surroundings.set(neighbours.values.flatten.uniq)
          here = surroundings.ids(near & inquiry.cascade(surroundings.evaluator).final)
          earlier = inquiry.rounds.flat_map { |round| round.from_ids + round.found_ids }
          Sifting::Threads.of(from, neighbours, known: [*here, *earlier, *from])
        end

        def refuse(inquiry)
          words = if inquiry.kept_ids.empty? then "Keep a paper first: its citations are what is followed."
                  elsif inquiry.rounds.size >= MOST_ROUNDS then "#{MOST_ROUNDS} rounds are enough."
                  else "Nothing new was kept or added since the last round."
                  end
          raise InputError, { threads: words }
        end
      end
    end
  end
end
