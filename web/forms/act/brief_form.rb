# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Act
        # The conclusion and the change plan.
        class BriefForm < Form
          def edit
            plan = Brief::ActionPlan::PROMPTS.keys.to_h { |name| [name, fields.text(name)] }
            Edits::Practice::WriteBrief.new(conclusion: fields.some_text(:proposed) || written(:conclusion), plan:)
          end

          def after(_outcome) = After.new(step: fields.one_of(:next, Inquiry::STEPS))
        end
      end
    end
  end
end
