# frozen_string_literal: true

# What single leaves mean, by rules that can be said in a line.
RSpec.describe Hobrin::Strategy do
  let(:random) { Random.new(3) }

  def day = Date.new(random.rand(2010..2026), random.rand(1..12), random.rand(1..28))

  # Every day that a date as exact as "2016-03" may stand for.
  def days(text)
    first = Date.strptime("#{text}#{"-01-01"[(text.size - 4)..]}", "%Y-%m-%d")
    last = { 4 => first >> 12, 7 => first >> 1, 10 => first + 1 }.fetch(text.size) - 1
    first..last
  end

  # Source: ISO 8601: a shorter date stands for a span of days.
  it "lets a date through just when some day of it lies in the span" do
    2_000.times do
      from, to = Array.new(2) { day.iso8601[0, [4, 7, 10].sample(random:)] }.sort
      next if days(to).max < days(from).min

      dates = described_class::Dates.new(from:, to:)
      record = day.iso8601[0, [4, 7, 10].sample(random:)]
      within = days(record).max >= days(from).min && days(record).min <= days(to).max
      expect([from, to, record, dates.cover?(record)]).to eq([from, to, record, within])
    end
    expect(described_class::Dates.new(from: "2016").cover?(nil)).to be(false)
    ["2016-13", "2016-02-30", "16", "2016-1-1", "soon", ""].each do |text|
      expect { described_class::Dates.new(from: text) }.to raise_error(Hobrin::InputError)
    end
  end

  it "parts the dated records in three by before, equal to and after, however exact a date is" do
    2_000.times do
      asked, record = Array.new(2) { day.iso8601[0, [4, 7, 10].sample(random:)] }
      sides = ["<", "=", ">"].map { |sign| dates(Hobrin::Strategy::Cql.read("dc.date #{sign} #{asked}", nil), record) }
      both = ["<=", ">="].map { |sign| dates(Hobrin::Strategy::Cql.read("dc.date #{sign} #{asked}", nil), record) }
      expect([asked, record, sides.count(true),
              both]).to eq([asked, record, 1, [sides[0] | sides[1], sides[1] | sides[2]]])
    end
  end

  def dates(tree, record)
    return dates(tree.kept, record) && !dates(tree.excluded, record) if tree.is_a?(described_class::Except)

    tree.cover?(record)
  end

  it "reads an author alike in capitals and small letters" do
    ["Zorvane A", "A. Zorvane", "Zorvane AB", "van Ostrel J.-P.", "Zorvane"].each do |typed|
      one, other = [typed, typed.downcase].map { |text| described_class::Author.read(text) }
      expect([typed, other]).to eq([typed, one])
    end
    expect(described_class::Author.read("Smith Lee")).to have_attributes(family: "smith lee",
                                                                         initials: "")
    expect(described_class::Author.read("Zorvane, Ada")).to have_attributes(family: "zorvane",
                                                                            initials: "a")
  end

  it "fits a mask to a word as a shell fits a name" do
    words = Array.new(300) { Array.new(random.rand(3..7)) { %w[a b c][random.rand(3)] }.join }
    200.times do
      mask = words[random.rand(300)].dup
      random.rand(1..2).times { mask[random.rand(mask.size)] = %w[* ?][random.rand(2)] }
      words.each { |word| expect([mask, word, Hobrin::Text::Mask.new(mask).match?(word)]).to eq([mask, word, File.fnmatch(mask, word)]) }
    end
  end

  it "marks in a text the places of words, phrases and nearness, counted in words" do
    places = ->(leaf, text) { Hobrin::Retrieval::Reasons::TextPlaces.of(leaf, text).map { |from, to| text[from...to] } }
    text = "Ear-plugs at night; éar plug, and an Earplug. Sleep was better with ear plugs or without."
    expect(places[words("ear plug*"), text]).to eq(["Ear-plugs", "éar plug", "ear plugs"])
    expect(places[words("ear?lug"), text]).to eq(["Earplug"])
    near = described_class::Proximity.new(left: "ear plug*", right: "sleep", distance: 5)
    [5, 4].each do |distance|
      expect(places[near.with(distance:), text]).to eq(["éar plug", "Sleep", "ear plugs"])
    end
    expect(places[near.with(distance: 3), text]).to eq([])
    expect(places[near.with(ordered: true), text]).to eq(["éar plug", "Sleep"])
    expect(places[described_class::Proximity.new(left: "ear*", right: "ear*", distance: 6),
                  "Ear drops at night"]).to eq([])
    expect(places[described_class::WholeText.new(text: "ear drops"),
                  "Ear-drops"]).to eq(["Ear-drops"])
    expect(places[described_class::WholeText.new(text: "ear drops"), "Ear drops, too"]).to eq([])
    expect { near.with(distance: 0) }.to raise_error(Hobrin::InputError, /from 1 to 50/)
  end

  it "says what is near to a name nobody knows" do
    names = ["Delirium", "Delirium after Surgery", "Sleep Quality", "Pressure Injury",
             "randomized controlled trial"]
    { "delirum" => "Delirium", "surgery delirium" => "Delirium after Surgery", "presure injury" => "Pressure Injury",
      "randomised controlled trail" => "randomized controlled trial" }.each do |typed, name|
      expect([typed, Hobrin::Text::Nearest.call(typed, names).first]).to eq([typed, name])
    end
    expect(Hobrin::Text::Nearest.call("zebra", names)).to eq([])
    many = Array.new(6_000) { |number| "name #{number}" } + ["Delirium"]
    expect(Hobrin::Text::Nearest.call("Delirum", many)).to eq(["Delirium"])
  end

  it "knows languages by either code of ISO 639-2, the short code or the English name" do
    %w[fra fre fr French].each { |name| expect(Hobrin::Records::Languages.code(name)).to eq("fra") }
    expect(Hobrin::Records::Languages.code("deu")).to eq("deu")
    expect([Hobrin::Records::Languages.name("deu"),
            Hobrin::Records::Languages.code("Elvish")]).to eq(["German", nil])
  end

  it "takes dates from files in the ways they are written" do
    { [2021, 3, 14] => "2021-03-14", %w[2021 mar] => "2021-03", ["2021/03//"] => "2021-03", %w[2021 13] => "2021",
      ["2021/3/14"] => "2021-03-14", ["March 2021"] => "2021-03", [2021, 2, 30] => "2021-02", ["n.d."] => nil,
      [nil] => nil }.each do |given, date|
      expect([given, Hobrin::Exchange::Published.of(*given)]).to eq([given, date])
    end
  end
end
