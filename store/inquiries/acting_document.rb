# frozen_string_literal: true

module Hobrin
  module Store
    # What a ward thought of, decided and measures, to and from plain data.
    module ActingDocument
      class << self
        def dump(acting)
          { considerations: acting.considerations.transform_values(&:to_h), decision: acting.decision,
            measures: acting.measures.map { |measure| measure_data(measure) },
            signed: acting.signed.map { |one| { **one.to_h, on: one.on.iso8601 } },
            steps: acting.steps.map { |step| { **step.to_h, on: step.on&.iso8601 } },
            cycles: acting.cycles.map(&:to_h) }
        end

        # data :: Hash with Symbols for keys. Gives a Brief::Acting.
        def load(data)
          Brief::Acting.new(
            considerations: data[:considerations].transform_values { |one| Brief::Acting::Consideration.new(**one) },
            decision: data[:decision], measures: data[:measures].map { |one| measure(one) },
            signed: data[:signed].map { |one| Brief::Acting::Signature.new(**one, on: Date.iso8601(one[:on])) },
            steps: data[:steps].map { |one| Brief::ActionPlan::Step.new(**one, on: one[:on] && Date.iso8601(one[:on])) },
            cycles: data[:cycles].map { |one| Brief::ActionPlan::PdsaCycle.new(**one) }
          )
        end

        private

        def measure_data(measure)
          points = measure.points.map { |point| [point.day.iso8601, point.events, point.of] }
          { **measure.to_h, started: measure.started&.iso8601, points: }
        end

        def measure(data)
          points = data[:points].map do |day, events, of|
            Brief::Measure::Point.new(day: Date.iso8601(day), events:, of:)
          end
          Brief::Measure.new(**data, started: data[:started] && Date.iso8601(data[:started]),
                                     points:)
        end
      end
    end
  end
end
