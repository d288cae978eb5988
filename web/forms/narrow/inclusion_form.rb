# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Narrow
        # A paper let in by hand, or no longer.
        class InclusionForm < PaperForm
          def self.step(fields)
            :sift if fields.some_text(:reading) || fields.text(:show) == "threads"
          end

          def edit
            released = fields.some_text(:take_back)
            return Edits::Papers::RemoveManually.new(record_id: released) if released

            Edits::Papers::IncludeManually.new(record_id: fields.text(:paper))
          end
        end
      end
    end
  end
end
