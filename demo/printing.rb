# frozen_string_literal: true

module Hobrin
  module Demo
    # Gives a made-up paper what a printed one has: authors, a journal, pages, an id, a spelling, and the
    # day on which it was added. Journals marked as nursing journals have more nurses among their authors.
    class Printing
      BRITISH = { "randomized" => "randomised", "Randomized" => "Randomised", "mobilization" => "mobilisation",
                  "randomization" => "randomisation", "hospitalized" => "hospitalised",
                  "Early mobilization" => "Early mobilisation" }.freeze
      private_constant :BRITISH

      def initialize(names:, random:)
        @names = names
        @random = random
      end

      # key :: part of the id; spell :: whether American spelling may be turned into British
      # Gives a Records::Record.
      def record(key:, title:, abstract:, published:, headings:, journal: nil, country: nil, spell: false, **rest)
        printed_in = journal_of(journal)
        country ||= printed_in["country"] || pick(@names["countries"])
        spelling = spell && @names["british"].include?(country) ? BRITISH : {}
        Records::Record.new(
          id: "10.5555/hobrin.#{key}", doi: "10.5555/hobrin.#{key}", title: respell(title, spelling),
          abstract: respell(abstract, spelling), published:, headings:, country:, journal: printed_in["name"],
          authors: authors(printed_in["nursing"]), **pages, flags: flags(printed_in),
          language: printed_in["language"] || "eng", added: "#{published[0, 7].ljust(7, "-06")}-15", **rest
        )
      end

      private

      def journal_of(name)
        return @names["journals"].find { |journal| journal["name"] == name } if name

        pick(@names["journals"].reject { |journal| journal["language"] })
      end

      def authors(nursing)
        Array.new(@random.rand(2..6)) do
          Records::Author.new(family: pick(@names["families"]), given: pick(@names["givens"]),
                              nurse: @random.rand < (nursing ? 0.6 : 0.2))
        end.uniq(&:short)
      end

      def pages
        first = @random.rand(1..900)
        { volume: @random.rand(3..60).to_s, issue: @random.rand(1..12).to_s,
          pages: "#{first}-#{first + @random.rand(5..14)}" }
      end

      def flags(journal) = ["peer reviewed", *("nursing journal" if journal["nursing"])]

      def respell(text, spelling) = spelling.reduce(text) { |result, (from, to)| result.gsub(from, to) }

      def pick(list) = list[@random.rand(list.size)]
    end
  end
end
