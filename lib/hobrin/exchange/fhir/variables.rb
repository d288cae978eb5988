# frozen_string_literal: true

module Hobrin
  module Exchange
    module Fhir
      # An EvidenceVariable for each element of the question, and for each outcome.
      class Variables < Resources
        def call
          elements = question.elements.reject(&:blank?).map do |one|
            variable("element #{one.key}", one.name, one.slot.name)
          end
          outcomes = material.table.rows.map(&:outcome)
          better = Appraisal::Outcome::BETTER
          elements + outcomes.map do |one|
            variable("outcome #{one.id}", one.name, better.fetch(one.better))
          end
        end

        private

        def variable(name, title, description)
          resource("EvidenceVariable", name, status: status, title:, description:, date: today,
                                             experimental: material.sample)
        end
      end
    end
  end
end
