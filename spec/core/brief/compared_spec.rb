# frozen_string_literal: true

RSpec.describe Hobrin::Brief::Compared do
  def row(groups, title: "Heels after hip surgery", arms: Hobrin::CloseReading::Arms.blank)
    results = groups.map do |group, comparison|
      reported = instance_double(Hobrin::Appraisal::Reported, group:, comparison:)
      instance_double(Hobrin::Brief::EvidenceRow::Result, reported:, outcome: instance_double(Hobrin::Appraisal::Outcome, arms:))
    end
    record = instance_double(Hobrin::Records::Record, short_name: "Quarrel 2021", title:, abstract: "")
    instance_double(Hobrin::Brief::EvidenceRow, record:, results:)
  end

  def compared(against, *rows)
    text = "In adults, do heel protectors, compared with #{against}, prevent pressure ulcers?"
    described_class.new(Hobrin::Question.ask(text).marked("C", against), rows)
  end

  usual = [["heel protectors", "usual care"]]

  it "names each comparison once, with its papers, and none where the groups have no names" do
    found = compared("a pillow", row(usual * 2), row(usual), row([["", "usual care"]])).lines
    expect(found).to eq(["heel protectors compared with usual care (Quarrel 2021)"])
  end

  it "says that no paper names the comparison of the question, by the groups before the title" do
    arms = Hobrin::CloseReading::Arms.new(intervention: "", comparison: "pillows")
    expect(compared("a pillow", row(usual)).absent).to eq("a pillow")
    expect(compared("a pillow", row(usual, title: "Pillows and heels")).absent).to eq("a pillow")
    expect(compared("a pillow", row([], title: "Pillows and heels")).absent).to be_nil
    expect(compared("a pillow", row([["", ""]], arms:)).absent).to be_nil
    expect(compared("a pillow", row(usual), row([["heel protectors", "pillows"]])).absent).to be_nil
    expect(compared("a pillow").absent).to be_nil
    ["usual care", "no protectors", "control"].each { |name| expect(compared(name, row(usual)).absent).to be_nil }
  end
end
