# frozen_string_literal: true

RSpec.describe Hobrin::Strategy do
  it "reads words folded, hyphens as spaces, quotation marks as nothing" do
    expect(%w[Ear-Plug* “Délire” ear_plug].map { |typed| words(typed).text })
      .to eq(["ear plug*", "delire", "ear plug"])
  end

  it "says what is wrong with a term" do
    { "" => /Enter a word/, "!" => /Enter a word/, "ea*" => /at least 3 letters/, "*plug" => /at least 3 letters/, "a ** b" => /letters beside/,
      "x" * 121 => /120 characters/ }
      .each do |typed, message|
      expect { words(typed) }.to raise_error(Hobrin::InputError, message)
    end
    expect { words("sleep", fields: []) }.to raise_error(Hobrin::InputError, /where to search/)
  end

  it "writes one canonical CQL for equal trees, always with its parentheses" do
    heading = described_class::Heading.new(label: 'Say "ah"', main: true, aspects: ["nursing"])
    tree = described_class::AllOf.of(
      [described_class::AnyOf.of([words("Sleep*"), heading]),
       described_class::Except.new(kept: words("ear plug", fields: %i[title abstract]),
                                   excluded: words("rats")),
       described_class::Proximity.new(left: "ear", right: "night", distance: 3, ordered: true,
                                      fields: [:title]),
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

  # Source: CQL, OASIS searchRetrieve 1.0 part 5: all Booleans have one precedence and run from left
  # to right.
  it "reads lines joined, met and subtracted, from left to right, and writes them so that they read the same" do
    sets = { "1" => [1, 2, 3], "2" => [2, 3, 4], "broad" => (1..9).to_a }
    leaves = { "1" => "a", "2" => "b", "broad" => "c" }.transform_values { |word| words(word) }
    value = lambda do |tree|
      case tree
      when described_class::AnyOf then tree.parts.map(&value).reduce(:|)
      when described_class::AllOf then tree.parts.map(&value).reduce(:&)
      when described_class::Except then value[tree.kept] - value[tree.excluded]
      else sets.fetch(leaves.key(tree))
      end
    end
    { "1 or 2 not 1" => [4], "1 or (2 not 1)" => [1, 2, 3, 4], "Broad not 1 and 2" => [4], "1 and 2 or 1" => [2, 3, 1],
      'cql.resultSetId = "broad" not (1 or 2)' => [5, 6, 7, 8, 9], "2" => [2, 3, 4] }.each do |notation, expected|
      tree = described_class::Lines::LineNotation.read(notation)
      expect([notation,
              value[described_class::Lines.new(leaves).resolve(tree)].sort]).to eq([notation,
                                                                                    expected.sort])
      line = described_class::Lines::NamedLine.new(name: "New-One", tree:)
      expect(described_class::Lines::LineNotation.read(line.rule)).to eq(tree)
    end
    ["1 prox 2", "dc.title = sleep", "1 and", "", "(1"].each do |wrong|
      expect { described_class::Lines::LineNotation.read(wrong) }.to raise_error(Hobrin::InputError,
                                                                                 /Write lines like this/)
    end
    ["12", "two words", "and", "", "x" * 31].each do |name|
      expect do
        described_class::Lines::NamedLine.new(name:,
                                              tree: words("a"))
      end.to raise_error(Hobrin::InputError, /one word/)
    end
  end

  it "refuses limits and years that cannot be" do
    expect do
      described_class::Limit.new(name: :type,
                                 values: ["rumour"])
    end.to raise_error(Hobrin::InputError, /rumour/)
    expect { described_class::Dates.years(from_year: 2026, to_year: 2016) }
      .to raise_error(Hobrin::InputError, /before 2026/)
    expect { described_class::Dates.years(from_year: "MMXVI") }.to raise_error(Hobrin::InputError,
                                                                               /for example 2016/)
    expect { described_class::Dates.years }.to raise_error(Hobrin::InputError, /at least one year/)
  end
end
