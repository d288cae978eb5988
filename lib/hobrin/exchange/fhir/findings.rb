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
          ends = [row.effect.low, row.effect.high].map { |bound| told.told(bound) }
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
          interval(ends.map { |bound| told.told(bound) }, row.pool.way.share, told, type: said("prediction interval"))
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
          { description: Book.t("exports.fhir.per_100", group: arm), statisticType: coded(STATISTICS, "predictedRisk"),
            quantity: per_hundred(value) }
        end

        def test(row)
          %i[sensitivity specificity].map do |name|
            told = row.pool.tests.public_send(name)
            ends = [told.low, told.high].map { |share| per_hundred(100 * share) }
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
            ends = [study.result.effect - reach, study.result.effect + reach].map { |bound| told.told(bound) }
            people = study.reported.people
            { statisticType: type(told), quantity: quantity(told.told(study.result.effect), told),
              sampleSize: ({ numberOfParticipants: people } if people),
              attributeEstimate: [interval(ends, pool.way.share, told)] }.compact
          end
        end

        # How sure an outcome is, with each reason.
        module Certainty
          TYPES = "http://hl7.org/fhir/certainty-type"
          RATINGS = "http://hl7.org/fhir/certainty-rating"
          DOMAINS = { bias: "RiskOfBias", inconsistency: "Inconsistency", indirectness: "Indirectness",
                      imprecision: "Imprecision", unpublished: "PublicationBias", large: "LargeEffect",
                      gradient: "DoseResponseGradient", against: "PlausibleConfounding" }.freeze
          # Of a reason to rate down, and of one to rate up.
          DOWN = { -2 => "very-serious-concern", -1 => "serious-concern", 0 => "no-concern" }.freeze
          UP = { 0 => "no-change", 1 => "upcode1", 2 => "upcode2" }.freeze
          LEVELS = { 4 => "high", 3 => "moderate", 2 => "low", 1 => "very-low" }.freeze
          private_constant :TYPES, :RATINGS, :DOMAINS, :DOWN, :UP, :LEVELS

          class << self
            # certainty :: Appraisal::Certainty. Gives a Hash.
            def of(certainty)
              { description: certainty.start_why, **rated("Overall", LEVELS.fetch(certainty.level)),
                subcomponent: certainty.lines.map { |line| subcomponent(line) } }
            end

            private

            def subcomponent(line)
              why = line.judgement ? line.judgement.why : line.why
              { description: why.to_s.empty? ? nil : why,
                **rated(DOMAINS.fetch(line.domain), (line.up? ? UP : DOWN).fetch(line.steps)) }.compact
            end

            def rated(type, rating)
              { type: { coding: [{ system: TYPES, code: type }] },
                rating: { coding: [{ system: RATINGS, code: rating }] } }
            end
          end
        end

        # How results were pooled, in the codes of the standard (statistic-model-code of R5).
        module Model
          CODES = "http://hl7.org/fhir/statistic-model-code"
          TAU = { reml: ["tauRestrictedMaximumLikelihood", "Restricted Maximum Likelihood method"],
                  dl: ["tauDersimonianLaird", "Dersimonian-Laird method"], pm: ["tauPauleMandel", "Paule-Mandel method"] }.freeze
          INVERSE = ["poolInverseVariance", "Inverse variance method"].freeze
          private_constant :CODES, :TAU, :INVERSE

          class << self
            # pool :: Appraisal::Synthesis::Pool. Gives an Array of Hashes, nil where nothing is pooled.
            def of(pool)
              return unless pool.pooled

              codes = [%w[metaAnalysis Meta-analysis], effects(pool.way), weights(pool), TAU[pool.way.model], knapp(pool)]
              codes.compact.map { |code, display| { code: { coding: [{ system: CODES, code:, display: }] } } }
            end

            private

            def effects(way) = way.random? ? %w[effectsRandom Random-effects] : %w[effectsFixed Fixed-effects]

            def weights(pool)
              return ["poolPeto", "Peto method"] if pool.measure.key == :peto_odds_ratio
              return INVERSE unless Appraisal::Synthesis::Pooling.by_counts?(pool.studies, pool.way)

              ["poolMantelHaenzsel", "Mantel-Haenszel method"]
            end

            # Never narrower than without it, which is the modified one.
            def knapp(pool) = pool.pooled.df && ["modifiedHartungKnapp", "Modified Hartung-Knapp adjustment"]
          end
        end
      end
    end
  end
end
