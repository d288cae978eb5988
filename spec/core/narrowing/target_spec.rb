# frozen_string_literal: true

RSpec.describe Hobrin::Narrowing::Target do
  it "holds both its ends" do
    target = described_class.new(from: 20, to: 40)
    expect([19, 20, 40, 41].map { |count| target.standing(count) }).to eq(%i[below inside inside above])
  end

  it "takes whole numbers from 1 to 10,000, the smaller first" do
    expect([described_class.new(from: 1, to: 1), described_class.new(from: 1, to: 10_000)].map(&:to)).to eq([1, 10_000])
    [[0, 5], [5, 10_001], [6, 5], [1.5, 2]].each do |from, to|
      expect { described_class.new(from:, to:) }.to raise_error(Hobrin::InputError, /two whole numbers/)
    end
  end
end
