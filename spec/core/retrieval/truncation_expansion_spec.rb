# frozen_string_literal: true

# Truncation, against a reading of the records one by one.
RSpec.describe Hobrin::Retrieval::TruncationExpansion, :small_sample do
  it "spells out a mask into what together finds the same papers" do
    ["sle*", "random*", "eye mask*", "wom?n", "deli*", "con*"].each do |text|
      [Hobrin::Strategy::TextTerm::TEXT, [:title]].each do |fields|
        leaf = words(text, fields:)
        taken = described_class.of(leaf, context.evaluator)
        spelled = taken.words.map { |spelling, _| words(spelling, fields:) }
        expect(taken.words.map(&:last)).to eq(spelled.map { |one| plain.call(one).size })
        next unless taken.more.zero?

        expect([text, spelled.flat_map { |one| plain.call(one) }.uniq.sort])
          .to eq([text, plain.call(leaf)])
      end
    end
  end
end
