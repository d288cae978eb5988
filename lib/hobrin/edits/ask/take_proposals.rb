# frozen_string_literal: true

module Hobrin
  module Edits
    module Ask
      # Marks the proposals that a person takes.
      #
      # wanted :: Array of "key:first character" of each one that is taken, or ["all"], which also
      #   takes the kind that the sentence sounds like while none is chosen
      class TakeProposals < Value
        attributes :wanted

        def call(question, thesaurus)
          all = wanted.include?("all")
          open = Question::Proposals.new(thesaurus).open(question)
          chosen = open.select { |one| all || wanted.include?("#{one.key}:#{one.phrase.from}") }
          marked = chosen.reduce(question) do |now, one|
            now.marked(one.key, one.phrase.text, near: one.phrase.from)
          end
          guess = all && !marked.kind && Question::KindCues.call(marked.text)
          guess ? marked.with(kind: guess.kind.key) : marked
        end
      end
    end
  end
end
