# frozen_string_literal: true

RSpec.describe "Charts in time" do
  s = Hobrin::Statistics

  # Source: Anhøj and Olesen, PLoS ONE 2014;9:e113825, for 24 useful values: longest run above 8,
  # fewer than 8 crossings (from memory). The others by whole numbers of ways, anew.
  it "knows the longest run and the fewest crossings that chance allows, for 10 to 60 values" do
    choose = lambda { |all, some|
      some.zero? ? 1 : (1..some).reduce(1) { |ways, one| ways * (all - some + one) / one }
    }
    (10..60).each do |useful|
      throws = useful - 1
      fewest = (0..throws).find do |count|
        Rational((0..count).sum { |some| choose[throws, some] }, 2**throws) >= Rational(1, 20)
      end
      expect([useful, s::RunChart.crossings_limit(useful)]).to eq([useful, fewest])
      expect(s::RunChart.longest_limit(useful)).to eq((Math.log(useful) / Math.log(2)).round + 3)
    end
    expect([s::RunChart.longest_limit(24), s::RunChart.crossings_limit(24)]).to eq([8, 8])
  end

  it "finds runs, crossings, shifts and trends, and counts nothing that lies on the middle" do
    values = [5, 7, 4, 8, 5, 3, 9, 2, 6, 4, 7, 1, 9, 3].map(&:to_f)
    found = s::RunChart.new(values, middle: 5.0).call
    expect([found.useful, found.longest, found.crossings, found.sign?]).to eq([12, 1, 11, false])
    shifted = s::RunChart.new([6.0, 4, 7, 3, 8, 2, 1, 2, 5, 3, 2, 1, 2, 3, 1, 2], middle: 5.0)
    expect([shifted.call.longest, shifted.call.long?, shifted.shift?]).to eq([10, true, true])
    expect([s::RunChart.new([1.0, 2, 3, 3, 4, 5]).trend?,
            s::RunChart.new([1.0, 2, 3, 2, 4, 5]).trend?]).to eq([true, false])
    expect(s::RunChart.new([1.0] * 30).call).to be_nil
  end

  # Perla 2011 and Anhøj 2014, from memory; the counts by hand.
  describe "either side of each threshold of a run chart" do
    # Values about 5: "+" above, "-" below, "0" on the middle.
    def chart(marks) = s::RunChart.new(marks.chars.map { |mark| { "+" => 6.0, "-" => 4.0, "0" => 5.0 }.fetch(mark) }, middle: 5.0)
    let(:s) { Hobrin::Statistics }

    it "needs ten values off the middle" do
      expect(chart("+-+-+-+-+0").call).to be_nil
      expect(chart("+-+-+-+-+0-").call.useful).to eq(10)
    end

    it "calls six on one side a shift, five not, and passes over what lies on the middle" do
      expect([chart("+++++-").shift?, chart("++++++-").shift?, chart("+++0++-").shift?, chart("+++0+++").shift?])
        .to eq([false, true, false, true])
    end

    it "calls five that go on a trend, four not, up and down" do
      of = ->(*values) { s::RunChart.new(values.map(&:to_f)).trend? }
      expect([of[1, 2, 3, 4, 2], of[1, 2, 3, 4, 5], of[5, 4, 3, 2, 4], of[5, 4, 3, 2, 1], of[1, 2, 2, 3, 4]])
        .to eq([false, true, false, true, false])
    end

    it "allows a run of seven and three crossings among twelve, and no longer a run or fewer crossings" do
      long, longer = chart("+++++++-+-+-").call, chart("++++++++-+-+").call
      expect([long.longest_limit, long.longest, long.long?, longer.longest, longer.long?]).to eq([7, 7, false, 8, true])
      some, few = chart("++++---+++--").call, chart("++++----++++").call
      expect([some.crossings_limit, some.crossings, some.few_crossings?, few.crossings, few.few_crossings?])
        .to eq([3, 3, false, 2, true])
      expect([some.sign?, few.sign?, longer.sign?]).to eq([false, true, true])
    end
  end

  # Worked by hand from the formulas (common practice, no source).
  it "draws the limits of shares, of events over time and of single values" do
    near = ->(value) { be_within(1e-9).of(value) }
    chart = s::ControlChart.shares([[10, 100], [20, 100], [15, 100], [15, 100], [40, 100]],
                                   before: 4)
    expect([chart.kind, chart.middle, chart.outside]).to eq([:p, 0.15, [4]])
    expect(chart.limits.first).to eq([0.05, 0.27])
    edges = s::ControlChart.shares([[10, 100], [20, 100], [15, 100], [15, 100], [27, 100], [28, 100], [5, 100], [4, 100]], before: 4)
    expect(edges.outside).to eq([5, 7])
    rates = s::ControlChart.rates([[4, 100], [6, 100], [5, 50]], before: 2)
    expect([rates.middle,
            rates.limits.last]).to match([0.05, [0.0, near[0.05 + (3 * Math.sqrt(0.05 / 50))]]])
    singles = s::ControlChart.singles([10.0, 12, 11, 13, 30], before: 4)
    reach = 2.66 * 5 / 3
    expect([singles.middle, singles.limits.first, singles.outside])
      .to match([11.5, [near[11.5 - reach], near[11.5 + reach]], [4]])
    wild = s::ControlChart.shares([[5, 1000], [300, 1000], [10, 1000], [280, 1000], [20, 1000],
                                   [310, 1000]])
    expect([wild.kind, wild.outside]).to eq([:laney, []])
    flat = [s::ControlChart.shares([[0, 20]] * 12), s::ControlChart.shares([[20, 20]] * 12),
            s::ControlChart.rates([[0, 20]] * 12), s::ControlChart.singles([3.0] * 12)]
    expect(flat).to eq([nil] * 4)
    expect(s::ControlChart.shares([*[[0, 20]] * 11, [1, 20]]).outside).to eq([])
  end

  # Source: R 4.2.2, qbinom(c(0.00135, 0.99865), n, p).
  it "finds the counts that chance leaves so few beyond" do
    asked = { [100, 0.15] => [5, 27], [20, 0.01] => [0, 2], [30, 0.3] => [2, 17], [20, 0.98] => [17, 20] }
    found = asked.keys.to_h do |people, chance|
      [[people, chance], [0.00135, 0.99865].map { |share| s::Proportions::Binomial.count(share, people, chance) }]
    end
    expect(found).to eq(asked)
  end

  # Source: 0.30 and 0.20, two-sided 5 %, power 80 %, give 293 in each group with the variance
  # pooled under no difference (textbooks).
  it "knows how many people a change needs, and how small a change so many people show" do
    expect(s::SampleSize.each_group(0.3, 0.2)).to be_between(293, 294)
    expect(s::SampleSize.smallest_fall(0.3, 293.15)).to be_within(0.0005).of(0.1)
    expect(s::SampleSize.smallest_fall(0.05, 10)).to be_nil
    [[0.3, 100], [0.6, 40], [0.1, 500]].each do |share, people|
      fall = s::SampleSize.smallest_fall(share, people)
      expect(s::SampleSize.each_group(share, share - fall)).to be_between(people, people + 1)
    end
  end

  it "finds a change that is planted, and seldom one that is not" do
    random = Random.new(17)
    weeks = ->(risk) { Array.new(24) { [Array.new(40) { random.rand < risk }.count(true), 40] } }
    noise, change = Array.new(200) { [weeks[0.3], weeks[0.3].first(12) + weeks[0.12].first(12)] }.transpose
    found = lambda do |series|
      values = series.map { |events, people| events.fdiv(people) }
      s::RunChart.new(values.last(12),
                      middle: s.median(values.first(12))).call&.sign? || false
    end
    expect([noise.count(&found), change.count(&found)]).to match([be < 60, be > 170])
  end
end
