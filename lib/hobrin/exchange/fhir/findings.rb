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
        # What an element is in a comparison, by its letter.
        ELEMENTS = { "P" => "population", "I" => "exposure", "C" => "referenceExposure" }.freeze
        private_constant :STATISTICS, :ESTIMATES, :ROLES, :CODES, :ELEMENTS

        def call = material.table.rows.map { |row| evidence(row) }

        private

        def evidence(row)
          resource(
            "Evidence", "evidence #{row.outcome.id}",
            status: status, title: row.outcome.name, date: today, experimental: material.sample,
            description: row.words, relatedArtifact: papers(row), variableDefinition: variables(row),
            synthesisType: synthesis(row), statistic: statistic(row), certainty: certainty(row)
          )
        end

        def certainty(row) = [(Certainty.of(row.certainty) if row.certainty)].compact

        def papers(row)
          row.pool.studies.map(&:record).uniq.map do |record|
            { type: "derived-from",
              resourceReference: reference("citation #{record.id}", record.title) }
          end
        end

        def variables(row)
          elements = question.elements.reject(&:blank?).filter_map do |one|
            role = ELEMENTS[one.letter] or next
            variable(role, "element #{one.key}", one.name)
          end
          [*elements, variable("measuredVariable", "outcome #{row.outcome.id}", row.outcome.name)]
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
          code = CODES[told.key]
          ends = [row.effect.low, row.effect.high].map { |one| told.told(one) }
          { statisticType: code ? coded(STATISTICS, code, told.name) : said(told.name),
            sampleSize: size(row.pool), quantity: quantity(told.told(row.effect.estimate), told.per),
            attributeEstimate: [interval(ends, row.pool.way.share), *spread(row)] }
        end

        def quantity(value, unit = nil) = { value: value.round(6), unit: }.compact

        def interval(ends, level)
          { type: coded(ESTIMATES, "C53324", "interval"), level:,
            range: { low: quantity(ends.min), high: quantity(ends.max) } }
        end

        def spread(row)
          return [] unless row.pool.pooled

          { "0000420" => row.pool.pooled.i2,
            "0000421" => row.pool.pooled.tau2 }.compact.map do |code, value|
            { type: coded(ESTIMATES, code), quantity: quantity(value) }
          end
        end

        # Of a hundred people: without it and with it.
        def hundred(row)
          return [] unless row.hundred

          without, with, *ends = row.hundred.map { |share| 100 * share }
          [of_hundred("of 100 without", without),
           { **of_hundred("of 100 with", with),
             attributeEstimate: [interval(ends, row.pool.way.share)] }]
        end

        def of_hundred(description, value)
          { description:, statisticType: coded(STATISTICS, "predictedRisk"),
            quantity: quantity(value, "of 100") }
        end

        def test(row)
          %i[sensitivity specificity].map do |name|
            told = row.pool.tests.public_send(name)
            { statisticType: said(name.to_s), sampleSize: size(row.pool),
              quantity: quantity(100 * told.estimate, "of 100"),
              attributeEstimate: [interval([100 * told.low, 100 * told.high], 0.95)] }
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
