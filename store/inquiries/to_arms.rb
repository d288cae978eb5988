# frozen_string_literal: true

module Hobrin
  module Store
    # The step of Upgrades from format 7 to 8.
    module ToArms
      ARMS = { intervention: "", comparison: "" }.freeze
      SINGLE = { kind: "single", size: nil, icc: nil, correlation: nil, adjusted: false, shared: 1 }.freeze
      private_constant :ARMS, :SINGLE

      class << self
        # data :: Hash of format 7. Gives one of format 8.
        def call(data)
          weighing = data[:weighing]
          papers = weighing[:papers].map { |paper| paper(paper) }
          outcomes = weighing[:outcomes].map { |outcome| { **outcome, arms: ARMS } }
          data.merge(weighing: { **weighing, papers:, outcomes: })
        end

        private

        def paper(paper)
          { **paper, reported: paper[:reported].map { |one| { **one, allocation: SINGLE } } }
        end
      end
    end
  end
end
