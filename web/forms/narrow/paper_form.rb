# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Narrow
        # What forms about single papers have in common: they stand on several pages, and what is
        # open there stays.
        class PaperForm < Form
          # What stays open after a change, by its parameter.
          OPEN = %w[opened order what_if open line with].freeze
          private_constant :OPEN

          # The page that the form was on, or Sift with its paper.
          def after(_outcome)
            return on_sift if fields.some_text(:reading) || fields.text(:show) == "threads"

            After.new(stay: OPEN.to_h { |name| [name, fields.text(name)] })
          end

          private

          def on_sift
            list = { **Pages::Sift.view_of(fields).to_query,
              "show" => fields.some_text(:show) }.compact
            After.new(step: :sift, paper: fields.some_text(:reading), list:)
          end
        end
      end
    end
  end
end
