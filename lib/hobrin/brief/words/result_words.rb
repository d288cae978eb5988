# frozen_string_literal: true

module Hobrin
  class Brief
    # What a paper gives for one outcome, in words.
    #
    # outcome :: its name; counted :: its groups; effect :: EffectWords of four counts, nil for
    #   other numbers; other :: the effect of those, nil where they tell none; notes :: Array of
    #   what else is to be known of it
    class ResultWords < Value
      attributes :outcome, :counted, :effect, :other, :notes

      # result :: EvidenceRow::Result
      def self.of(result)
        told = MeasuredWords.new(result.outcome.measure)
        effect = EffectWords.new(result.effect) if result.effect
        counted = effect ? effect.counted : told.groups(result.reported).compact.join(" · ")
        other = told.result(result.reported, result.outcome.way) unless effect
        new(outcome: result.outcome.name, counted:, effect:, other:, notes: notes(result.reported))
      end

      # Who was compared with whom, and what was done to the numbers.
      def self.notes(reported)
        groups = [reported.group, reported.comparison].reject(&:empty?).join(" compared with ")
        [(groups unless groups.empty?), *reported.notes].compact
      end
      private_class_method :notes

      # All of it in one line.
      def to_s = ["#{outcome}: #{counted}", *told, *notes].join("; ")

      private

      def told
        return [other].compact unless effect

        ratio = "risk ratio #{effect.ratio} (#{effect.ratio_interval})" if effect.ratio
        difference = "difference #{effect.difference} points (#{effect.difference_interval})"
        needed = "needed to treat #{effect.needed}, #{effect.needed_words}"
        [ratio, (effect.corrected if effect.ratio), difference, needed].compact
      end
    end
  end
end
