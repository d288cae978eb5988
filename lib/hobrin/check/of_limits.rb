# frozen_string_literal: true

module Hobrin
  class Check
    # Limits that lose papers for reasons that are no measure of quality, or that the question does
    # not mean.
    class OfLimits < Part
      # Fewer silent papers than this are no matter.
      FEW = 4
      private_constant :FEW

      def call = [*language, *full_text, *both, *silent, *contrary]

      private

      def on = inquiry.limits.select(&:on)

      def switched_off(limit)
        inquiry.with(limits: inquiry.limits.map { |there| there == limit ? there.with(on: false) : there })
      end

      # Language belongs at the end, where what it loses is seen.
      def language
        limit = on.find { |limit| limit.name == :language }
        return [] if limit.nil? || limit == inquiry.limits.last

        [finding(:language, limit.slot, inquiry.with(limits: [*(inquiry.limits - [limit]), limit]))]
      end

      def full_text
        limits = on.select { |limit| limit.name == :flag && limit.leaf.values.include?("free full text") }
        limits.map { |limit| finding(:full_text, limit.slot, switched_off(limit)) }
      end

      def both
        types = on.find { |limit| limit.name == :type }
        types && on.any? { |limit| limit.name == :filter } ? [finding(:both, types.slot, switched_off(types))] : []
      end

      # A limit that takes away more papers for saying nothing than for saying something else. Of
      # age Narrow itself tells.
      def silent
        steps = cascade.steps.reject { |step| step.block? || !step.on || step.source.name == :age }
        steps.filter_map do |step|
          quiet = (step.removed & evaluator.index.unstated(step.source.name)).size
          next unless quiet > FEW && quiet * 2 > step.removed.size

          finding(:silent, step.source.slot, switched_off(step.source),
                  quiet:, removed: step.removed.size, name: name(step.source.leaf))
        end
      end

      def contrary
        on.filter_map do |limit|
          said = stated[limit.name] if %i[age sex].include?(limit.name)
          next if said.nil? || limit.leaf.values.intersect?(said.values)

          finding(:contrary, limit.slot, inquiry.with_limit(said),
                  question: name(said), name: name(limit.leaf))
        end
      end

      # Dates are not looked at here, so the day does not matter.
      def stated
        @stated ||= Narrowing::MentionedLimits.new(Date.new(2000, 1, 1)).call(inquiry.question.text)
                                .to_h { |limit| [limit.leaf.name, limit.leaf] }
      end

      def name(leaf) = Narrowing::AppliedLimit::Wording.of(leaf).downcase
    end
  end
end
