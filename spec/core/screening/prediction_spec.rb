# frozen_string_literal: true

RSpec.describe Hobrin::Screening::Prediction do
  let(:outside) { JSON.parse(File.read("spec/fixtures/scikit_learn/sift.json")) }

  it "has the slope that finite differences give" do
    keeping = described_class.new(LikenessMaterial.examples)
    random = Random.new(5)
    weights = keeping.weights.map { random.rand(-1.0..1.0) }
    slope, of_bias = keeping.slope(weights, 0.3)
    weights.each_index.to_a.sample(60, random:).each do |place|
      ahead, behind = [1e-6, -1e-6].map { |by| weights.dup.tap { |moved| moved[place] += by } }
      expect((keeping.loss(ahead,
                           0.3) - keeping.loss(behind,
                                               0.3)) / 2e-6).to be_within(1e-5).of(slope[place])
    end
    expect((keeping.loss(weights,
                         0.3 + 1e-6) - keeping.loss(weights,
                                                    0.3 - 1e-6)) / 2e-6).to be_within(1e-5).of(of_bias)
  end

  # The same penalty, to the end, by scikit-learn 1.2.1: spec/outside/scikit_learn.py.
  it "comes near to what scikit-learn finds at the end, and orders as it does" do
    keeping = described_class.new(LikenessMaterial.examples)
    names = LikenessMaterial.examples.flat_map { |traits, _| traits.keys }.uniq
    best = keeping.loss(names.map { |name| outside.fetch("weights").fetch(name.to_s) }, outside.fetch("bias"))
    expect(keeping.slope(names.map do |name|
      outside.fetch("weights").fetch(name.to_s)
    end, outside.fetch("bias")).flatten.map(&:abs).max)
      .to be < 1e-3
    expect(keeping.loss).to be_between(best - 1e-6, best * 3)
    kept, dropped = LikenessMaterial.examples.partition(&:last).map do |some|
      some.map do |traits, _|
        keeping.call(traits)
      end
    end
    expect(kept.min).to be > dropped.max
  end

  it "says what speaks for a paper and against, and learns from at most so many" do
    keeping = described_class.new([[{ plug: 1.0 }, true], [{ cream: 1.0 }, false]])
    expect(keeping.reasons({ plug: 0.5, cream: 0.4, new: 1.0 }).map { |word, share| [word, share.positive?] })
      .to eq([[:plug, true], [:cream, false]])
    many = described_class.new(Array.new(900) { |number| [{ a: 1.0 }, number < 200] })
    expect(many.call({ a: 1.0 })).to be_within(0.02).of(0.5)
  end
end

RSpec.describe Hobrin::Screening::StoppingEstimate do
  # Against every way in which up to nine papers may turn out.
  it "has the distribution that counting all cases gives" do
    random = Random.new(8)
    40.times do
      chances = Array.new(random.rand(1..9)) { random.rand }
      cases = [true, false].repeated_permutation(chances.size).map do |kept|
        [kept.count(true), chances.zip(kept).map { |chance, keep| keep ? chance : 1 - chance }.reduce(:*)]
      end
      stopping = described_class.new(chances)
      upto = ->(count) { cases.sum { |number, chance| number <= count ? chance : 0 } }
      expect(stopping.none).to be_within(1e-12).of(upto[0])
      expect(stopping.expected).to be_within(1e-9).of(cases.sum { |number, chance| number * chance })
      expect([upto[stopping.low],
              upto[stopping.high]]).to match([be >= 0.05 - 1e-9, be >= 0.95 - 1e-9])
      expect(upto[stopping.high - 1]).to be < 0.95
    end
  end

  it "is at its end without unread papers" do
    expect(described_class.new([])).to have_attributes(expected: 0, low: 0, high: 0, none: 1.0)
  end
end

RSpec.describe Hobrin::Screening::CitationSearch do
  def record_id(number) = "p#{number}"

  # Against a plain walk over every pair of papers of random graphs.
  it "finds in each round what a plain walk finds" do
    random = Random.new(4)
    60.times do
      size = random.rand(3..30)
      cites = (0...size).to_h do |one|
        [record_id(one), (0...one).to_a.sample(random.rand(0..3), random:).map { |two| record_id(two) }]
      end
      neighbours = cites.keys.to_h do |id|
        [id, cites[id] | cites.select { |_, cited| cited.include?(id) }.keys]
      end
      from = cites.keys.sample(random.rand(1..4), random:)
      known = [*from, *cites.keys.sample(random.rand(0..3), random:)]
      plain = (cites.keys - known).filter_map do |id|
        by = from.count { |kept| cites[kept].include?(id) || cites[id].include?(kept) }
        [id, by] if by.positive?
      end
      found = described_class.of(from, neighbours, known:)
      expect(found.map { |tied| [tied.record_id, tied.by.size] }).to match_array(plain)
      expect(found.map { |tied| -tied.by.size }).to eq(found.map { |tied| -tied.by.size }.sort)
    end
  end
end

RSpec.describe Hobrin::Tools::Learning::Screening, :sample do
  # Two of the five inquiries, one seed each: docs/sifting.md has them all. Sample and reader are
  # ours.
  it "finds nearly all keepers in at most six tenths of what newest-first needs, and never says too few are left" do
    described_class.piles(context, ids: [2, 4]).each do |pile|
      run = described_class.new(pile, context.library.likeness).call(2)
      expect([run.kind, run.share]).to match([run.kind, be <= 0.6])
      expect(run.likeliest).to be < run.chance
      expect(run.estimates.map { |one| one.left <= one.high }).to all(be(true))
    end
  end
end
