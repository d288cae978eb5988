# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Weigh
        # A finding of experience studies: its text, the papers that speak to it, how far to rely
        # on it.
        class FindingForm < Form
          DEEDS = %i[write drop judge].freeze
          # More papers than a finding can be held against one by one.
          MOST = 200
          private_constant :DEEDS, :MOST

          def edit
            case fields.one_of(:do, DEEDS)
            when :write then Edits::Findings::Write.new(
              finding_id: (finding if fields.some_text(:finding)), text: fields.text(:text), support:
            )
            when :drop then Edits::Findings::Remove.new(finding_id: finding)
            when :judge
              component = fields.one_of(:component, Appraisal::Finding::Confidence::COMPONENTS.keys)
              Edits::Findings::Judge.new(finding_id: finding, component:,
                                         judgement: Judging.new(fields).call)
            else unknown
            end
          end

          def after(_outcome)
            After.new(list: { "show" => "findings",
                              "finding" => fields.some_text(:finding) }.compact)
          end

          private

          def finding = id(:finding, of: "finding")

          # Papers come by their place in the form, since ids hold any letters.
          def support
            fields.list(:papers).first(MOST).each_with_index.filter_map do |paper, place|
              speaks = fields.nested(:speaks).one_of(place, Appraisal::Finding::Voice::WAYS.keys)
              [paper, Appraisal::Finding::Voice.new(speaks:, words: fields.nested(:words).text(place))] if speaks
            end.to_h
          end
        end
      end
    end
  end
end
