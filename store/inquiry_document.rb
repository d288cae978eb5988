# frozen_string_literal: true

module Hobrin
  module Store
    # An inquiry to and from one JSON document: what a row of `inquiries` and of `trail` keeps.
    module InquiryDocument
      LEAVES = [Strategy::Words, Strategy::Near, Strategy::Heading, Strategy::Author, Strategy::Journal,
                Strategy::Identifier, Strategy::Limit, Strategy::Dates, Strategy::Filter, Strategy::Everything,
                Strategy::Line].to_h { |leaf| [leaf.name[/\w+\z/], leaf] }.freeze
      BRANCHES = { Strategy::AnyOf => "any", Strategy::AllOf => "all" }.freeze
      private_constant :LEAVES, :BRANCHES

      class << self
        def dump(inquiry) = JSON.generate(plain(inquiry))

        def load(text)
          data = JSON.parse(text, symbolize_names: true)
          Inquiry.new(question: question(data[:question]), blocks: data[:blocks].map { |block| self.block(block) },
                      limits: data[:limits].map { |limit| placed(limit) }, aim: Narrowing::Aim.new(**data[:aim]),
                      lines: data[:lines].map { |line| Strategy::NamedLine.new(**line, tree: tree(line[:tree])) },
                      **data.slice(:order, :let_in, :must_find, :dismissed),
                      decisions: data[:decisions].map { |decision| self.decision(decision) },
                      papers: data[:papers].map { |paper| self.paper(paper) }, conclusion: data[:conclusion],
                      plan: Brief::ChangePlan.new(**data[:plan]), next_term: data[:next_term])
        end

        private

        # Values become hashes of their attributes, all the way down; a leaf of a strategy keeps its kind.
        def plain(value)
          case value
          when Array then value.map { |part| plain(part) }
          when Hash then value.transform_values { |part| plain(part) }
          when *LEAVES.values then { node: LEAVES.key(value.class), **plain(value.to_h) }
          when *BRANCHES.keys then { BRANCHES.fetch(value.class) => plain(value.parts) }
          when Question::Slot then { frame: value.frame, key: value.key }
          when Value then plain(value.to_h)
          else value
          end
        end

        def question(data)
          elements = data[:elements].map do |element|
            phrases = element[:phrases].map { |phrase| Question::Phrase.new(**phrase) }
            slot = Question::Frame.fetch(element[:slot][:frame]).slot(element[:slot][:key])
            Question::Element.new(slot:, phrases:, use: element[:use].to_sym)
          end
          Question.new(**data, elements:)
        end

        def block(data)
          terms = data[:terms].map { |term| Strategy::Term.new(**term, leaf: leaf(term[:leaf])) }
          Strategy::Block.new(key: data[:key], terms:, joins: data[:joins].to_sym, was: data[:was].to_sym)
        end

        def placed(data) = Narrowing::PlacedLimit.new(leaf: limit(data[:leaf]), on: data[:on])

        # A filter of one's own holds a tree.
        def limit(data) = data.key?(:title) ? Strategy::OwnFilter.new(**data, tree: tree(data[:tree])) : leaf(data)

        def tree(data)
          case data
          in { node: } then leaf(data)
          in { any: } then Strategy::AnyOf.of(any.map { |part| tree(part) })
          in { all: } then Strategy::AllOf.of(all.map { |part| tree(part) })
          in { kept:, taken: } then Strategy::Except.new(kept: tree(kept), taken: tree(taken))
          end
        end

        # Names come back as the Symbols they were.
        def leaf(data)
          kind = LEAVES.fetch(data[:node])
          given = data.except(:node)
          given[:name] = given[:name].to_sym if [Strategy::Limit, Strategy::Dates].include?(kind)
          given[:fields] = given[:fields].map(&:to_sym) if given.key?(:fields)
          kind.new(**given)
        end

        def decision(data) = Sifting::Decision.new(**data, verdict: data[:verdict].to_sym)

        def paper(data)
          Appraisal::Paper.new(**data, answers: data[:answers].transform_values(&:to_sym),
                                       table: data[:table] && Statistics::TwoByTwo.new(**data[:table]))
        end
      end
    end
  end
end
