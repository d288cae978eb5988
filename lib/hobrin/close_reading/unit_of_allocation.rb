# frozen_string_literal: true

module Hobrin
  module CloseReading
    # Whether a trial randomised whole clusters, or gave everybody both in turn, as its title and
    # abstract say.
    module UnitOfAllocation
      CLUSTER = /\bcluster[- ]?(?:randomi[sz]ed|controlled|trial|crossover|level)|\bstepped[- ]wedge|
        \brandomi[sz]ed\sby\s(?:cluster|ward|unit|practice|home|hospital)|
        (?:\A|[.:;]\s+)(?:(?!(?:in|of|at|from|on)\b)[\p{L}\d’'-]+\s){0,4}
          (?:wards|units|practices|homes|hospitals|clusters|villages|schools)\s(?:(?!(?:in|of|at|from|on)\b)\p{L}+\s){0,2}?
          were\srandom(?:i[sz]ed|ly\s(?:assigned|allocated))/ix
      CROSSOVER = /\bcross-?\s?over\b(?!\s(?:from|to|was\sallowed|after))/i
      private_constant :CLUSTER, :CROSSOVER

      # record :: Records::Record. Gives :cluster, :crossover or nil.
      def self.of(record)
        text = "#{record.title}. #{record.abstract}"
        return :cluster if text.match?(CLUSTER)

        :crossover if text.match?(CROSSOVER)
      end
    end
  end
end
