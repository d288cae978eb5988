# frozen_string_literal: true

require "set"

# Against Ruby's own sets, over numbers that fill a block and numbers far apart.
RSpec.describe Hobrin::Records::RecordSet do
  let(:random) { Random.new(7) }

  def numbers
    spread = [50, 5_000, 70_000, 400_000].sample(random:)
    Array.new([0, 1, 20, 3_000, 30_000].sample(random:)) { random.rand(1..spread) }
  end

  it "joins, meets and takes away as sets do, and alters none of those it was given" do
    40.times do
      plain = Array.new(random.rand(1..5)) { numbers.to_set }
      sets = plain.map { |one| described_class.of(one.to_a) }
      first, *others = sets
      expect(described_class.union(sets).to_a).to eq(plain.reduce(:|).sort)
      expect(described_class.intersection(sets).to_a).to eq(plain.reduce(:&).sort)
      expect([first.join(others), first.meet(others)].map(&:size)).to eq([plain.reduce(:|).size, plain.reduce(:&).size])
      expect((first - sets.last).to_a).to eq((plain.first - plain.last).sort)
      expect(first.overlap(sets.last)).to eq((plain.first & plain.last).size)
      expect(described_class.load(first.dump)).to eq(first)
      expect(sets.map(&:to_a)).to eq(plain.map(&:sort))
    end
    expect(described_class.union([])).to be_empty
  end
end
