# frozen_string_literal: true

module Hobrin
  module Narrowing
    # Of the papers that limits took away, those that say nothing the limit could go by.
    module Silences
      # step :: the Cascade::Step; papers :: that it took away for saying nothing; not_indexed :: of
      #   those
      class Silence < Value
        attributes :step, :papers, :not_indexed
      end

      # cascade :: Cascade; evaluator :: Evaluator. Gives an Array of Silence, one for each limit
      #   that is on with any.
      def self.of(cascade, evaluator)
        index = evaluator.index
        cascade.steps.select { |step| !step.block? && step.on }.filter_map do |step|
          silent = step.removed & index.unstated(step.source.name)
          next if silent.empty?

          Silence.new(step:, papers: silent.size, not_indexed: silent.overlap(index.not_indexed))
        end
      end
    end
  end
end
