# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Weigh
        # What one paper gives for an outcome, and whether it counts.
        class ResultForm < Form
          include Decimals

          DEEDS = %i[write drop out back mend split count].freeze
          NAMES = Appraisal::Reported::Form::ALL.flat_map(&:names).uniq.freeze
          private_constant :DEEDS, :NAMES

          def edit
            case fields.one_of(:do, DEEDS)
            when :write then Edits::Results::Write.new(record_id:,
                                                       number: (result if fields.some_text(:result)), given:)
            when :drop then Edits::Results::Remove.new(record_id:, number: result)
            when :out, :back then Edits::Results::Count.new(record_id:, number: result,
                                                            counts: fields.text(:do) == "back")
            when :mend, :split, :count
              trap = fields.one_of(:trap, Appraisal::Synthesis::IntegrityWarnings::IntegrityWarning::WORDS.keys)
              Edits::Results::SettleWarning.new(record_id:, number: result, trap:,
                                                mend: fields.text(:do) == "split" ? :split : fields.text(:do) == "mend")
            else unknown
            end
          end

          # What was pressed on an outcome leads back to it.
          def after(_outcome)
            return After.new(list: { "outcome" => fields.text(:outcome) }) unless %w[write
                                                                                     drop].include?(fields.text(:do))

            After.new(list: { "paper" => record_id,
                              "numbers" => fields.some_text(:outcome) || "yes" })
          end

          private

          def record_id = fields.text(:paper)
          def result = id(:result, of: "result")

          def given
            typed = NAMES.to_h { |name| [name, fields.text(name)] }.reject { |_, text| text.empty? }
            { outcome_id: id(:outcome, of: "outcome"), form: fields.text(:form), typed:,
              measure: fields.some_text(:measure),
              group: fields.text(:group), comparison: fields.text(:comparison), time: fields.text(:time),
              shown: fields.text(:shown), turned: fields.checked?(:turned), change: fields.checked?(:change),
              allocation: }
          end

          def allocation
            Appraisal::Reported::Allocation.new(kind: fields.some_text(:allocation) || :single, size: decimal(:cluster_size),
                                                icc: decimal(:icc), correlation: decimal(:correlation),
                                                adjusted: fields.checked?(:adjusted),
                                                shared: fields.some_text(:shared) ? fields.number(:shared) : 1)
          end
        end
      end
    end
  end
end
