# frozen_string_literal: true

# What a spreadsheet is given is never a formula, whatever a person wrote.
RSpec.describe Hobrin::Exchange::Tables do
  let(:hostile) do
    ["=1+1", "+1", "-1+1", "@sum(a1)", " =1", "\t=1", "\u200B=1", "＝1", "＋1", "－1", "＠a", "\u0000=1", "\r\n=1",
     "=cmd|' /c calc'!A1", "=HYPERLINK(\"x\")", "\u{FEFF}=1"]
  end
  let(:harmless) { ["a", "", "a=b", "5 − 3", "é", "日本", "😀", "\"quoted\"", "a,b;c", "two\nlines", "<b>"] }
  let(:sheet) do
    rows = [*hostile, *harmless].each_with_index.map { |text, place| [text, place, place / 4.0, nil] }
    described_class::Sheet.new(name: "Numbers", columns: %w[Text Whole Part Nothing], rows:)
  end

  it "marks what would be run as text, in CSV, and keeps everything else" do
    rows = CSV.parse(described_class::Csv.call(sheet, sample: true))
    expect(rows.first).to eq(%w[Text Whole Part Nothing Sample])
    texts = rows.drop(1).map(&:first)
    expect(texts.first(hostile.size)).to all(start_with("'"))
    expect(texts.last(harmless.size).map(&:to_s)).to eq(harmless)
    expect(rows.last(2).map { |row| row[1].to_i }).to eq([sheet.rows.size - 2, sheet.rows.size - 1])
    expect(rows.drop(1).map(&:last).uniq).to eq([Hobrin::Exchange::Report::SAMPLE])
  end

  it "holds numbers as numbers and texts as texts in Excel, and no formula at all" do
    bytes = described_class::Xlsx.call([sheet], made: Date.new(2026, 11, 23))
    rows = OpenedFiles.xlsx(bytes).fetch("Numbers").drop(1)
    expect(rows.map { |row| row[1] }).to eq((0...sheet.rows.size).to_a)
    expect(rows.map { |row| row[2] }).to eq(sheet.rows.map { |row| row[2] })
    expect(rows.last(harmless.size).map { |row| row[0].to_s }).to eq(harmless)
    Zip::File.open_buffer(StringIO.new(bytes)) do |zip|
      expect(zip.read("xl/worksheets/sheet1.xml")).not_to match(/<f[ >]/)
    end
  end
end
