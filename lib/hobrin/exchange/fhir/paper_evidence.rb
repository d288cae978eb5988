# frozen_string_literal: true

module Hobrin
  module Exchange
    module Fhir
      # An Evidence for what one paper gives for an outcome.
      class PaperEvidence < Findings
        # row :: Appraisal::Findings::Row; study :: Appraisal::Synthesis::Study; variables :: as the
        #   Evidence of the outcome has them. Gives a Hash.
        def of(row, study, variables)
          resource(
            "Evidence", "evidence #{row.outcome.id} #{study.id} #{study.number}",
            status: status, title: "#{row.outcome.name}: #{study.label}", date: today, experimental: material.sample,
            relatedArtifact: [{ type: "derived-from", resourceReference: reference("citation #{study.id}", study.record.title) }],
            note: remarks(study), variableDefinition: variables, statistic: [statistic_of(row.pool, study)]
          )
        end

        private

        def remarks(study)
          groups = [study.reported.group, study.reported.comparison].reject(&:empty?).join(" compared with ")
          texts = [*(groups unless groups.empty?), *study.reported.notes, *(Report::SAMPLE if material.sample)]
          texts.map { |text| { text: } }
        end

        def statistic_of(pool, study)
          told = pool.measure
          reach = pool.way.z * study.result.error
          ends = [study.result.effect - reach, study.result.effect + reach].map { |one| told.told(one) }
          people = study.reported.people
          { statisticType: type(told), quantity: quantity(told.told(study.result.effect), told),
            sampleSize: ({ numberOfParticipants: people } if people),
            attributeEstimate: [interval(ends, pool.way.share, told)] }.compact
        end
      end
    end
  end
end
