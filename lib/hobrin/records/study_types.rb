# frozen_string_literal: true

module Hobrin
  module Records
    # The study and publication types a record may carry, in the order a reader would look for them.
    module StudyTypes
      ALL = ["systematic review", "meta-analysis", "randomized controlled trial", "controlled trial",
             "diagnostic accuracy study", "cohort study", "case-control study", "cross-sectional study",
             "before-and-after study", "qualitative study", "cost analysis", "case report", "guideline",
             "narrative review", "protocol", "editorial", "letter"].freeze
    end
  end
end
