# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # Ways of saying that speak for a kind of question, or for two: what things cost, what it is
      # like, tests, who will, what will become of, what did it, does it help. Features, not rules:
      # how much each one counts was learnt. Common practice, no source.
      module KindCues
        # Each name with its pattern, the key of the kind for which it speaks and how much it did
        # before anything was learnt (a prior), or nil.
        Cue = Struct.new(:pattern, :kind, :prior)

        # The order is that in which they were learnt: pairs of them are named by it.
        ALL = [Worth, Tests, Courses, Deeds, Turns].map { |some| some::ALL }.reduce(:merge).freeze

        class << self
          # Which cues a text has, as their names. text :: in small letters
          def in(text) = ALL.filter_map { |name, cue| name if cue.pattern.match?(text) }

          # The words of a text that a cue found.
          def words(name, text) = ALL.fetch(name).pattern.match(text)&.[](0)
        end
      end
    end
  end
end
