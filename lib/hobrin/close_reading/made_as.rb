# frozen_string_literal: true

module Hobrin
  module CloseReading
    # Whether a work is what its label says: how it was made, as its own methods tell.
    class MadeAs
      # design :: key of the Appraisal::Design that the text tells, nil when it tells none; sentence
      #   :: the Passage::Sentence that tells, or nil; cue :: [from, to] of the telling words, as in
      #   the Passage; verdict :: :agree, :disagree or :untold
      class Answer < Value
        attributes :design, :sentence, :cue, :verdict
      end

      # A label may stand for work that its text tells otherwise, and is none the worse: an economic
      # evaluation beside a trial; a cohort whose people also filled in a questionnaire; a pooled
      # review that tells nothing but its search. Key of the label to keys that agree with it too.
      ALSO = {
        "cost" => %w[randomized_trial controlled_trial cohort before_after],
        "guideline" => %w[systematic_review], "inception_cohort" => %w[cohort],
        "cohort" => %w[inception_cohort cross_sectional before_after case_control],
        "before_after" => %w[cohort cross_sectional], "cross_sectional" => %w[cohort],
        "diagnostic" => %w[cohort cross_sectional], "controlled_trial" => %w[before_after cohort],
        "case_control" => %w[cohort], "opinion" => %w[case_series], "case_series" => %w[cohort],
        "qualitative" => %w[cross_sectional]
      }.freeze
      # What a label of this kind says is of whom, not how.
      NO_LABEL = "mechanism"
      private_constant :ALSO, :NO_LABEL

      # passage :: Passage; label :: key of the design that the labels say, or nil
      def initialize(passage, label)
        @passage = passage
        @label = label unless label == NO_LABEL
      end

      # Gives an Answer. Where the text tells several designs and the label is among them, they
      # agree.
      def call
        told = cues
        return untold if told.empty?

        above = told.find { |design, *| Cues::OUTRANK.include?(design) }
        return answer(*above, :disagree) if above && @label && !agrees?(above.first)

        mine = told.find { |design, *| agrees?(design) }
        first = mine || told.first
        verdict = if mine || @label.nil? then mine ? :agree : :untold
                  else :disagree
                  end
        answer(*first, verdict)
      end

      private

      def untold = Answer.new(design: nil, sentence: nil, cue: nil, verdict: :untold)

      def answer(design, sentence, match, verdict)
        from = sentence.from + match.begin(0)
        Answer.new(design:, sentence:, cue: [from, from + match[0].size], verdict:)
      end

      def agrees?(design) = design == @label || ALSO.fetch(@label, []).include?(design)

      # [design, sentence, match] for each design that is told: first those in the methods.
      def cues
        sentences = @passage.of(:methods)
        sentences = @passage.sentences if sentences.empty?
        Cues::ALL.filter_map do |design, patterns|
          found = nil
          sentences.find do |sentence|
            patterns.find { |pattern| found = sentence.text.match(pattern) } && (found = [design, sentence, found])
          end
          found
        end
      end
    end
  end
end
