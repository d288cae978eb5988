# frozen_string_literal: true

# The search log as files, read again by what is not Hobrin's.
RSpec.describe Hobrin::Services::Trails::Export, :sample, :slow do
  let(:export) { described_class.new(context) }

  it "says every change in each format, marked as made up, and the search as it can be run again" do
    Hobrin::Services::Trails::NoteOnLine.new(context).call(1, 5, "=HYPERLINK(\"x\")", was: "")
    trail = context.inquiries.trail(1).reverse
    table = CSV.parse(export.call(1, "csv").body, headers: true)
    expect(table.map { |row| [row["number"].to_i, row["count_after"].to_i] })
      .to eq(trail.map { |line| [line.number, line.count_after] })
    expect(table[4]["note"]).to start_with("'=")
    expect(table["sample"]).to all(include("Made-up"))
    data = JSON.parse(export.call(1, "json").body)
    expect([data["sample"], data["trail"].size]).to eq([true, trail.size])
    found = context.evaluator.call(Hobrin::Strategy::Cql.read(data["cql"], context.vocabulary))
    expect(found.size).to eq(trail.last.count_after)
    text = export.call(1, "txt").body
    expect(text).to include("Made-up sample data", data["cql"], *trail.map(&:change))
    expect(text).to include(*data["prisma_s"].map { |item| item["text"] })
    expect { export.call(1, "exe") }.to raise_error(Hobrin::GoneError)
  end

  # Source: PRISMA-S, Rethlefsen et al., Syst Rev 2021;10:39; numbers and names of the items from
  # memory. What fills each of those that one source can fill; the others are done elsewhere, and
  # the log says so.
  it "fills the items of PRISMA-S that a search of one source can" do
    edit(Hobrin::Edits::Papers::AddMustFind.new(typed: "10.5555/hobrin.trial-2026-new"))
    edit(Hobrin::Edits::Papers::IncludeManually.new(record_id: "10.5555/hobrin.trial-2026-new"))
    Hobrin::Services::Narrow::ChangeFilter.new(context).published(1, "treatment/sensitive")
    total = opened.final
    items = JSON.parse(export.call(1, "json").body)["prisma_s"]
    filled = {
      "Database name" => "12\u2009000 papers", "Multi-database searching" => "One source",
      "Citation searching" => "Citations of 6 papers were followed in both directions, in 1 rounds. 23 papers",
      "Other methods" => "0 of 1 must-find papers are found; 1 added manually",
      "Full search strategies" => "dc.subject =/hobrin.narrower \"Intensive Care Units\"",
      "Limits and restrictions" => "Age group: Adults, 19 and over; Published: 2016 to 2026; Study type:",
      "Search filters" => "Treatment, sensitive. Haynes et al., BMJ 2005;330:1179. Its terms were changed here (the type",
      "Updates" => "Not re-run", "Dates of searches" => "counted 2026-11-23", "Peer review" => "1 warning to review",
      "Total records" => "records identified by the search. 23 records identified by citation searching. #{total} left after",
      "Deduplication" => "of the #{total}"
    }
    expect(items.map { |item| item["number"] }).to eq((1..16).to_a)
    expect(items.select { |item| item["filled"] }.map { |item| item["name"] }).to eq(filled.keys)
    filled.each do |name, words|
      expect(items.find { |item| item["name"] == name }["text"]).to include(words)
    end
    as_published = context.filters.kinds.flat_map { |kind| context.filters.of_kind(kind) }.find(&:as_published?)
    Hobrin::Services::Narrow::ChangeFilter.new(context).published(1, as_published.filter.label)
    said = JSON.parse(export.call(1, "json").body)["prisma_s"].find { |item| item["name"] == "Search filters" }["text"]
    expect(said).to match(/sensitivity \d+ % as published/)
    elsewhere = ["Study registries", "Online resources and browsing",
                 "Contacts", "Prior work"]
    expect(items.reject { |item| item["filled"] }.map { |item| item["name"] }).to eq(elsewhere)
  end
end
