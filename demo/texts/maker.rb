# frozen_string_literal: true

require "yaml"

module Hobrin
  module Demo
    module Texts
      # What all texts are made with: the words of a topic, sentences from phrases.yml, and chance
      # that can be repeated.
      class Maker
        PHRASES = YAML.safe_load_file(File.expand_path("../phrases.yml", __dir__)).freeze
        private_constant :PHRASES

        def initialize(design, people:, intervention:, outcome:, random:)
          @design = design
          @event = outcome["event"]
          @random = random
          p, i, o = [people, intervention, outcome].map { |part| part["text"] }
          @words = { p:, i:, o:, P: capital(p), I: capital(i), O: capital(o),
                     place: people["setting"] }
        end

        # Gives a Text.
        def call = Text.new(title:, abstract:, types:)

        private

        def title = phrase("title", @design)
        def types = Designs::TYPES.fetch(@design)

        # One of the sentences at a place in phrases.yml, filled in. numbers :: what else it names
        def phrase(*path, **numbers)
          format(pick(PHRASES.dig(*path.map(&:to_s))), **@words, **numbers)
        end

        # "31 of 162 (19.1%)"
        def share(part, whole) = "#{part} of #{whole} (#{(100.0 * part / whole).round(1)}%)"

        # The parts of an abstract, each behind its name.
        def parts(**sections)
          sections.map { |name, text| "#{capital(name.to_s)}: #{text}" }.join(" ")
        end

        def i = @words[:i]
        def o = @words[:o]
        def capital(text) = text[0].upcase + text[1..]
        def pick(list) = list[@random.rand(list.size)]
        def chance(share) = @random.rand < share
      end
    end
  end
end
