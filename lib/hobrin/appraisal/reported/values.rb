# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
      # Numbers that were read, as what the statistics work with.
      module Values
        class << self
          # key :: of a Form; read :: Hash as Figures gives it. Gives a TwoByTwo, [Means::Group,
          # Means::Group], [events, time, events, time], [events, total], an Accuracy, or the Hash
          # of a ready-made effect. Raises InputError naming the field.
          def of(key, read)
            case key
            when "counts" then Statistics::TwoByTwo.new(**read.slice(*Statistics::TwoByTwo.attribute_names))
            when "four_cells" then Statistics::Accuracy.new(**read.slice(*Statistics::Accuracy.attribute_names))
            when "events_over_time" then read.values_at(:events, :time, :comparison_events,
                                                        :comparison_time)
            when "one_group" then read.values_at(:events, :total)
            when "estimate" then read
            else ["", Form::OTHER].map { |prefix| group(key, ->(name) { read.fetch(:"#{prefix}#{name}") }) }
            end
          end

          # How a mean or deviation that the paper does not give was made; nil where nothing was.
          def made(key)
            { "means_se" => "Standard deviation = standard error × √people.",
              "means_interval" => "Standard deviation from the interval, by Student's t.",
              "medians_quartiles" => from_median("median and quartiles"),
              "medians_range" => from_median("median and range"), "medians_both" => from_median("five numbers") }[key]
          end

          private

          def from_median(what)
            "Mean (Luo 2018) and standard deviation (Wan 2014) from #{what}; they hold where values lie " \
              "evenly about the middle."
          end

          def group(key, of)
            spread = Statistics::Spread
            size = of[:size]
            case key
            when "means_sd" then Statistics::Means::Group.new(size:, mean: of[:mean],
                                                              deviation: of[:deviation])
            when "means_se" then spread.from_error(size, of[:mean], of[:error])
            when "means_interval" then spread.from_interval(size, of[:mean], of[:low], of[:high])
            when "medians_quartiles" then spread.from_quartiles(size, of[:lower], of[:median],
                                                                of[:upper])
            when "medians_range" then spread.from_range(size, of[:least], of[:median], of[:most])
            else spread.from_both(size, of[:least], of[:lower], of[:median], of[:upper], of[:most])
            end
          end
        end
      end
    end
  end
end
