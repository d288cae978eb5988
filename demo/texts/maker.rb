# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # What all texts are made with: the words of a topic, and chance that can be repeated.
      class Maker
        def initialize(design, people:, intervention:, outcome:, random:)
          @design = design
          @people = people
          @words = { p: people["text"], i: intervention["text"], o: outcome["text"] }
          @event = outcome["event"]
          @random = random
        end

        # Gives a Text.
        def call = Text.new(title:, abstract:, types:)

        private

        def types = Designs::TYPES.fetch(@design)

        # A template with %<p>s, %<i>s, %<o>s for people, intervention, outcome; %<I>s and %<O>s begin a sentence.
        def filled(template) = format(template, **@words, I: capital(i), O: capital(o), place:)

        # "31 of 162 (19.1%)"
        def share(part, whole) = "#{part} of #{whole} (#{(100.0 * part / whole).round(1)}%)"

        # One part of an abstract; older ones have no headings within.
        def parts(**sections) = sections.map { |name, text| "#{capital(name.to_s)}: #{text}" }.join(" ")

        def p = @words[:p]
        def i = @words[:i]
        def o = @words[:o]
        def place = @people["setting"]
        def capital(text) = text[0].upcase + text[1..]
        def pick(list) = list[@random.rand(list.size)]
        def chance(share) = @random.rand < share

        def background
          filled(pick(["The place of %<i>s for %<o>s in %<p>s is not settled.", "%<O>s in %<p>s is common and costly.",
                       "Little is known about %<i>s and %<o>s in %<p>s.", "Whether %<i>s changes %<o>s is uncertain.",
                       "%<I>s spread to %<place>s before it had been tested."]))
        end
      end
    end
  end
end
