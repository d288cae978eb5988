# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Outcome
      # An effect measure: on which scale it is pooled, and how it is told.
      #
      # key :: Symbol; name :: in words, in small letters; scale :: :log for what is pooled as a
      #   logarithm, :logit for the logarithm of odds, :plain for what is pooled as it is
      # per :: what a plain value is told in, or nil
      class Measure < Value
        attributes :key, :name, :scale, :per

        ALL = [
          [:risk_ratio, "risk ratio", :log], [:odds_ratio, "odds ratio", :log],
          [:risk_difference, "risk difference", :plain, "of 100"],
          [:peto_odds_ratio, "odds ratio by Peto", :log], [:mean_difference, "mean difference", :plain],
          [:standardized, "difference in standard deviations", :plain, "SD"],
          [:rate_ratio, "rate ratio", :log], [:rate_difference, "rate difference", :plain],
          [:hazard_ratio, "hazard ratio", :log], [:share, "share", :logit, "of 100"],
          [:accuracy, "sensitivity and specificity", :logit, "of 100"],
          [:ratio, "ratio", :log], [:difference, "difference", :plain]
        ].to_h { |key, name, scale, per| [key, new(key:, name:, scale:, per:)] }.freeze

        # Raises InputError (:measure) for an unknown key.
        def self.fetch(key)
          ALL[key.to_s.to_sym] || raise(InputError, { measure: "Choose a measure." })
        end

        def ratio? = scale == :log
        def of_hundred? = per == "of 100"

        # A value of the scale of pooling as it is told: a ratio, a share or difference of 100, or
        # itself.
        def told(value)
          case scale
          when :log then Math.exp(value)
          when :logit then 100 * Statistics::Shares.share(value)
          else of_hundred? ? 100 * value : value
          end
        end

        # Where there is no effect, on the scale of pooling; nil for a share.
        def nothing = scale == :logit ? nil : 0.0
      end
    end
  end
end
