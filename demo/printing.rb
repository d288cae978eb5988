# frozen_string_literal: true

module Hobrin
  module Demo
    # Gives a made-up paper what a printed one has: authors, a journal, pages, an id, a spelling,
    # and the day on which it was added. Journals marked as nursing journals have more nurses among
    # their authors.
    class Printing
      BRITISH = { "andomized" => "andomised", "andomization" => "andomisation",
                  "andomize " => "andomise " }.freeze
      AMERICAN = { "isation" => "ization", "rganised" => "rganized", "eterised" => "eterized",
                   "oedema" => "edema", "analysed" => "analyzed", "rogramme" => "rogram",
                   "abour" => "abor", "ehaviour" => "ehavior", "aesar" => "esar", "aemo" => "emo",
                   "yspnoea" => "yspnea", "ycaemi" => "ycemi", "olour" => "olor",
                   "aediatric" => "ediatric" }.freeze
      OTHER_LANGUAGE = 0.045
      PEER_REVIEWED = 0.97
      FREE = 0.36
      private_constant :BRITISH, :AMERICAN, :OTHER_LANGUAGE, :PEER_REVIEWED, :FREE

      # names :: what names.yml holds
      def initialize(names)
        @names = names
        @abroad, @home = names["journals"].partition { |journal| journal["language"] }
        @families = names["family_beginnings"].product(names["family_endings"]).map(&:join).freeze
      end

      # random :: Random of this record. Gives where it is printed: { journal:, country: }.
      def place(random)
        @random = random
        journal = journal_of(nil)
        { journal: journal["name"], country: journal["country"] || weighted(@names["countries"]) }
      end

      # random :: Random of this record; key :: part of the id; spell :: whether the spelling
      #   follows the country
      # research :: whether it is a research article; stated :: further flags. Gives a
      #   Records::Record.
      def record(random:, key:, title:, published:, headings:, abstract: nil, journal: nil, country: nil, spell: false,
                 research: true, stated: [], **rest)
        @random = random
        printed_in = journal_of(journal)
        country ||= printed_in["country"] || weighted(@names["countries"])
        spelling = spell ? spelling_of(country) : {}
        id = "10.5555/hobrin.#{key}"
        Records::Record.new(
          id:, doi: id, title: respell(title, spelling), abstract: abstract && respell(abstract, spelling),
          journal: printed_in["name"], published:, headings:, country:, authors: authors(printed_in["nursing"]),
          flags: flags(printed_in, research) + stated, language: printed_in["language"] || "eng",
          added: added(published), **pages(published), **rest
        )
      end

      private

      def journal_of(name)
        return @names["journals"].find { |journal| journal["name"] == name } if name

        pick(@random.rand < OTHER_LANGUAGE ? @abroad : @home)
      end

      def spelling_of(country) = @names["british"].include?(country) ? BRITISH : AMERICAN

      def authors(nursing)
        Array.new(@random.rand(1..7)) do
          given = pick(@names["givens"])
          given = "#{given} #{pick(("A".."Z").to_a)}." if @random.rand < 0.3
          Records::Author.new(family: pick(@families), given:,
                              nurse: @random.rand < (nursing ? 0.6 : 0.2))
        end.uniq(&:short)
      end

      def pages(published)
        first = @random.rand(1..900)
        { volume: (published[0, 4].to_i - @random.rand(1950..1995)).to_s, issue: @random.rand(1..12).to_s,
          pages: "#{first}-#{first + @random.rand(5..14)}" }
      end

      # Within the month, or the one after.
      def added(published)
        month = Date.strptime(published[0, 7].ljust(7, "-06"), "%Y-%m") + @random.rand(1..45)
        [month.iso8601, "2026-11-20"].min
      end

      def flags(journal, research)
        { "peer reviewed" => @random.rand < PEER_REVIEWED, "research article" => research,
          "nursing journal" => journal["nursing"], "free full text" => @random.rand < FREE }.select { |_, on| on }.keys
      end

      def respell(text, spelling)
        spelling.reduce(text) { |result, (from, to)| result.gsub(from, to) }
      end

      def weighted(shares)
        at = @random.rand(shares.values.sum)
        shares.find { |_, share| (at -= share).negative? }.first
      end

      def pick(list) = list[@random.rand(list.size)]
    end
  end
end
