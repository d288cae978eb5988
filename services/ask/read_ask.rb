# frozen_string_literal: true

module Hobrin
  module Services
    # What the Ask step shows beyond the question: what Hobrin proposes, and what it has to say
    # about what is there.
    class ReadAsk
      # proposals :: Array of Question::Proposals::Proposal still open; guess ::
      #   Question::KindCues::Guess or nil
      # advice    :: Hash of element key to Question::Practice::Advice; no_use :: Hash of element
      #   key to Array of Remark
      # gaps      :: Array of Question::Gaps::Gap
      # mentioned :: Array of Narrowing::MentionedLimits::MentionedLimit not put on yet
      class Reading < Value
        attributes :proposals, :guess, :advice, :no_use, :gaps, :mentioned
      end

      def initialize(context)
        @context = context
        @thesaurus = context.thesaurus
      end

      # inquiry :: Inquiry. Gives a Reading.
      def call(inquiry)
        question = inquiry.question
        practice = Question::Practice.new(question, @thesaurus)
        Reading.new(proposals: Question::Proposals.new(@thesaurus).open(question),
                    guess: Question::KindCues.call(question.text),
                    advice: by_element(question) { |element| practice.call(element) },
                    no_use: by_element(question) { |element| no_use(element) },
                    gaps: Question::Gaps.call(question),
                    mentioned: mentioned(inquiry))
      end

      private

      def mentioned(inquiry)
        limits = Narrowing::MentionedLimits.new(@context.today)
        limits.waiting(inquiry.question, inquiry.limits)
      end

      def by_element(question)
        question.elements.to_h { |element| [element.key, yield(element)] }.compact
      end

      def no_use(element)
        return unless element.searched?

        element.phrases.flat_map { |phrase| Question::NoUse.call(phrase.text, @thesaurus) }
      end
    end
  end
end
