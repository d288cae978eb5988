# frozen_string_literal: true

module Hobrin
  module Edits
    module Sift
      # Takes what came of a paper that two people read: what both decided, or what was settled
      # where they differ. The trail keeps all of it.
      #
      # decision :: Sifting::Decision that holds; pair :: Sifting::Twice::Pair; readers :: the names of
      #   the two
      class Settle < PaperEdit
        attributes :decision, :pair, :readers

        def record_id = decision.record_id

        def call(inquiry, surroundings)
          read = [pair.first, pair.second].zip(readers).map { |one, who| [who, one.verdict.to_s, one.reason, one.note] }
          change(inquiry.with_decision(decision), surroundings, pair.agree? ? :read_twice : :settled,
                 verdict: decision.verdict.to_s, reason: decision.reason, read:)
        end
      end
    end
  end
end
