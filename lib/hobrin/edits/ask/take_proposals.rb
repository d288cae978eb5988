# frozen_string_literal: true

module Hobrin
  module Edits
    module Ask
      # Marks the proposals that a person takes.
      #
      # wanted :: Array of "key:first character" of each one that is taken, the key being that of
      #   the element proposed or of the other one that it may be; or ["all"], which also takes the
      #   kind that the sentence sounds like while none is chosen
      class TakeProposals < Value
        attributes :wanted

        def call(question, surroundings)
          all = wanted.include?("all")
          open = surroundings.understanding.open(question)
          marked = open.reduce(question) do |now, one|
            key = all ? one.key : [one.key, one.other].find { |each| wanted.include?("#{each}:#{one.phrase.from}") }
            key && now.element(key) ? now.marked(key, one.phrase.text, near: one.phrase.from) : now
          end
          guess = all && !marked.kind && surroundings.understanding.kind(marked.text)
          guess ? marked.with(kind: guess.kind.key) : marked
        end
      end
    end
  end
end
