# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Narrow
        # A search in another catalogue: asked as it is shown or as a person changed it, asked
        # again, brought in, or looked at in another catalogue.
        class ElsewhereForm < Form
          include AskedAgain

          # asking :: Services::Narrow::OtherCatalogues::Ask. Gives an ApplyEdit::Outcome.
          def call(asking, id)
            case fields.one_of(:do, %i[ask again bring])
            when :ask then asking.ask(id, source, texts, crossed_out: fields.checked?(:crossed_out))
            when :again then ask_again(asking, id)
            when :bring then asking.bring(id, source, fields.number(:most))
            else unknown
            end
          end

          def after(_outcome)
            kept = { "crossed_out" => fields.some_text(:crossed_out) }.compact
            After.new(list: { "show" => "elsewhere", "source" => fields.text(:source), **kept }, said: @said)
          end

          # The texts that were typed: Hash of the number of a line to its text.
          def texts
            typed = fields.nested(:there)
            typed.names.grep(/\A\d{1,4}\z/).to_h do |number|
              [number.to_i, typed.text(number).strip]
            end
          end

          private

          def source = id(:source, of: "catalogue")
        end
      end
    end
  end
end
