# frozen_string_literal: true

RSpec.describe Hobrin::Thesaurus do
  subject(:thesaurus) do
    described_class.new([a_heading("Conditions"), a_heading("Confusion", broader: ["Conditions"]),
                         a_heading("Complications", broader: ["Conditions"]),
                         a_heading("Delirium", broader: %w[Confusion Complications], also_called: ["acute confusion"],
                                               definition: "Disturbed attention."),
                         a_heading("Emergence Delirium", broader: ["Delirium"]),
                         a_heading("Sleep", also_called: ["night sleep"])])
  end

  it "counts everything below as narrower, through every branch, once" do
    expect(thesaurus.with_narrower("Conditions")).to contain_exactly("Conditions", "Confusion", "Complications",
                                                                     "Delirium", "Emergence Delirium")
    expect(thesaurus.narrower?("Sleep")).to be(false)
  end

  it "names what does not hang together" do
    broken = { [a_heading("A", broader: ["B"]), a_heading("B", broader: ["A"])] => /lies below itself: A < B < A/,
               [a_heading("A", broader: ["Nowhere"])] => /Nowhere/, [a_heading("A"), a_heading("a")] => /label of two headings/,
               [a_heading("A", broader: ["B"]), a_heading("B", related: ["A"])] => /S27/ }
    broken.each { |headings, message| expect { described_class.new(headings) }.to raise_error(Hobrin::InputError, message) }
    shared = [a_heading("A", also_called: ["x"]), a_heading("B", also_called: ["X"])]
    expect(described_class::Integrity.new(shared).warnings).to eq(["“x” leads to A and B."])
    expect(described_class.new(shared).named("x").label).to eq("A")
  end

  it "knows every place of a heading, and both ends of what is related" do
    expect(thesaurus.places("Delirium")).to eq([%w[Conditions Confusion Delirium],
                                                %w[Conditions Complications Delirium]])
    pair = described_class.new([a_heading("A", related: ["B"]), a_heading("B"),
                                a_heading("C", related: ["B"])])
    expect(pair.related("B")).to eq(%w[A C])
  end

  it "ranks what is typed: label, also called, inside, definition" do
    found = ->(typed) { thesaurus.look_up(typed).map { |match| [match.heading.label, match.name] } }
    expect(found.call("deli")).to eq([%w[Delirium Delirium],
                                      ["Emergence Delirium", "Emergence Delirium"]])
    expect(found.call("Acute conf")).to eq([["Delirium", "acute confusion"]])
    expect(found.call("attention")).to eq([%w[Delirium Delirium]])
    expect(found.call("(*)")).to eq([])
    expect(thesaurus.look_up("onfus", way: :contains).map { |match| match.heading.label })
      .to eq(%w[Confusion])
    expect(thesaurus.look_up("con", way: :begins).map { |match| match.heading.label })
      .to eq(%w[Confusion Conditions])
  end

  it "reads free typing by the longest name, and the rest as words" do
    read = lambda { |typed|
      described_class::Reading.new(thesaurus).call(typed).map do |part|
        [part.kind, part.label || part.text]
      end
    }
    expect(read.call("emergence delirium rounds in night sleep")).to eq([[:heading, "Emergence Delirium"],
                                                                         [:words, "rounds"], [:heading, "Sleep"]])
    expect(read.call("the Acute-Confusion of wards")).to eq([[:heading, "Delirium"],
                                                             [:words, "wards"]])
    expect(read.call('"delirium"')).to eq([[:words, "delirium"]])
    expect(read.call("deliri*")).to eq([[:words, "deliri*"]])
    expect(read.call(" ?! ")).to eq([])
  end
end
