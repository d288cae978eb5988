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
    expect do
      described_class.new([a_heading("A", broader: ["B"]),
                           a_heading("B", broader: ["A"])])
    end.to raise_error(Hobrin::InputError, /A > B > A/)
    expect { described_class.new([a_heading("A", broader: ["Nowhere"])]) }.to raise_error(Hobrin::InputError, /Nowhere/)
    expect do
      described_class.new([a_heading("A", also_called: ["x"]),
                           a_heading("X")])
    end.to raise_error(Hobrin::InputError, /leads to both/)
  end

  it "ranks what is typed: label, also called, inside, definition" do
    found = ->(typed) { thesaurus.look_up(typed).map { |match| [match.heading.label, match.name] } }
    expect(found.call("deli")).to eq([%w[Delirium Delirium], ["Emergence Delirium", "Emergence Delirium"]])
    expect(found.call("Acute conf")).to eq([["Delirium", "acute confusion"]])
    expect(found.call("attention")).to eq([%w[Delirium Delirium]])
    expect(found.call("(*)")).to eq([])
  end

  it "reads free typing by the longest name, and the rest as words" do
    read = lambda { |typed|
      described_class::Reading.new(thesaurus).call(typed).map do |part|
        [part.kind, part.label || part.text]
      end
    }
    expect(read.call("emergence delirium rounds in night sleep")).to eq([[:heading, "Emergence Delirium"],
                                                                         [:words, "rounds"], [:heading, "Sleep"]])
    expect(read.call("the Acute-Confusion of wards")).to eq([[:heading, "Delirium"], [:words, "wards"]])
    expect(read.call('"delirium"')).to eq([[:words, "delirium"]])
    expect(read.call("deliri*")).to eq([[:words, "deliri*"]])
    expect(read.call(" ?! ")).to eq([])
  end
end
