# frozen_string_literal: true

module Hobrin
  class Inquiry
    # What there is to say of an inquiry without opening it: for the board, and for the steps above each
    # page.
    #
    # question :: Question; aim :: Narrowing::Aim
    # blocks :: Array of how many terms are in use, for each block that is searched; terms :: how many
    #   there are in any block
    # decided, kept, unsure :: how many papers; weighed :: how many papers were appraised
    # decision, concluded :: whether the ward decided, and wrote a conclusion
    # measured :: whether anything was measured; steps :: how many steps are planned; open_steps ::
    #   Array of Brief::Step that are not done
    # look_again_on :: Date or nil; signed_line :: the line of the last signature, or nil
    class Outline < Value
      attributes :question, :aim, :blocks, :terms, :decided, :kept, :unsure, :weighed, :decision, :concluded,
                 :measured, :steps, :open_steps, :look_again_on, :signed_line

      def self.of(inquiry)
        acting, verdicts = inquiry.acting, inquiry.decisions.map(&:verdict).tally
        new(question: inquiry.question, aim: inquiry.aim, terms: inquiry.blocks.sum { |block| block.terms.size },
            blocks: inquiry.searched_blocks.map { |block| block.in_use.size },
            decided: inquiry.decisions.size, kept: verdicts.fetch(:keep, 0), unsure: verdicts.fetch(:unsure, 0),
            weighed: inquiry.papers.count(&:weighed?), decision: !acting.decision.empty?,
            concluded: !inquiry.conclusion.empty?, measured: acting.measures.any? { |measure| measure.points.any? },
            steps: acting.steps.size, open_steps: acting.steps.reject(&:done),
            look_again_on: inquiry.plan.look_again_on, signed_line: acting.signed.last&.line)
      end

      # How many terms are in use.
      def in_use = blocks.sum
    end
  end
end
