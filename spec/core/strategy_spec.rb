# frozen_string_literal: true

RSpec.describe Hobrin::Strategy do
  it "reads words folded, hyphens as spaces, quotation marks as nothing" do
    expect(%w[Ear-Plug* “Délire” ear_plug].map { |typed| words(typed).text }).to eq(["ear plug*", "delire", "ear plug"])
  end

  it "says what is wrong with a term" do
    { "" => /Write a word/, "!" => /Write a word/, "ea*" => /at least 3 letters/, "*plug" => /at least 3 letters/, "a ** b" => /letters beside/,
      "x" * 121 => /120 characters/ }
      .each do |typed, message|
      expect { words(typed) }.to raise_error(Hobrin::InputError, message)
    end
    expect { words("sleep", fields: []) }.to raise_error(Hobrin::InputError, /where to look/)
  end

  it "writes one canonical CQL for equal trees, always with its parentheses" do
    heading = described_class::Heading.new(label: 'Say "ah"', main: true, aspects: ["nursing"])
    tree = described_class::AllOf.of(
      [described_class::AnyOf.of([words("Sleep*"), heading]),
       described_class::Except.new(kept: words("ear plug", fields: %i[title abstract]), taken: words("rats")),
       described_class::Near.new(left: "ear", right: "night", distance: 3, ordered: true, fields: [:title]),
       described_class::Dates.years(from_year: 2016)]
    )
    expect(described_class::Cql.write(tree)).to eq(
      '((hobrin.text = "sleep*" or ' \
      'dc.subject =/hobrin.narrower/hobrin.main/hobrin.aspect="nursing" "Say \\"ah\\"") and ' \
      '((dc.title adj "ear plug" or dc.description adj "ear plug") not hobrin.text = "rats") and ' \
      '(dc.title = "ear" prox/unit=word/distance<=3/ordered dc.title = "night") and dc.date >= 2016)'
    )
  end

  it "keeps trees flat, equal by content and frozen" do
    one, two, three = %w[sleep noise light].map { |word| words(word) }
    nested = described_class::AnyOf.of([one, described_class::AnyOf.of([two, three]), one])
    expect(nested).to eq(described_class::AnyOf.of([one, two, three]))
    expect(nested.parts).to eq([one, two, three])
    expect(nested.hash).to eq(described_class::AnyOf.of([one, two, three]).hash)
    expect([nested, nested.parts, one.text]).to all(be_frozen)
    expect(described_class::AnyOf.of([one])).to eq(one)
    halves = %i[title abstract keywords].map { |field| words("sleep", fields: [field]) }
    expect(described_class::AnyOf.of([*halves, two])).to eq(described_class::AnyOf.of([one, two]))
  end

  it "refuses limits and years that cannot be" do
    expect { described_class::Limit.new(name: :type, values: ["rumour"]) }.to raise_error(Hobrin::InputError, /rumour/)
    expect do
      described_class::Dates.years(from_year: 2026, to_year: 2016)
    end.to raise_error(Hobrin::InputError, /before 2026/)
    expect { described_class::Dates.years(from_year: "MMXVI") }.to raise_error(Hobrin::InputError, /such as 2016/)
    expect { described_class::Dates.years }.to raise_error(Hobrin::InputError, /at least one year/)
  end
end
