# frozen_string_literal: true

module Hobrin
  module Store
    # An inquiry to and from one JSON document: what a row of `inquiries` and of `trail` keeps. It
    # begins with the number of its format; older ones are led to the present one by Upgrades.
    module InquiryDocument
      class << self
        def dump(inquiry) = JSON.generate({ format: Upgrades::FORMAT, **plain(inquiry) })

        # Raises StateError for a document of a newer format.
        def load(text)
          data = Upgrades.call(JSON.parse(text, symbolize_names: true))
          Inquiry.new(question: Questions.load(data[:question]), **search(data), **reading(data),
                      conclusion: data[:conclusion], plan: Brief::ActionPlan.new(**data[:plan]),
                      acting: Practice.load(data[:acting]),
                      elsewhere: data[:elsewhere].map { |search| elsewhere(search) },
                      peer_reviews: data[:peer_reviews].map { |review| Narrowing::PeerReview.new(**review, on: Date.iso8601(review[:on])) })
        end

        private

        def plain(inquiry)
          { question: Questions.dump(inquiry.question), blocks: inquiry.blocks.map { |block| block_data(block) },
            order: inquiry.order, limits: inquiry.limits.map { |limit| limit_data(limit) },
            included: inquiry.included_ids, aim: { from: inquiry.aim.from, to: inquiry.aim.to },
            lines: inquiry.lines.map { |line| { name: line.name, tree: ExpressionDocument.dump(line.tree) } },
            must_find: inquiry.must_find, dismissed: inquiry.dismissed, next_term: inquiry.next_term,
            **reading_data(inquiry), conclusion: inquiry.conclusion, plan: inquiry.plan.to_h,
            acting: Practice.dump(inquiry.acting), elsewhere: elsewhere_data(inquiry.elsewhere),
            peer_reviews: inquiry.peer_reviews.map { |review| { **review.to_h, on: review.on.iso8601 } } }
        end

        def reading_data(inquiry)
          { decisions: inquiry.decisions.map { |decision| decision_data(decision) },
            rounds: inquiry.rounds.map { |round| { from: round.from_ids, found: round.found_ids } },
            weighing: Appraisals.dump(inquiry.weighing) }
        end

        def block_data(block)
          terms = block.terms.map do |term|
            { id: term.id, leaf: ExpressionDocument.dump(term.leaf), crossed_out: term.crossed_out,
              excluded: term.excluded }
          end
          { key: block.key, operator: block.operator, previous_operator: block.previous_operator,
            terms: }
        end

        def elsewhere_data(all) = all.map { |search| { **search.to_h, lines: search.lines.map(&:to_h) } }

        def elsewhere(data)
          Narrowing::State::ExternalSearch.new(**data, lines: data[:lines].map do |line|
            Narrowing::State::ExternalSearch::Line.new(**line)
          end)
        end

        def limit_data(limit) = { on: limit.on, leaf: ExpressionDocument.dump(limit.leaf) }

        def decision_data(decision)
          { record: decision.record_id, verdict: decision.verdict, reason: decision.reason,
            note: decision.note }
        end

        def search(data)
          { blocks: data[:blocks].map { |block| self.block(block) }, order: data[:order],
            limits: data[:limits].map { |limit| applied(limit) }, included_ids: data[:included],
            aim: Narrowing::Target.new(**data[:aim]), lines: data[:lines].map { |line| named(line) },
            must_find: data[:must_find], dismissed: data[:dismissed], next_term: data[:next_term] }
        end

        def reading(data)
          { decisions: data[:decisions].map { |decision| self.decision(decision) },
            rounds: data[:rounds].map { |round| Screening::CitationSearch::Round.new(from_ids: round[:from], found_ids: round[:found]) },
            weighing: Appraisals.load(data[:weighing]) }
        end

        def block(data)
          terms = data[:terms].map do |term|
            Strategy::Block::Term.new(**term, leaf: ExpressionDocument.load(term[:leaf]))
          end
          Strategy::Block.new(key: data[:key], terms:, operator: data[:operator].to_sym,
                              previous_operator: data[:previous_operator].to_sym)
        end

        def applied(data)
          Narrowing::AppliedLimit.new(leaf: ExpressionDocument.load(data[:leaf]), on: data[:on])
        end

        def named(data)
          Strategy::Lines::NamedLine.new(name: data[:name], tree: ExpressionDocument.load(data[:tree]))
        end

        def decision(data)
          Screening::Decision.new(record_id: data[:record], verdict: data[:verdict].to_sym, reason: data[:reason],
                                  note: data[:note])
        end
      end

      # A question to and from plain data. An element names its place by frame and key; what a frame
      # calls it is not stored.
      module Questions
        class << self
          def dump(question)
            elements = question.elements.map do |element|
              { frame: element.slot.frame, key: element.key, use: element.use,
                phrases: element.phrases.map { |phrase| { text: phrase.text, from: phrase.from } } }
            end
            { situation: question.situation, text: question.text, kind: question.kind, frame: question.frame,
              declined: question.declined, elements: }
          end

          # data :: Hash with Symbols for keys
          def load(data) = Question.new(**data, elements: data[:elements].map { |one| element(one) })

          private

          def element(data)
            phrases = data[:phrases].map { |phrase| Question::Phrase.new(**phrase) }
            slot = Question::Frame.fetch(data[:frame]).slot(data[:key])
            Question::Element.new(slot:, phrases:, use: data[:use].to_sym)
          end
        end
      end

      # What was weighed, to and from plain data.
      module Appraisals
        class << self
          def dump(weighing)
            { papers: weighing.papers.map { |paper| paper_data(paper) },
              outcomes: weighing.outcomes.map { |outcome| outcome_data(outcome) },
              findings: weighing.findings.map { |finding| finding_data(finding) } }
          end

          # data :: Hash with Symbols for keys. Gives an Appraisal::Weighing.
          def load(data)
            Appraisal::Weighing.new(papers: data[:papers].map { |paper| paper(paper) },
                                    outcomes: data[:outcomes].map { |outcome| outcome(outcome) },
                                    findings: data[:findings].map { |finding| finding(finding) })
          end

          # One paper: see Appraisal::Paper.
          def paper_data(paper)
            reported = paper.reported.map do |result|
              { **result.to_h.except(:outcome_id), outcome: result.outcome_id, allocation: result.allocation.to_h }
            end
            { record: paper.record_id, design: paper.design, reviewed: paper.reviewed,
              answers: paper.answers.transform_values(&:to_h), sentences: paper.sentences,
              concerns: paper.concerns.transform_values(&:to_h), applies: paper.applies,
              graded: paper.graded, graded_why: paper.graded_why, finding: paper.finding, reported: }
          end

          def paper(data)
            Appraisal::Paper.new(
              **data.except(:record),
              record_id: data[:record], applies: data[:applies].transform_values(&:to_sym),
              answers: data[:answers].transform_values { |answer| Appraisal::Paper::Answer.new(**answer) },
              concerns: data[:concerns].transform_values { |concern| Appraisal::Checklists::Concern::Set.new(**concern) },
              reported: data[:reported].map { |result| reported(result) }
            )
          end

          private

          def reported(data)
            Appraisal::Reported.new(**data.except(:outcome), outcome_id: data[:outcome],
                                                             allocation: Appraisal::Reported::Allocation.new(**data[:allocation]))
          end

          def outcome_data(outcome)
            { **outcome.to_h, way: outcome.way.to_h, arms: outcome.arms.to_h,
                              judgements: outcome.judgements.transform_values(&:to_h) }
          end

          def finding_data(finding)
            { id: finding.id, text: finding.text,
              support: finding.support.map { |id, voice| { record: id, speaks: voice.speaks, words: voice.words } },
              judgements: finding.judgements.transform_values(&:to_h) }
          end

          def outcome(data)
            Appraisal::Outcome.new(**data, way: Appraisal::Outcome::Way.new(**data[:way]),
                                           arms: CloseReading::Arms.new(**data[:arms]), judgements: judgements(data))
          end

          def finding(data)
            support = data[:support].to_h { |voice| [voice[:record], Appraisal::Finding::Voice.new(**voice.except(:record))] }
            Appraisal::Finding.new(id: data[:id], text: data[:text], support:,
                                   judgements: judgements(data))
          end

          def judgements(data)
            data[:judgements].transform_values { |judgement| Appraisal::Outcome::Judgement.new(**judgement) }
          end
        end
      end

      # What a ward thought of, decided and measures, to and from plain data.
      module Practice
        class << self
          def dump(acting)
            { considerations: acting.considerations.transform_values(&:to_h), decision: acting.decision,
              measures: acting.measures.map { |measure| measure_data(measure) },
              signed: acting.signed.map { |signature| { **signature.to_h, on: signature.on.iso8601 } },
              steps: acting.steps.map { |step| { **step.to_h, on: step.on&.iso8601 } },
              cycles: acting.cycles.map(&:to_h) }
          end

          # data :: Hash with Symbols for keys. Gives a Brief::Acting.
          def load(data)
            Brief::Acting.new(
              considerations: data[:considerations].transform_values { |consideration| Brief::Acting::Consideration.new(**consideration) },
              decision: data[:decision], measures: data[:measures].map { |one| measure(one) },
              signed: data[:signed].map { |signature| Brief::Acting::Signature.new(**signature, on: Date.iso8601(signature[:on])) },
              steps: data[:steps].map { |step| Brief::ActionPlan::Step.new(**step, on: step[:on] && Date.iso8601(step[:on])) },
              cycles: data[:cycles].map { |cycle| Brief::ActionPlan::PdsaCycle.new(**cycle) }
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
end
