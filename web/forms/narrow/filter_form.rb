# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Narrow
        # The card of study filters: one put on, one of our own put on, written or forgotten.
        class FilterForm < Form
          # service :: Services::Narrow::ChangeFilter; id :: of the inquiry. Gives an ApplyEdit::Outcome.
          def call(service, id)
            if fields.some_text(:put) then service.published(id, fields.text(:put))
            elsif fields.some_text(:put_own) then service.kept(id, fields.text(:put_own))
            elsif fields.some_text(:forget) then service.forget(id, fields.text(:forget))
            else service.write(id, fields.text(:title), fields.text(:terms),
                               replace: fields.checked?(:replace))
            end
          end

          def after(_outcome)
            After.new(stay: { "show" => "filters", "kind" => fields.text(:kind) })
          end
        end
      end
    end
  end
end
