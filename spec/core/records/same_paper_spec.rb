# frozen_string_literal: true

require "yaml"

RSpec.describe Hobrin::Records::SamePaper do
  pairs = YAML.safe_load_file(File.expand_path("../../fixtures/same_papers.yml", __dir__))

  def paper(title, authors, year, volume, pages, journal, doi)
    Hobrin::Records::Record.new(
      id: "x", title:, authors: authors.map { |family, given| Hobrin::Records::Author.new(family:, given:) },
      published: year.to_s, volume:, pages:, journal:, doi:
    )
  end

  def linked?(one, two)
    keys = [one, two].map { |record| Hobrin::Records::SamePaper::DuplicateKey.key(record) }
    keys.none?(&:nil?) && keys.uniq.size == 1 && described_class.call(one, two)
  end

  # Ours; see the head of the file for what is held out.
  it "links what is one paper and leaves what are two" do
    wrong = pairs.each_with_index.filter_map do |(same, how, one, two), place|
      [place.odd? ? "held out" : "looked at", same, how] unless linked?(paper(*one), paper(*two)) == same
    end
    expect(pairs.map(&:first).tally).to eq({ true => 150, false => 150 })
    # A slip within the first words of a title keeps two records from being compared.
    expect(wrong).to eq([["held out", true, "typo"]])
  end
end
