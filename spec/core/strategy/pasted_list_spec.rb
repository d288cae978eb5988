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

  it "names what it cannot read and keeps the rest, and refuses what is no list" do
    list = read("noise\nea*\nsleep AND noise\n#{"long " * 30}")
    expect([list.leaves.size,
            list.refused.map(&:first)]).to eq([1,
                                               ["ea*", "sleep AND noise", ("long " * 30).strip]])
    ["", " \n;\"\" ", "x\n" * 201, "dc.title = noise and dc.title = sleep", "dc.title = (noise",
     "dc.nothing = x"].each do |text|
      expect { read(text) }.to raise_error(Hobrin::InputError)
    end
  end
end
