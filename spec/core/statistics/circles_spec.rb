# frozen_string_literal: true

RSpec.describe Hobrin::Statistics::Circles do
  # Source: the lens of two unit circles through each other's centres, 2π/3 - √3/2 (plane
  # geometry).
  it "knows the area of a lens" do
    expect(described_class.lens(1.0, 1.0,
                                1.0)).to be_within(1e-9).of((2 * Math::PI / 3) - (Math.sqrt(3) / 2))
    expect([described_class.lens(1.0, 0.5, 2.0),
            described_class.lens(1.0, 0.5, 0.2)]).to eq([0.0, Math::PI / 4])
  end

  it "draws two sets exactly, three by their pairs, and says how far off the rest is" do
    random = Random.new(1880)
    100.times do
      sets = Array.new(random.rand(2..3)) do
        Array.new(random.rand(1..80)) { random.rand(1..120) }.uniq
      end
      overlap = Hobrin::Retrieval::BlockFigures::Overlap.of(sets.map { |numbers| a_set(*numbers) })
      expect(overlap.regions).to eq(regions(sets))
      drawn = described_class.of(overlap.regions)
      expect(drawn.error).to be < (sets.size == 2 ? 0.02 : 1.2)
      shares = drawn.circles.map { |one| one.radius**2 }
      expect(shares.map { |share| share / shares.max })
        .to match(sets.map { |one| be_within(1e-9).of(one.size.to_f / sets.map(&:size).max) })
      next unless sets.size == 2

      one, two = drawn.circles
      shared = described_class.lens(one.radius, two.radius,
                                    Math.hypot(one.x - two.x, one.y - two.y)) / Math::PI * sets.map(&:size).max
      expect(shared).to be_within(0.01).of((sets[0] & sets[1]).size)
    end
  end

  def regions(sets)
    places = sets.each_index.to_a
    keys = (1..places.size).flat_map { |size| places.combination(size).to_a }
    keys.to_h do |key|
      [key, sets.flatten.uniq.count { |number| places.select { |place| sets[place].include?(number) } == key }]
    end
  end
end
