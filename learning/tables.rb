# frozen_string_literal: true

module Hobrin
  module Learning
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
                ["#{Training::CHOSEN.name} (chosen)", "held out", *shares(@figures["held out"])]]
        table(["way", "measured by", *HEAD], rows.map { |name, by, *shares| [name, by, *shares.map { |one| "#{one} %" }] })
      end

      def curve
        table(["questions learnt from", *HEAD],
              @figures["curve"].map { |size, counts| [size, *shares(counts).map { |one| "#{one} %" }] })
      end

      def shares(counts) = Measure::Counts.new(*counts.values).shares.values

      def table(head, rows)
        [head, head.map { "---" }, *rows].map { |row| "| #{row.join(" | ")} |" }.join("\n")
      end
    end
  end
end
