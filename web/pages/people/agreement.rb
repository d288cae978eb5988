# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      module People
        # What pages that tell of agreement have in common: tables of counts, and measures.
        class Agreement < Page
          MARKS = { none: "Kappa", linear: "Weighted kappa" }.freeze
          private_constant :MARKS

          # A table of counts: rows :: Array of [counts, name]
          class Counts < Value
            attributes :caption, :names, :rows

            def empty? = rows.all? { |counts, _| counts.sum.zero? }
          end

          # Measures of one agreement: rows :: Array of [what it is, number, from, to]
          class Measures < Value
            attributes :caption, :rows
          end

          attr_reader :id, :question

          def initialize(context:, id:, errors:)
            super(errors:)
            @id = id
            @context = context
          end

          private

          def decimal(value) = format("%.2f", value).sub("-", "−")

          # agreement :: Statistics::Agreement
          def counts(caption, names, agreement)
            Counts.new(caption:, names:, rows: agreement.table.zip(names))
          end

          # weightings :: of Statistics::Agreement#kappa
          def measures(caption, agreement, weightings)
            rows = weightings.filter_map do |weighting|
              kappa = agreement.kappa(weighting) or next
              [MARKS[weighting], *told(kappa)]
            end
            Measures.new(caption:, rows: rows + adjusted(agreement))
          end

          def adjusted(agreement)
            return [] unless agreement.adjusted

            { "Prevalence- and bias-adjusted kappa" => agreement.adjusted, "Gwet's AC1" => agreement.ac1 }
              .map { |name, kappa| [name, *told(kappa)] }
          end

          # Its value and the two ends of its interval.
          def told(kappa)
            [kappa.value, kappa.interval.low, kappa.interval.high].map { |one| decimal(one) }
          end
        end
      end
    end
  end
end
