# frozen_string_literal: true

RSpec.describe Hobrin::Statistics::LogLikelihood do
  # Source: Dunning 1993, Computational Linguistics 19(1), table 1 (from memory): k(AB), k(A ~B),
  # k(~A B), k(~A ~B).
  { [110, 2442, 111, 29_114] => 270.72, [29, 13, 123, 31_612] => 263.90, [31, 23, 139, 31_584] => 256.84,
    [10, 0, 3, 31_764] => 167.23 }.each do |(both, left, right, neither), ratio|
    it "finds Dunning's #{ratio}" do
      found = described_class.call(both, both + left, right, right + neither)
      expect(found).to be_within(0.006).of(ratio)
    end
  end

  it "is nothing for equal shares, and below nothing for the smaller one" do
    expect(described_class.call(5, 10, 50, 100)).to be_within(1e-9).of(0)
    expect(described_class.call(1, 10, 90, 100)).to be_negative
  end
end
