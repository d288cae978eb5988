# frozen_string_literal: true

RSpec.describe Hobrin::Statistics::Agreement do
  # Source: vcd 1.4-11 (Meyer, Zeileis, Hornik) and epiR 2.0.57, by spec/outside/agreement.R, on
  # forty random tables of two to five kinds.
  outside = JSON.parse(File.read("#{__dir__}/../../fixtures/metafor/agreement.json"))

  def close(value) = be_within(1e-9).of(value)

  it "gives kappa, weighted kappa and their errors as vcd does, and epiR's adjusted one" do
    outside.each do |said|
      agreement = described_class.new(said["table"])
      { plain: :none, linear: :linear, quadratic: :quadratic }.each do |name, weighting|
        kappa = agreement.kappa(weighting)
        expect([kappa.value, kappa.error]).to match(said[name.to_s].map { |value| close(value) })
      end
      expect(agreement.adjusted).to close(said["pabak"]) if said["pabak"]
    end
    expect(outside.size).to eq(40)
  end

  # Source: a textbook's table (design/checks.md); worked out by hand: 35 of 50 agree, 25 by chance.
  it "agrees with a table worked out by hand" do
    agreement = described_class.new([[20, 5], [10, 15]])
    expect([agreement.share, agreement.by_chance, agreement.kappa.value, agreement.adjusted])
      .to match([0.7, 0.5, 0.4, 0.4].map { |value| close(value) })
  end

  it "is the same whoever comes first and in whatever order, 1 for one reader twice, about 0 for chance" do
    random = Random.new(19)
    200.times do
      kinds = random.rand(2..5)
      table = Array.new(kinds) { Array.new(kinds) { random.rand(1..40) } }
      agreement = described_class.new(table)
      turned = described_class.new(table.reverse.map(&:reverse))
      %i[none linear quadratic].each do |weighting|
        kappa = agreement.kappa(weighting)
        expect([described_class.new(table.transpose), turned].map do |one|
          one.kappa(weighting).value
        end)
          .to all(close(kappa.value))
        expect(kappa.interval.low).to be <= kappa.value
      end
      alone = Array.new(kinds) do |row|
        Array.new(kinds) do |column|
          row == column ? random.rand(1..9) : 0
        end
      end
      expect(described_class.new(alone).kappa.value).to close(1)
      shares = Array.new(kinds) { random.rand(5..30) }
      expect(described_class.new(shares.map do |one|
        shares.map do |two|
          one * two
        end
      end).kappa.value).to close(0)
    end
  end

  it "says nothing where there is nothing to say" do
    expect(described_class.new([[0, 0], [0, 0]]))
      .to have_attributes(share: nil, kappa: nil, adjusted: nil, prevalence: nil)
    expect(described_class.new([[9, 0],
                                [0,
                                 0]])).to have_attributes(share: 1, kappa: nil, adjusted: 1,
                                                          prevalence: 1)
    [[], [[1]], [[1, 2], [3]]].each do |table|
      expect do
        described_class.new(table)
      end.to raise_error(ArgumentError)
    end
  end
end
