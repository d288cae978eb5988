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
          Inquiry.new(question: QuestionDocument.load(data[:question]), **search(data), **reading(data),
                      conclusion: data[:conclusion], plan: Brief::ActionPlan.new(**data[:plan]),
                      acting: ActingDocument.load(data[:acting]),
                      elsewhere: data[:elsewhere].map { |one| elsewhere(one) },
                      peer_reviews: data[:peer_reviews].map { |one| Narrowing::PeerReview.new(**one, on: Date.iso8601(one[:on])) })
        end

        private

        def plain(inquiry)
          { question: QuestionDocument.dump(inquiry.question), blocks: inquiry.blocks.map { |block| block_data(block) },
            order: inquiry.order, limits: inquiry.limits.map { |limit| limit_data(limit) },
            included: inquiry.included_ids, aim: { from: inquiry.aim.from, to: inquiry.aim.to },
            lines: inquiry.lines.map { |line| { name: line.name, tree: ExpressionDocument.dump(line.tree) } },
            must_find: inquiry.must_find, dismissed: inquiry.dismissed, next_term: inquiry.next_term,
            **reading_data(inquiry), conclusion: inquiry.conclusion, plan: inquiry.plan.to_h,
            acting: ActingDocument.dump(inquiry.acting), elsewhere: elsewhere_data(inquiry.elsewhere),
            peer_reviews: inquiry.peer_reviews.map { |review| { **review.to_h, on: review.on.iso8601 } } }
        end

        def reading_data(inquiry)
          { decisions: inquiry.decisions.map { |decision| decision_data(decision) },
            rounds: inquiry.rounds.map { |round| { from: round.from_ids, found: round.found_ids } },
            weighing: WeighingDocument.dump(inquiry.weighing) }
        end

        def block_data(block)
          terms = block.terms.map do |term|
            { id: term.id, leaf: ExpressionDocument.dump(term.leaf), crossed_out: term.crossed_out,
              excluded: term.excluded }
          end
          { key: block.key, operator: block.operator, previous_operator: block.previous_operator,
            terms: }
        end

        def elsewhere_data(all) = all.map { |one| { **one.to_h, lines: one.lines.map(&:to_h) } }

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
            weighing: WeighingDocument.load(data[:weighing]) }
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
    end
  end
end
