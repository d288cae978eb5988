# frozen_string_literal: true

module Hobrin
  module Services
    # Marks the proposals that a person takes.
    class TakeProposals
      def initialize(context)
        @proposals = Question::Proposals.new(context.thesaurus)
      end

      # question :: Question; wanted :: Array of "key:first character" of each one that is taken, or ["all"], which also
      # takes the kind that the sentence sounds like while none is chosen. Gives a Question.
      def call(question, wanted)
        all = wanted.include?("all")
        chosen = @proposals.open(question).select { |one| all || wanted.include?("#{one.key}:#{one.phrase.from}") }
        marked = chosen.reduce(question) do |written, one|
          written.marked(one.key, one.phrase.text, near: one.phrase.from)
        end
        guess = all && !marked.kind && Question::KindCues.call(marked.text)
        guess ? marked.with(kind: guess.kind.key) : marked
      end
    end
  end
end
