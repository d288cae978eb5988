# frozen_string_literal: true

RSpec.describe Hobrin::Strategy::PastedList do
  def read(text)
    vocabulary = Hobrin::Strategy::Vocabulary.new(thesaurus: Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings))
    described_class.read(text,
                         thesaurus: Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings), vocabulary:)
  end

  # what was pasted => headings (Symbols) and words read from it
  { "Delirium\nsleep*\r\n\n  eye mask" => [:Delirium, "sleep*", "eye mask"],
    "1. acute confusion\n2) noise*" => [:Delirium, "noise*"],
    "- earplug*\n• quiet time" => ["earplug*", :"Quiet Time"],
    "(earplug* OR \"eye mask*\" or masks)" => ["earplug*", "eye mask*", "masks"],
    "sleep; sleep ;\"Delirium\"" => [:Sleep, "delirium"],
    "dc.title = noise or hobrin.text = deliri*" => ["noise", "deliri*"] }
    .each do |text, leaves|
    it "reads #{text.inspect}" do
      list = read(text)
      expect(list.leaves.map { |leaf| leaf.is_a?(Hobrin::Strategy::Heading) ? leaf.label.to_sym : leaf.text })
        .to eq(leaves)
      expect(list.refused).to eq([])
    end
  end

  it "reads operators in a line, and nearness as CQL writes it" do
    list = read("noise OR clatter NOT music\nalarm* within 2 words of night\nlights OR\n(lamps or torches)")
    expect([list.leaves, list.without].map { |leaves| leaves.map(&:label) })
      .to eq([["Noise", "clatter", "alarm* near night", "lights", "lamps", "torches"], ["Music"]])
    expect(read("light prox/unit=word/distance<=3 night").leaves)
      .to eq([Hobrin::Strategy::Proximity.new(left: "light", right: "night", distance: 3, fields: Hobrin::Strategy::TextTerm::FIELDS.keys)])
  end

  it "names what it cannot read and keeps the rest, and refuses what is no list" do
    list = read("noise\nea*\nsleep AND noise\n#{"long " * 30}")
    expect([list.leaves.size, list.refused.map(&:first).sort]).to eq([1, ["ea*", ("long " * 30).strip, "sleep AND noise"]])
    ["", " \n;\"\" ", "x\n" * 201, "dc.title = noise and dc.title = sleep", "dc.title = (noise",
     "dc.nothing = x"].each do |text|
      expect { read(text) }.to raise_error(Hobrin::InputError)
    end
  end
end
