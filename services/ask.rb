# frozen_string_literal: true

module Hobrin
  module Services
    # What the Ask step reads.
    module Ask
      # What the Ask step shows beyond the question: what Hobrin proposes, and what it has to say
      # about what is there.
      class Read < Service
        # proposals :: Array of Question::Understanding::Proposal still open; guess ::
        #   Question::Understanding::Guess or nil
        # advice    :: Hash of element key to Question::Practice::Advice; no_use :: Hash of element
        #   key to Array of Remark
        # gaps      :: Array of Question::Gaps::Gap
        # mentioned :: Array of Narrowing::MentionedLimits::MentionedLimit not put on yet
        # slips :: Array of Question::Slips::Slip; frame :: Question::Frame::Fitting::Suggestion or nil
        class Reading < Value
          attributes :proposals, :guess, :advice, :no_use, :gaps, :mentioned, :slips, :frame
        end

        def initialize(context)
          super
          @thesaurus = context.thesaurus
        end

        # inquiry :: Inquiry. Gives a Reading.
        def call(inquiry)
          question = inquiry.question
          practice = Question::Practice.new(question, @thesaurus)
          understanding = @context.understanding
          guess = understanding.kind(question.text)
          found = understanding.proposals(question.text)
          Reading.new(proposals: understanding.open(question, found:), guess:, slips: slips(question),
                      frame: frame(question, guess, found),
                      advice: by_element(question) { |element| practice.call(element) },
                      no_use: by_element(question) { |element| no_use(element) },
                      gaps: Question::Gaps.call(question),
                      mentioned: mentioned(inquiry))
        end

        private

        # A word that some paper has is no slip.
        def slips(question)
          evaluator = @context.evaluator
          written = ->(word) { evaluator.count(Strategy::TextTerm.read(word)).positive? }
          Question::Slips.new(@thesaurus, @context.dictionary, &written).call(question.text)
        end

        def frame(question, guess, found)
          time = found.find { |proposal| proposal.key == "T" && !question.element("T") }
          Question::Frame::Fitting.call(question, kind: question.kind || guess&.kind&.key,
                                                  time: time&.phrase&.text)
        end

        def mentioned(inquiry)
          limits = Narrowing::MentionedLimits.new(@context.clock.today)
          limits.waiting(inquiry.question, inquiry.limits)
        end

        def by_element(question)
          question.elements.to_h { |element| [element.key, yield(element)] }.compact
        end

        def no_use(element)
          return unless element.searched?

          element.phrases.flat_map { |phrase| Question::SearchNames::NoUse.call(phrase.text, @thesaurus) }
        end
      end
    end
  end
end
