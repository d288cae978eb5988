# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Act
        # Something to be counted: what it is, and its numbers as pasted.
        class MeasureForm < Form
          DEEDS = %i[write drop].freeze
          private_constant :DEEDS

          def edit
            case fields.one_of(:do, DEEDS)
            when :write then Edits::Practice::WriteMeasure.new(
              measure_id: (measure if fields.some_text(:measure)), given:
            )
            when :drop then Edits::Practice::RemoveMeasure.new(measure_id: measure)
            else unknown
            end
          end

          def after(outcome)
            return After.new(list: { "show" => "measures" }) if fields.text(:do) == "drop"

            written = fields.some_text(:measure) || outcome.opened.inquiry.acting.measures.last.id.to_s
            After.new(list: { "show" => "measures", "measure" => written })
          end

          private

          def measure = id(:measure, of: "measure")

          def given
            way = fields.text(:way).to_sym
            texts = %i[name sort counted of].to_h { |name| [name, fields.text(name)] }
            { **texts, way:, better:, target:, started:, points: Brief::Measure::Pasted.read(fields.text(:numbers), way) }
          end

          def better
            fields.one_of(:better, Brief::Measure::BETTER.keys) or
              raise InputError, { better: "Choose whether you want less of it or more." }
          end

          # Of a share in people of 100.
          def target
            text = fields.some_text(:target) or return
            Appraisal::Reported::Figures::Typed.number(text) || raise(InputError,
                                                                      { target: "Write a number, such as 20." })
          end

          def started
            text = fields.some_text(:started) or return
            Date.iso8601(text)
          rescue Date::Error
            raise InputError, { started: "Write a day, such as 2026-09-07." }
          end
        end
      end
    end
  end
end
