# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Narrow
        # A limit that is put on, by its name and values; or all of them switched off.
        class LimitForm < Form
          def edit
            return Edits::Limits::SwitchAllOff.new if fields.text(:all) == "off"

            case fields.one_of(:limit, [*Narrowing::Previews::ALL, :filter])
            when :journal
              names = [*fields.list(:values), *fields.some_text(:journal)]
              Edits::Limits::ApplyJournals.new(names:)
            when :filter then Edits::Limits::ApplyFilter.new(label: fields.text(:filter))
            else Edits::Limits::Apply.new(leaf:)
            end
          end

          private

          def leaf
            case name = fields.one_of(:limit, Narrowing::Previews::ALL)
            when :dates
              from_year, to_year = fields.number(:from_year), fields.number(:to_year)
              Strategy::Dates.years(from_year:, to_year:)
            when :added
              from = fields.text(:since).strip
              InputError.at(:since) { Strategy::Dates.new(name: :added, from:) }
            when nil then raise InputError, { limit: "There is no such limit." }
            else Strategy::Limit.new(name:, values: fields.list(:values))
            end
          end
        end
      end
    end
  end
end
