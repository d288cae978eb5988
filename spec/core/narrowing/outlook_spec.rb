# frozen_string_literal: true

RSpec.describe Hobrin::Narrowing::Target::Outlook do
  def outlook(papers, **rest)
    found = described_class.of(aim: Hobrin::Narrowing::Target.new(from: 20, to: 40), papers:, **rest)
    [found.standing, found.reason, found.about].compact
  end

  it "worries about few papers only where some may be missing" do
    expect([outlook(12), outlook(19), outlook(20), outlook(40), outlook(41), outlook(0)])
      .to eq([[:few], [:few], [:inside], [:inside], [:above], [:none]])
    expect(outlook(12, lost: 1, blocks: { "P" => 1, "I" => 900 })).to eq([:missing, :must_find, 1])
    expect(outlook(20, lost: 1)).to eq([:inside])
  end

  it "takes a block for far narrower from a twentieth of the next on" do
    expect(outlook(12, blocks: { "P" => 1_000, "I" => 50, "O" => 4_000 })).to eq([:missing, :block, "I"])
    expect(outlook(12, blocks: { "P" => 1_000, "I" => 51, "O" => 4_000 })).to eq([:few])
    expect(outlook(12, blocks: { "P" => 12 })).to eq([:few])
  end
end
