# frozen_string_literal: true

RSpec.describe Hobrin::Exchange do
  let(:record) do
    a_record(
      id: "10.5555/x", doi: "10.5555/x", title: "Sleep\nand \"noise\"", abstract: "One.\r\nER  - two", language: "eng",
      journal: "Made-Up Journal", published: "2021-03", volume: "4", issue: "2", pages: "12-19",
      keywords: ["ear plugs", "délire"], types: ["guideline"], ages: ["aged"],
      authors: [Hobrin::Records::Author.new(family: "Zorvane", given: "Ada", nurse: true),
                Hobrin::Records::Author.new(family: "Wistrow")],
      headings: [Hobrin::Records::Indexing.new(label: "Sleep", main: true, aspects: ["nursing"])]
    )
  end

  it "reads back from CSL-JSON what it wrote, to the last field" do
    expect(described_class::CslJson::Reader.call(described_class::CslJson::Writer.call([record]))).to eq([[record], []])
  end

  # Source: the CSL-JSON schema, csl-data.json of CSL 1.0.2: keys, names and dates (from memory).
  it "writes CSL-JSON with the keys and shapes of the schema" do
    item = JSON.parse(described_class::CslJson::Writer.call([record], sample: true)).first
    expect(item.keys - %w[id type title author container-title volume issue page issued DOI abstract keyword language
                          note custom]).to eq([])
    expect(item).to include("issued" => { "date-parts" => [[2021, 3]] },
                            "author" => [{ "family" => "Zorvane", "given" => "Ada" },
                                         { "family" => "Wistrow" }])
    expect(item["note"]).to include("Made-up sample record")
  end

  # Source: the RIS format as reference managers share it: two letters or digits, two spaces, a hyphen, a space;
  # CR LF; TY first, ER last (common practice; read here by a reader of the spec's own).
  it "writes RIS that a plain reader of tagged lines takes apart again, whatever the text holds" do
    text = described_class::Ris::Writer.call([record, record.with(id: "2")], sample: true)
    expect(text.lines(chomp: false)).to all(end_with("\r\n"))
    entries = text.split(/^ER {2}- \r\n/).reject { |part| part.strip.empty? }.map do |entry|
      entry.strip.split("\r\n").map { |line| line.match(/\A([A-Z][A-Z0-9]) {2}- (.*)\z/).captures }
    end
    expect(entries.size).to eq(2)
    expect(entries.first.first).to eq(%w[TY JOUR])
    expect(entries.first).to include(
      ["AU", "Zorvane, Ada"], %w[AU Wistrow], ["TI", 'Sleep and "noise"'], %w[PY 2021], ["DA", "2021/03/"], %w[SP 12],
      %w[EP 19], ["KW", "*Sleep"], ["AB", "One. ER  - two"], %w[DO 10.5555/x]
    )
  end
end
