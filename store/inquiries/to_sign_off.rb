# frozen_string_literal: true

module Hobrin
  module Store
    # The step of Upgrades from format 8 to 9.
    module ToSignOff
      # data :: Hash of format 8. Gives one of format 9.
      def self.call(data)
        acting = data[:acting]
        signed = acting[:signed].map { |signature| { **signature, gaps: [], reason: "" } }
        weighing = data[:weighing]
        papers = weighing[:papers].map { |paper| { **paper, sentences: {} } }
        measures = acting[:measures].map { |measure| { **measure, better: nil } }
        data.merge(peer_reviews: [], acting: { **acting, signed:, measures: }, weighing: { **weighing, papers: })
      end
    end
  end
end
