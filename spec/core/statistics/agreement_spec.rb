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
      expect(agreement.adjusted.value).to close(said["pabak"]) if said["pabak"]
    end
    expect(outside.size).to eq(40)
  end

  # Source: a textbook's table (design/checks.md); worked out by hand: 35 of 50 agree, 25 by chance.
  it "agrees with a table worked out by hand" do
    agreement = described_class.new([[20, 5], [10, 15]])
    expect([agreement.share, agreement.by_chance, agreement.kappa.value, agreement.adjusted.value])
      .to match([0.7, 0.5, 0.4, 0.4].map { |value| close(value) })
  end

  # Source: the table cont3x3abstractors of the R package irrCAC and what its gwet.ac1.table and bp2.table print (from
  # memory): AC1 0.8493305, error 0.04321747.
  it "gives Gwet's AC1 and the adjusted kappa with their errors" do
    agreement = described_class.new([[13, 0, 0], [0, 20, 7], [0, 4, 56]])
    expect([agreement.ac1.value, agreement.ac1.error, agreement.kappa.value])
      .to match([0.8493305, 0.04321747, 0.7964094].map { |value| be_within(5e-8).of(value) })
    expect(agreement.ac1.interval.to_h.values_at(:low, :high).map { |value| value.round(3) }).to eq([0.765, 0.934])
    expect([agreement.adjusted.value, agreement.adjusted.error]).to match([close(0.835), close(1.5 * Math.sqrt(0.89 * 0.11 / 100))])
  end

  it "puts a low kappa down to one frequent kind only where it is low" do
    words = ->(table) { Hobrin::Statistics::Agreement::Words.new(described_class.new(table), what: "verdicts").kappa.join(" ") }
    expect(words[[[1, 3], [4, 92]]]).to match(/96 % of all verdicts.*makes kappa low.*AC1 0\.9/)
    expect(words[[[10, 1], [0, 89]]]).not_to include("makes kappa low")
    expect(words[[[30, 20], [20, 30]]]).not_to include("makes kappa low")
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
        expect([described_class.new(table.transpose), turned].map { |one| one.kappa(weighting).value })
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
      .to have_attributes(share: nil, kappa: nil, adjusted: nil, ac1: nil, prevalence: nil)
    alike = described_class.new([[9, 0], [0, 0]])
    expect([alike.share, alike.kappa, alike.adjusted.value, alike.ac1.value, alike.prevalence]).to eq([1, nil, 1, 1, 1])
    [[], [[1]], [[1, 2], [3]]].each do |table|
      expect { described_class.new(table) }.to raise_error(ArgumentError)
    end
  end
end
