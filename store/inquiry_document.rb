# frozen_string_literal: true

module Hobrin
  module Store
    # An inquiry to and from one JSON document: what a row of `inquiries` and of `trail` keeps.
    module InquiryDocument
      class << self
        def dump(inquiry) = JSON.generate(plain(inquiry))

        def load(text)
          data = JSON.parse(text, symbolize_names: true)
          Inquiry.new(question: question(data[:question]), blocks: data[:blocks].map { |block| self.block(block) },
                      limits: data[:limits].map { |limit| placed(limit) }, aim: Narrowing::Aim.new(**data[:aim]),
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
          when Strategy::Words, Strategy::Heading, Strategy::Limit, Strategy::Dates
            { kind: value.class.name[/\w+\z/], **plain(value.to_h) }
          when Value then plain(value.to_h)
          else value
          end
        end

        def question(data)
          elements = data[:elements].map do |element|
            phrases = element[:phrases].map { |phrase| Question::Phrase.new(**phrase) }
            Question::Element.new(letter: element[:letter], phrases:, use: element[:use].to_sym)
          end
          Question.new(**data, elements:)
        end

        def block(data)
          terms = data[:terms].map { |term| Strategy::Term.new(**term, leaf: leaf(term[:leaf])) }
          Strategy::Block.new(letter: data[:letter], terms:)
        end

        def placed(data) = Narrowing::PlacedLimit.new(leaf: leaf(data[:leaf]), on: data[:on])

        def leaf(data)
          case data
          in { kind: "Words", text:, fields: } then Strategy::Words.new(text:, fields: fields.map(&:to_sym))
          in { kind: "Heading", label:, narrower:, main: } then Strategy::Heading.new(label:, narrower:, main:)
          in { kind: "Limit", name:, values: } then Strategy::Limit.new(name: name.to_sym, values:)
          in { kind: "Dates", from_year:, to_year: } then Strategy::Dates.new(from_year:, to_year:)
          end
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
