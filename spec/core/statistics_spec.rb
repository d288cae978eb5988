# frozen_string_literal: true

require "csv"

RSpec.describe Hobrin::Statistics do
  def ends(interval) = [interval.low, interval.high]

  # Source: Newcombe, Stat Med 1998;17:857, table I, method 3 (from memory).
  it "gives the Wilson intervals of the published table" do
    { [81, 263] => [0.2553, 0.3662], [15, 148] => [0.0624, 0.1605], [0, 20] => [0.0, 0.1611],
      [1, 29] => [0.0061, 0.1718] }
      .each do |(events, n), expected|
      expect(ends(described_class::Proportions::Wilson.call(events, n)))
        .to match(expected.map { |bound| be_within(5e-5).of(bound) })
    end
  end

  # Source: Newcombe, Stat Med 1998;17:873, table II, example (a), method 10 (from memory).
  it "gives the published interval of a difference of proportions" do
    interval = described_class::TwoByTwo::RiskDifference.call(a_table(56, 70, 48, 80))
    expect([interval.estimate,
            *ends(interval)]).to match([be_within(1e-9).of(0.2), be_within(5e-5).of(0.0524),
                                        be_within(5e-5).of(0.3339)])
  end

  # Source: the worked example of capture and recapture with 10 marked, 15 caught and 5 of them
  # marked: 28 in all, 22 to 65 (an encyclopaedia's page on the method, from memory).
  it "gives the worked example of Chapman's estimate" do
    interval = described_class::Chapman.call(10, 15, 5)
    expect([interval.estimate.floor, *ends(interval).map(&:round)]).to eq([28, 22, 65])
    # Searches that are alike, lie within each other or find nothing cannot tell.
    [[4, 4, 4], [40, 12, 12], [40, 20, 19], [10, 0, 0]].each do |counts|
      expect([counts, described_class::Chapman.call(*counts)]).to eq([counts, nil])
    end
    (1..12).to_a.repeated_permutation(2).each do |one, other|
      (0..[one, other].min).filter_map { |both| described_class::Chapman.call(one, other, both) }.each do |found|
        expect([one, other,
                found.estimate.between?(found.low, found.high)]).to eq([one, other, true])
      end
    end
    expect { described_class::Chapman.call(3, 5, 4) }.to raise_error(ArgumentError)
  end

  # Source: the BCG vaccine trials (Colditz et al., JAMA 1994) in R's metadat; escalc(measure =
  # "RR") of metafor 3.8-1 gives these risk ratios and intervals. The last one is a table with an
  # empty cell.
  it "gives the risk ratios that metafor gives" do
    { [4, 123, 11, 139] => [0.4109386548, 0.1343015708, 1.2573983833],
      [6, 306, 29, 303] => [0.2048681542, 0.0862974496, 0.4863522707],
      [62, 13_598, 248, 12_867] => [0.2365605236, 0.1792808941, 0.3121407979],
      [27, 16_913, 29, 17_854] => [0.9828350769, 0.5821374615, 1.6593413964],
      [0, 20, 5, 20] => [0.0909090909, 0.0053585432, 1.5422965811] }.each do |table, expected|
      ratio = described_class::TwoByTwo::RiskRatio.call(a_table(*table))
      expect([ratio.estimate, *ends(ratio)])
        .to match(expected.map { |value| be_within(1e-9).of(value) })
    end
  end

  # Source: 1,000 random tables with an empty cell, escalc(measure = "RR") of metafor 3.8-1 with its
  # defaults; spec/fixtures/metafor/risk_ratios.R made them.
  it "gives the risk ratios of metafor where a cell is empty, and says that ½ was added" do
    file = File.expand_path("../fixtures/metafor/risk_ratios.csv", __dir__)
    rows = CSV.read(file, headers: true, converters: :numeric)
    rows.each do |row|
      table = a_table(*row.fields.first(4))
      ratio = described_class::TwoByTwo::RiskRatio.call(table)
      expect([*row, ratio.estimate, ratio.low, ratio.high])
        .to match([*row, *row.fields.last(3).map { |value| be_within(value * 1e-8).of(value) }])
      expect(described_class::TwoByTwo::RiskRatio.corrected?(table)).to be(true)
    end
    expect(rows.size).to eq(1_000)
    expect(described_class::TwoByTwo::RiskRatio.call(a_table(1, 1, 250,
                                                             500)).estimate).to be_within(1e-9).of(0.75 / (250.5 / 501))
  end

  it "tells no risk ratio where neither group, or everybody, had the outcome" do
    expect(described_class::TwoByTwo::RiskRatio.call(a_table(0, 10, 0, 12))).to be_nil
    expect(described_class::TwoByTwo::RiskRatio.call(a_table(10, 10, 12, 12))).to be_nil
  end

  # Source for the two halves: Altman, BMJ 1998;317:1309. The numbers are reciprocals of the
  # difference's ends.
  it "tells the number needed to treat on both sides of no difference" do
    clear = described_class::TwoByTwo::NumberNeededToTreat.from(described_class::Interval.new(estimate: -0.2, low: -0.25,
                                                                                              high: -0.1))
    expect(clear.to_h).to eq(estimate: 5.0, fewer: true, low: 4.0, high: 10.0, other: nil)

    open = described_class::TwoByTwo::NumberNeededToTreat.from(described_class::Interval.new(estimate: 0.1, low: -0.05,
                                                                                             high: 0.25))
    expect(open.to_h).to eq(estimate: 10.0, fewer: false, low: 4.0, high: Float::INFINITY,
                            other: 20.0)
    expect(described_class::TwoByTwo::NumberNeededToTreat.from(described_class::Interval.new(estimate: 0.0, low: -0.1,
                                                                                             high: 0.1)).fewer).to be_nil
  end

  it "holds the difference between -1 and 1 and around its estimate, for any table" do
    random = Random.new(1998)
    300.times do
      one, two = Array.new(2) { random.rand(1..60) }
      interval = described_class::TwoByTwo::RiskDifference.call(a_table(random.rand(0..one), one,
                                                                        random.rand(0..two), two))
      expect([-1.0, interval.low, interval.estimate, interval.high,
              1.0]).to eq([-1.0, interval.low, interval.estimate, interval.high, 1.0].sort)
    end
  end

  it "names the number of a 2×2 table that cannot be" do
    expect { a_table(5, 4, -1, 0) }.to raise_error(Hobrin::InputError) do |error|
      expect(error.errors.keys).to contain_exactly(:events, :comparison_events, :comparison_total)
    end
    expect { a_table("ten", 20, 1, 20) }.to raise_error(Hobrin::InputError, /whole number/)
  end
end
