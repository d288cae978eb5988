# frozen_string_literal: true

RSpec.describe Hobrin::Retrieval::HeadingSuggestions::Nearness do
  s = Hobrin::Strategy
  thesaurus = Hobrin::Thesaurus.new(
    [["Confusion", [], []], ["Delirium", ["Confusion"], ["acute confusion"]], ["Dementia", ["Confusion"], []],
     ["Night Delirium Care", [], []], ["Alcohol Withdrawal", ["Delirium"], []], ["Watching", [], []], ["Care Homes", [], []]]
      .map { |label, broader, also| Hobrin::Thesaurus::Heading.new(label:, broader:, also_called: also, related: label == "Watching" ? ["Delirium"] : []) }
  )

  def set(*numbers) = Hobrin::Records::RecordSet.of(numbers)

  # The library has 100 papers, of which the block finds the first six.
  define_method(:nearness) do |*leaves|
    index = Struct.new(:everything).new(set(*1..100))
    evaluator = Struct.new(:thesaurus, :index).new(thesaurus, index)
    block = leaves.reduce(s::Block.new(key: "O")) { |now, leaf| now.with_leaf(leaf) }
    described_class.new(block, evaluator, set(*1..6))
  end

  it "says how a heading is near: by a word, by its place, by its papers" do
    near = nearness(s::Heading.new(label: "Delirium"), s::TextTerm.new(text: "hallucin*"))
    far = set(*50..60)
    { "Night Delirium Care" => [:word, "delirium"], "Alcohol Withdrawal" => [:narrower, "Delirium"], "Dementia" => [:beside, "Delirium"],
      "Watching" => [:related, "Delirium"], "Care Homes" => nil }.each do |label, expected|
      expect([label, near.call(label, far)&.then { |reason| [reason.how, reason.about] }]).to eq([label, expected])
    end
    expect(nearness(s::Heading.new(label: "Alcohol Withdrawal")).call("Delirium", far).how).to eq(:broader)
    expect(nearness(s::TextTerm.new(text: "dement*")).call("Dementia", far)).to have_attributes(how: :word, about: "dementia")
    expect(nearness(s::TextTerm.new(text: "care")).call("Care Homes", far)).to be_nil
  end

  it "needs three of ten papers in the block, and five times as many as of the library" do
    near = nearness(s::TextTerm.new(text: "hallucin*"))
    expect(near.call("Care Homes", set(1, 2, 3, 50, 51, 52, 53, 54, 55, 56))).to have_attributes(how: :papers, about: 3)
    expect(near.call("Care Homes", set(1, 2, 50, 51, 52, 53, 54, 55, 56, 57))).to be_nil
  end
end
