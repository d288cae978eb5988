# frozen_string_literal: true

RSpec.describe Hobrin::Strategy::Entry do
  def read(text) = described_class.read(text, known: ->(word) { word == "B12" }, whole: ->(name) { name == "use or misuse" })
  def near(left, right, distance) = Hobrin::Strategy::Proximity.new(left:, right:, distance:)

  it "reads OR and NOT, and nearness in plain words" do
    { "colonic tumour OR rectal tumour" => [["colonic tumour", "rectal tumour"], []],
      "gum or sweets NOT (nicotine OR patch)" => [%w[gum sweets], %w[nicotine patch]],
      "NOT nicotine" => [[], ["nicotine"]], "(gum OR sweets)" => [%w[gum sweets], []], "use or misuse" => [["use or misuse"], []],
      "chew* within 3 words of gum" => [[near("chew*", "gum", 3)], []],
      "hips within two words of broken OR fracture" => [[near("hips", "broken", 2), "fracture"], []],
      "“fish OR chips”" => [["“fish OR chips”"], []] }.each do |text, (added, without)|
      entry = read(text)
      expect([text, entry.added, entry.without, entry.unread]).to eq([text, added, without, nil])
    end
    expect { read("gum within 51 words of sweets") }.to raise_error(Hobrin::InputError, /1 to 50/)
  end

  it "leaves plain words as they are, whatever letters, numbers and signs they have" do
    ["heel protector*", "vitamin B12 tablets", "COVID-19 ward", "24/7 staffing", "mother and/or baby", "A&E department", "e.g. gum",
     "wom?n", "did not attend", "knowledge and attitudes", "children's ward", "30% less"].each do |text|
      expect([text, read(text).plain?, read(text).added]).to eq([text, true, [text]])
    end
  end

  it "guesses at no notation, and offers what may be meant in its own" do
    { "chewing AND gum" => ["AND", "chewing within 3 words of gum", "chewing OR gum", '"chewing gum"'],
      "chew* W5 gum" => ["W5", "chew* within 5 words of gum", "chew* OR gum", '"chew* gum"'],
      "chew* near/99 gum" => ["near/99", "chew* within 50 words of gum", "chew* OR gum", '"chew* gum"'],
      "gum[words]" => ["[", '"gum"'], "title:gum" => ["title:", '"gum"'], "gum.wd,xy." => [".wd,xy.", '"gum"'],
      "Delirium/prevention" => ["/", '"Delirium prevention"'], '"chew gum"~3' => ["~", '"chew gum"'],
      "hip (closed fracture" => ["(", '"hip closed fracture"'] }.each do |text, (unread, *choices)|
      entry = read(text)
      expect([text, entry.added, entry.unread, *entry.choices]).to eq([text, [], unread, *choices])
      choices.each { |choice| expect(read(choice)).to be_read }
    end
  end
end
