# frozen_string_literal: true

module Hobrin
  class Brief
    # One kept paper in the evidence table.
    #
    # record :: Records::Record; paper :: its Appraisal::Paper or nil when not weighed yet
    # level  :: Appraisal::Level or nil; effect :: Appraisal::Effect or nil
    class EvidenceRow < Value
      attributes :record, :paper, :level, :effect

      def self.of(record:, paper:, kind:)
        new(record:, paper:, level: paper&.level(record, kind), effect: paper&.table && Appraisal::Effect.of(paper.table))
      end

      def design = paper && Appraisal::Design.fetch(paper.design)

      # Strongest level first, papers without one last, then newest first.
      def rank = [level&.number || 9, -(record.year || 0), record.id]
    end
  end
end
