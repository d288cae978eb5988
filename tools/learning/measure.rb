# frozen_string_literal: true

module Hobrin
  module Tools
    module Learning
      # How what is proposed compares with what was marked.
      class Measure
        # questions, marked, exact, touching, wrong, proposed, kinds :: counts. touching: marks of
        #   which a proposal for the same element holds the whole text, or a part of it; wrong:
        #   proposals that touch no mark of their element.
        Counts = Struct.new(:questions, :marked, :exact, :touching, :wrong, :proposed, :kinds) do
          def +(other) = self.class.new(*to_a.zip(other.to_a).map(&:sum))

          # Shares in percent, as tables show them.
          def shares
            { exact: exact.fdiv(marked), touching: touching.fdiv(marked), wrong: wrong.fdiv(marked),
              kind: kinds.fdiv(questions) }.transform_values { |share| (100 * share).round(1) }
          end
        end

        NONE = Counts.new(*Array.new(7, 0)).freeze

        # understanding :: anything with `proposals(text)` and `kind(text)`, as
        #   Question::Understanding has
        def initialize(understanding)
          @understanding = understanding
        end

        # examples :: Array of Examples::Example. Gives Counts.
        def call(examples) = examples.map { |one| one(one) }.sum(NONE)

        def one(example)
          marked, found = example.spans, proposed(example)
          Counts.new(1, marked.size, (marked & found).size, touching(marked, found).size,
                     (found - touching(found, marked)).size, found.size,
                     @understanding.kind(example.text)&.kind&.key == example.kind ? 1 : 0)
        end

        # What is proposed for an example, as its marks are written.
        def proposed(example)
          @understanding.proposals(example.text).map do |one|
            [one.key, one.phrase.from, one.phrase.to]
          end
        end

        private

        # Those of some spans that hold one of the others whole, or are held by it.
        def touching(some, others)
          some.select { |one| others.any? { |other| within?(one, other) || within?(other, one) } }
        end

        def within?(one, other) = one[0] == other[0] && one[1] >= other[1] && one[2] <= other[2]

        # Questions of which something was not proposed as it was marked, with what happened to it.
        class Failures
          # understanding :: Question::Understanding
          def initialize(understanding)
            @measure = Measure.new(understanding)
          end

          # examples :: Array of Examples::Example; most :: how many. Gives Markdown, one item for a
          # question, spread over all that failed.
          def call(examples, most:)
            failed = examples.reject { |one| wrong(one).empty? }
            step = [failed.size / most, 1].max
            failed.each_slice(step).map(&:first).first(most).map { |one| item(one) }.join("\n")
          end

          private

          def wrong(example)
            (example.spans - @measure.proposed(example)) + (@measure.proposed(example) - example.spans)
          end

          def item(example)
            found = @measure.proposed(example)
            missed = (example.spans - found).map { |span| "#{said(example, span)} #{why(span, found)}" }
            spare = (found - example.spans).reject do |span|
              example.spans.any? do |one|
                overlap?(one, span)
              end
            end
            more = spare.map { |span| "#{said(example, span)} was proposed and is nothing" }
            "- #{example.text}  \n  #{[*missed, *more].join("; ")}."
          end

          def said(example, (key, from, to)) = "#{key} “#{example.text[from...to]}”"

          def why(span, found)
            there = found.select { |one| overlap?(one, span) }
            return "was not seen" if there.empty?

            same = there.find { |one| one[0] == span[0] }
            return "was taken for #{there.map(&:first).uniq.join(" and ")}" unless same

            "was cut #{same[2] - same[1] > span[2] - span[1] ? "too long" : "too short"}"
          end

          def overlap?(one, other) = one[1] < other[2] && other[1] < one[2]
        end

        # The tables of docs/asking.md, from the figures that Study keeps.
        class Tables
          HEAD = ["marked exactly", "right element, overlapping", "wrong, per phrase marked",
                  "kind right"].freeze
          # What the rules by cue words gave that stood here before anything was learnt (commit 3fffb7f,
          # counted once on the same questions); they are gone.
          RULES = { "four fifths" => [23.8, 37.3, 16.4, 22.5],
                    "held out" => [21.7, 35.2, 16.5, 21.6] }.freeze
          private_constant :HEAD, :RULES

          # figures :: Hash as Study::FIGURES has it
          def initialize(figures)
            @figures = figures
          end

          # As Markdown.
          def to_s = [ways, curve].join("\n\n")

          private

          def ways
            rows = [["rules alone, before", "cross-validation", *RULES["four fifths"]],
                    *@figures["ways"].map { |name, counts| [name, "cross-validation", *shares(counts)] },
                    ["rules alone, before", "held out", *RULES["held out"]],
                    ["#{Study::Training::CHOSEN.name} (chosen)", "held out", *shares(@figures["held out"])]]
            table(["way", "measured by", *HEAD], rows.map { |name, by, *shares| [name, by, *shares.map { |share| "#{share} %" }] })
          end

          def curve
            table(["questions learnt from", *HEAD],
                  @figures["curve"].map { |size, counts| [size, *shares(counts).map { |share| "#{share} %" }] })
          end

          def shares(counts) = Measure::Counts.new(*counts.values).shares.values

          def table(head, rows)
            [head, head.map { "---" }, *rows].map { |row| "| #{row.join(" | ")} |" }.join("\n")
          end
        end

        # The parts of docs/asking.md that are made anew.
        class Page
          FILE = File.expand_path("../../docs/asking.md", __dir__)
          FAILURES = 20

          # figures :: as Study::FIGURES has them; understanding :: learnt from four fifths
          def initialize(figures, understanding)
            @parts = { "figures" => Tables.new(figures).to_s,
                       "failures" => Failures.new(understanding).call(Examples.held_out,
                                                                      most: FAILURES) }
          end

          # The page with its made parts as they are now. text :: the page as it was
          def call(text) = Examples::MadeParts.put(text, @parts)
        end
      end
    end
  end
end
