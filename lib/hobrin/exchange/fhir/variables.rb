# frozen_string_literal: true

module Hobrin
  module Exchange
    module Fhir
      # An EvidenceVariable for each element of the question, for each group that was compared, and for
      # each outcome.
      class Variables < Resources
        def call
          elements = question.elements.reject(&:blank?).map do |element|
            variable("element #{element.key}", element.name, element.slot.name)
          end
          outcomes = material.table.rows.map(&:outcome)
          better = Appraisal::Outcome::BETTER
          elements + arms + outcomes.map { |outcome| variable("outcome #{outcome.id}", outcome.name, better.fetch(outcome.better)) }
        end

        private

        # The groups that the outcomes compare, each name once.
        def arms
          pools = material.table.rows.map(&:pool).select { |pool| pool.outcome.sort.compares? }
          pools.flat_map { |pool| [pool.arms.intervention_name, pool.arms.comparison_name] }.uniq
               .map { |name| variable("arm #{name}", name, "A group that was compared") }
        end

        def variable(name, title, description)
          resource("EvidenceVariable", name, status: status, title:, description:, date: today,
                                             experimental: material.sample)
        end
      end
    end
  end
end
