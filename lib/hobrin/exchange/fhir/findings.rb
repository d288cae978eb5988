# frozen_string_literal: true

module Hobrin
  module Exchange
    module Fhir
      # An Evidence for each outcome: who it is about, what it comes to, and how sure that is.
      class Findings < Resources
        STATISTICS = "http://terminology.hl7.org/CodeSystem/statistic-type"
        ESTIMATES = "http://terminology.hl7.org/CodeSystem/attribute-estimate-type"
        ROLES = "http://terminology.hl7.org/CodeSystem/variable-role"
        # By the key of the measure; others are said in words.
        CODES = { risk_ratio: "C93152", odds_ratio: "C16932", peto_odds_ratio: "C16932", hazard_ratio: "C93150",
                  mean_difference: "0000457", standardized: "0000100", risk_difference: "0000424",
                  rate_ratio: "rate-ratio" }.freeze
        private_constant :STATISTICS, :ESTIMATES, :ROLES, :CODES

        # First those of the outcomes, then those of the papers behind each.
        def call
          rows = material.table.rows
          rows.map { |row| evidence(row) } + rows.flat_map { |row| papers_of(row) }
        end

        private

        def evidence(row)
          resource(
            "Evidence", "evidence #{row.outcome.id}",
            status: status, title: row.outcome.name, date: today, experimental: material.sample,
            description: row.words, relatedArtifact: papers(row), note: notes(row), variableDefinition: variables(row),
            synthesisType: synthesis(row), statistic: statistic(row), certainty: certainty(row)
          )
        end

        def papers_of(row)
          return [] if row.pool.tests

          row.pool.studies.map { |study| PaperEvidence.new(material).of(row, study, variables(row)) }
        end

        # What was done to single results before they were pooled, and that the data are made up.
        def notes(row)
          said = row.pool.studies.flat_map do |study|
            study.reported.notes.map { |note| "#{study.record.short_name}: #{note}." }
          end
          [*said, *(Report::SAMPLE if material.sample)].map { |text| { text: } }
        end

        def certainty(row) = [(Certainty.of(row.certainty) if row.certainty)].compact

        def papers(row)
          row.pool.studies.map(&:record).uniq.map do |record|
            { type: "derived-from",
              resourceReference: reference("citation #{record.id}", record.title) }
          end
        end

        # The arms of the outcome, and not the question's, are what the numbers compare.
        def variables(row)
          population = question.elements.find { |element| element.letter == "P" && !element.blank? }
          [(variable("population", "element #{population.key}", population.name) if population),
           *(arms(row.pool.arms) if row.outcome.sort.compares?),
           variable("measuredVariable", "outcome #{row.outcome.id}", row.outcome.name)].compact
        end

        def arms(arms)
          [variable("exposure", "arm #{arms.intervention_name}", arms.intervention_name),
           variable("referenceExposure", "arm #{arms.comparison_name}", arms.comparison_name)]
        end

        def variable(role, name, display)
          { variableRole: coded(ROLES, role), observed: reference(name, display) }
        end

        def synthesis(row)
          coded("http://terminology.hl7.org/CodeSystem/synthesis-type", "std-MA") if row.pool.pooled
        end

        def statistic(row)
          row.pool.tests ? test(row) : [(effect(row) if row.effect), *hundred(row)].compact
        end

        def effect(row)
          told = row.pool.measure
          ends = [row.effect.low, row.effect.high].map { |one| told.told(one) }
          { statisticType: type(told), sampleSize: size(row.pool),
            quantity: quantity(told.told(row.effect.estimate), told),
            attributeEstimate: [interval(ends, row.pool.way.share, told), *spread(row)],
            modelCharacteristic: Model.of(row.pool) }.compact
        end

        def type(measure)
          code = CODES[measure.key]
          code ? coded(STATISTICS, code, measure.name) : said(measure.name)
        end

        def interval(ends, level, measure, type: coded(ESTIMATES, "C53324", "Confidence interval"))
          { type:, level:, range: { low: quantity(ends.min, measure), high: quantity(ends.max, measure) } }
        end

        def spread(row)
          pooled = row.pool.pooled or return []

          [*{ "0000420" => pooled.i2, "0000421" => pooled.tau2, "0000419" => pooled.q, "C44185" => pooled.p }
            .map { |code, value| { type: coded(ESTIMATES, code), quantity: number(value) } },
           *predicted(row)]
        end

        def predicted(row)
          ends = row.pool.pooled.prediction or return
          told = row.pool.measure
          interval(ends.map { |one| told.told(one) }, row.pool.way.share, told, type: said("prediction interval"))
        end

        # Of a hundred people: without it and with it.
        def hundred(row)
          return [] unless row.hundred

          without, with, *ends = row.hundred.map { |share| 100 * share }
          [of_hundred(row.pool.arms.comparison_name, without),
           { **of_hundred(row.pool.arms.intervention_name, with),
             attributeEstimate: [{ **interval(ends, row.pool.way.share, nil),
               range: { low: per_hundred(ends.min), high: per_hundred(ends.max) } }] }]
        end

        def of_hundred(arm, value)
          { description: "of 100 people with #{arm}", statisticType: coded(STATISTICS, "predictedRisk"),
            quantity: per_hundred(value) }
        end

        def test(row)
          %i[sensitivity specificity].map do |name|
            told = row.pool.tests.public_send(name)
            ends = [told.low, told.high].map { |one| per_hundred(100 * one) }
            { statisticType: said(name.to_s), sampleSize: size(row.pool), quantity: per_hundred(100 * told.estimate),
              attributeEstimate: [{ type: coded(ESTIMATES, "C53324", "Confidence interval"), level: 0.95,
                                    range: { low: ends.first, high: ends.last } }] }
          end
        end

        def size(pool)
          people = pool.people
          { numberOfStudies: pool.studies.size,
            numberOfParticipants: (people if people.positive?) }.compact
        end
      end
    end
  end
end
