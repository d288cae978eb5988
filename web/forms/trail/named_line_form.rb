# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Trail
        # A line that is named or made of others, or taken off; the ones that were looked at stay
        # open.
        class NamedLineForm < Form
          def edit
            return Edits::Trail::RemoveLine.new(name: fields.text(:remove)) if fields.some_text(:remove)

            tree = Strategy::Lines::LineNotation.read(fields.text(:notation))
            Edits::Trail::NameLine.new(name: fields.text(:name), tree:)
          end

          def after(outcome)
            name, rule = outcome.change.facts.values_at(:name, :rule)
            return After.new(said: "Took off “#{name}”.") unless rule

            After.new(stay: { "line" => name }, said: "The line “#{name}” is #{rule}.")
          end
        end
      end
    end
  end
end
