# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # A trial whose outcome is rated from 0 to 10, where 10 is worst: means with their standard
      # deviations.
      class Scale < Comparison
        # How far apart the true means are, in standard deviations: better, alike, worse.
        SHIFTS = { (-0.7..-0.15) => 60, (-0.08..0.08) => 25, (0.15..0.6) => 15 }.freeze
        private_constant :SHIFTS

        private

        def count
          @sizes = sizes
          @sds = Array.new(2) { @random.rand(1.4..2.6).round(1) }
          usual = @random.rand(3.5..6.5)
          @means = [(usual + (@sds.sum / 2 * @random.rand(weighted(SHIFTS)))).round(1),
                    usual.round(1)]
        end

        def results
          one, two = groups
          told = @means.zip(@sds, @sizes).map { |mean, sd, size| "#{mean} (SD #{sd}) in #{size}" }
          "On a scale from 0 to 10, 10 being worst, #{@outcome["rated"]} was rated #{told.first} #{one} and " \
            "#{told.last} #{two}; mean difference #{format("%.2f",
                                                           difference.estimate)}#{interval(difference)}"
        end

        # Large samples, so that the normal distribution does.
        def difference
          @difference ||= begin
            estimate = (@means.first - @means.last).round(2)
            error = Statistics::Distributions::Normal::Z95 * Math.sqrt(@sds.zip(@sizes).sum { |sd, size| (sd**2) / size })
            Statistics::Interval.new(estimate:, low: estimate - error, high: estimate + error)
          end
        end

        def direction = Appraisal::Effect::Direction.of_difference(printed(difference), sd: @sds.sum / 2)

        def conclusion = concluded("conclusion_rated", r: @outcome["rated"])
        def aside = ""
        def money = ""
      end
    end
  end
end
