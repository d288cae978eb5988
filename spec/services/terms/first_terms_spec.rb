# frozen_string_literal: true

require "yaml"

# What an empty block is offered; which names a searcher would keep was marked by hand beforehand.
RSpec.describe Hobrin::Retrieval::FirstTerms, :sample do
  def offers(*phrases)
    block = Hobrin::Strategy::Block.new(key: "I")
    described_class.new(block, context.evaluator, dictionary: context.dictionary).call(phrases)
  end

  def plain(name)
    *before, last = name.downcase.delete("*").tr("-", " ").split
    [*before, Hobrin::Text::Variants.stem(last)].join(" ")
  end

  it "offers among the first three mostly what a searcher would keep, as docs/asking.md says" do
    marked = YAML.load_file(File.expand_path("../../fixtures/first_names.yml",
                                             __dir__)).values.flat_map(&:to_a)
    found = marked.flat_map do |phrase, kept|
      offers(phrase).first(3).map do |offer|
        kept.map { |name| plain(name) }.include?(plain(offer.leaf.label))
      end
    end
    share = (100.0 * found.count(true) / found.size).round
    page = File.read(File.expand_path("../../../docs/asking.md", __dir__))
    expect(page).to include("| now | #{found.size} | #{found.count(true)} | #{share} % |")
    expect(share).to be >= 75
  end

  it "puts whole names before parts and what finds nothing last, and never small words or everybody" do
    some = offers("adults with a foam dressing over the heel", "patients having chewing gum")
    labels = some.map { |offer| offer.leaf.label }
    expect(labels.first(2)).to eq(["Wound Dressings", "Chewing Gum"])
    expect(labels).to include("foam dressing*", "chewing gum")
    expect(labels.grep(/\A(?:over|having|adult|patient|with)/i)).to eq([])
    expect(some.map(&:finds?)).to eq(some.map(&:finds?).sort_by { |finds| finds ? 0 : 1 })
  end

  it "reads what was misspelled or cut short as it was meant" do
    expect(offers("delerium").first.leaf.label).to eq("Delirium")
    expect(offers("UTIs").map { |offer| offer.leaf.label }).to include("Urinary Infection", "urinary tract infection*")
    expect(offers("muscle loss").map { |offer| offer.leaf.label }).not_to include(match(/length/i))
    slips = Hobrin::Question::Slips.new(context.thesaurus, context.dictionary) { false }
    expect(slips.call("Gran's diabetis and her boxes of morphene").map { |one| [one.word, one.meant] })
      .to eq([%w[diabetis diabetes], %w[morphene morphine]])
  end
end
