# frozen_string_literal: true

# The search log as files, read again by what is not Hobrin's.
RSpec.describe Hobrin::Services::ExportTrail, :sample do
  let(:export) { described_class.new(context) }

  it "says every change in each format, marked as made up, and the search as it can be run again" do
    Hobrin::Services::ChangeTrail.new(context).note(1, 5, "=HYPERLINK(\"x\")")
    trail = context.inquiries.trail(1).reverse
    table = CSV.parse(export.call(1, "csv").body, headers: true)
    expect(table.map { |row| [row["number"].to_i, row["count_after"].to_i] }).to eq(trail.map { |line|
      [line.number, line.count_after]
    })
    expect(table[4]["note"]).to start_with("'=")
    expect(table["sample"]).to all(include("Made-up"))
    data = JSON.parse(export.call(1, "json").body)
    expect([data["sample"], data["trail"].size]).to eq([true, trail.size])
    found = context.evaluator.call(Hobrin::Strategy::Cql.read(data["cql"], context.vocabulary))
    expect(found.size).to eq(trail.last.count_after)
    text = export.call(1, "txt").body
    expect(text).to include("Made-up sample data", data["cql"], *trail.map(&:change))
    expect { export.call(1, "exe") }.to raise_error(Hobrin::GoneError)
  end
end
