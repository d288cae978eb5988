# frozen_string_literal: true

module Hobrin
  module Narrowing
    # Why a paper is not in the result: the step of the cascade that dropped it, and every step that
    # would.
    #
    # step :: the first Cascade::Step that lacks it, nil when the result has it
    # all  :: the steps that do not let it through, each by itself, in order
    class ExclusionReasons < Value
      attributes :step, :all

      # cascade :: Cascade; number :: of the record; evaluator :: Evaluator
      def self.of(cascade, number, evaluator)
        return new(step: nil, all: []) if cascade.final.include?(number)

        all = cascade.steps.select do |step|
          step.on && evaluator.call(tree(step)).include?(number) == excluding?(step)
        end
        new(step: cascade.steps.find { |step| !step.set.include?(number) }, all:)
      end

      def self.tree(step) = step.block? ? step.source.tree : step.source.leaf
      def self.excluding?(step) = step.block? && step.source.operator == :not
      private_class_method :tree, :excluding?
    end
  end
end
