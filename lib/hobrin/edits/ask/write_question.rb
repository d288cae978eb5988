# frozen_string_literal: true

module Hobrin
  module Edits
    module Ask
      # Saves what Ask holds, together with the one button that was pressed: a form has one change,
      # so the trail has one line.
      #
      # draft :: Draft; press :: Mark, Unmark, MoveEdge, TakeProposals, LeaveProposal or ChangeUse,
      #   nil for none
      # limit :: the name of a limit that the sentence mentions and that is to be put on, nil for
      #   none
      class WriteQuestion < Edit
        STEP = :ask
        attributes :draft, :press, :limit

        def initialize(draft:, press: nil, limit: nil)
          super
        end

        def about(inquiry) = inquiry.question

        def call(inquiry, surroundings)
          question = draft.call(inquiry.question)
          question = press.call(question, surroundings) if press
          leaf = mentioned(question, surroundings.today)
          changed = inquiry.with(question:)
          changed = changed.with_limit(leaf) if leaf
          Change.new(inquiry: changed, kind: :question_written,
                     facts: { changes: QuestionChanges.call(inquiry.question, question), limit: leaf }.compact)
        end

        private

        def mentioned(question, today)
          return unless limit

          Narrowing::MentionedLimits.new(today).call(question.text).find { |one| one.leaf.name == limit }&.leaf
        end
      end
    end
  end
end
