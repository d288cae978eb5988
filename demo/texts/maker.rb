# frozen_string_literal: true

require "yaml"

module Hobrin
  module Demo
    module Texts
      # What all texts are made with: the words of a topic, sentences from phrases.yml, and chance
      # that can be repeated.
      class Maker
        PHRASES = YAML.safe_load_file(File.expand_path("../phrases.yml", __dir__)).freeze
        # How often an abbreviation is explained and then used.
        ABBREVIATED = 0.6
        private_constant :PHRASES, :ABBREVIATED

        def initialize(design, people:, intervention:, outcome:, random:)
          @design = @variant = design
          @outcome = outcome
          @random = random
          @parts = [people, intervention, outcome]
          p, i, o = @parts.map { |part| part["text"] }
          @words = { p:, i:, o:, P: capital(p), I: capital(i), O: capital(o), e: outcome["event"],
                     place: people["setting"] }
        end

        # Gives a Text.
        def call = Text.new(title:, abstract: abbreviated(abstract), types:)

        private

        def title = phrase("title", @variant)
        def types = Designs::TYPES.fetch(@design)

        # One of the sentences at a place in phrases.yml, filled in. numbers :: what else it names
        def phrase(*path, **numbers)
          format(pick(PHRASES.dig(*path.map(&:to_s))), **@words, **numbers)
        end

        # "31 of 162 (19.1%)"
        def share(part, whole) = "#{part} of #{whole} (#{(100.0 * part / whole).round(1)}%)"

        # ", 95% CI 0.61 to 0.98"
        def interval(found)
          format(", 95%% CI %<low>.2f to %<high>.2f", low: found.low, high: found.high)
        end

        # An interval as it is printed, to two places: what a reader can go by.
        def printed(found) = found.with(low: found.low.round(2), high: found.high.round(2))

        # The parts of an abstract, each behind its name.
        def parts(**sections)
          sections.map { |name, text| "#{capital(name.to_s)}: #{text}" }.join(" ")
        end

        # A name with an abbreviation is explained at its first place, and short after it.
        def abbreviated(text)
          @parts.select { |part| part["short"] }.reduce(text) do |so_far, part|
            name, short = part.values_at("text", "short")
            first = so_far.index(name)
            next so_far unless first && so_far.scan(name).size > 1 && chance(ABBREVIATED)

            after = first + name.size
            "#{so_far[0...after]} (#{short})#{so_far[after..].gsub(name, short)}"
          end
        end

        def i = @words[:i]
        def o = @words[:o]
        def event = @words[:e]
        def capital(text) = text[0].upcase + text[1..]
        def pick(list) = list[@random.rand(list.size)]
        def chance(share) = @random.rand < share
      end
    end
  end
end
