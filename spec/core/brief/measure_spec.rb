# frozen_string_literal: true

RSpec.describe Hobrin::Brief::Measure do
  pasted = Hobrin::Brief::Measure::Pasted

  def weeks(counts, start: Date.new(2026, 5, 18))
    counts.each_with_index.map do |(events, of), week|
      described_class::Point.new(day: start + (7 * week), events:, of:)
    end
  end

  def measure(counts, started: nil, **rest)
    described_class.new(id: 1, name: "Delirium", points: weeks(counts), started:, **rest)
  end

  it "reads numbers as people paste them" do
    ways = { "2026-09-07; 3; 10" => [3, 10], "07.09.2026\t3\t10" => [3, 10],
             "7/9/2026,3,10" => [3, 10], "2026-09-07; 1 003; 1.200" => [1003, 1200] }
    ways.each do |line, (events, of)|
      point = pasted.read("week; people; of\n#{line}\n\n", :share).first
      expect([line, point.day, point.events,
              point.of]).to eq([line, Date.new(2026, 9, 7), events, of])
    end
    expect(pasted.read("2026-09-07; 3,5\n2026-09-14; 4.25", :value).map(&:value)).to eq([3.5, 4.25])
    expect(pasted.read("", :share)).to eq([])
  end

  it "says which line it cannot read, and why" do
    refused = { "2026-02-30; 1; 2" => /“2026-02-30” is not a date/, "2026-09-07; 1" => /two whole numbers/, "2026-09-07; x; 2" => /two whole/,
                "2026-09-07; 1; 0" => /at least 1/, "2026-09-07; -1; 4" => /below 0/, "2026-09-07; 1; 2\n2026-09-07; 2; 3" => /twice/,
                ("2026-09-07; 1; 2\n" * 501) => /500 lines/, "x" * 20_001 => /20.000 characters/ }
    refused.each do |text, words|
      expect { pasted.read(text, :share) }.to raise_error(Hobrin::InputError, words)
    end
    expect { pasted.read("2026-09-07; 1; 2", :value) }.to raise_error(Hobrin::InputError, /one number/)
  end

  describe "either side of what a reading needs" do
    def reading(counts, before: 12, **rest)
      Hobrin::Brief::Measure::Reading.new(measure(counts, started: Date.new(2026, 5, 18) + (7 * before), **rest))
    end
    let(:baseline) { [[9, 30], [10, 30], [8, 30], [11, 30]] * 3 }

    it "draws limits from twelve points before the change, not from eleven, and never of more than all" do
      expect([reading(baseline.drop(1) + [[9, 30]], before: 11).control, reading(baseline + [[9, 30]]).control.nil?]).to eq([nil, false])
      expect([reading([*baseline, [30, 30]]).control.nil?, reading([*baseline, [31, 30]]).control]).to eq([false, nil])
    end

    it "goes by the wish, or else by a target of a hundred beside the median, and by nothing where they are one" do
      higher = baseline + ([[15, 30]] * 3)
      median = 100 * (19 / 60.0)
      found = [{ better: :less }, { better: :more }, { target: 50 }, { target: 10 }, { target: median }, {}]
      expect(found.map { |wish| reading(higher, **wish).direction }).to eq(%i[worse better better worse higher higher])
      expect(reading(baseline + [[19, 60]], better: :less).direction).to be_nil
    end

    it "counts a point outside as a sign only after the change, and says one and several" do
      spike = baseline.dup.tap { |counts| counts[3] = [29, 30] }
      expect(reading(spike + [[9, 30]]).sign?).to be(false)
      one, two = [1, 2].map { |count| reading(baseline + ([[29, 30]] * count)) }
      expect([one.sign?, two.sign?]).to eq([true, true])
      expect([one.words.last,
              two.words.last]).to match([/\A1 point since the change lies outside/, /\A2 points since the change lie outside/])
    end
  end

  it "says what makes it uncountable" do
    bare = described_class.new(id: 1, name: "Falls")
    expect(bare.missing.size).to eq(5)
    full = bare.with(counted: "falls", better: :less, of: "nights", target: 2, started: Date.new(2026, 9, 7))
    expect(full.missing).to eq([])
  end

  it "finds a change in what was planted, and says what little it can tell of few numbers" do
    before = [[9, 30], [10, 31], [8, 29], [11, 32], [9, 30], [10, 33]] * 2
    after = [[4, 30], [5, 31], [3, 29], [4, 30], [5, 33], [4, 31], [3, 30], [4, 32], [5, 31],
             [4, 30]]
    started = Date.new(2026, 5, 18) + (7 * 12)
    reading = Hobrin::Brief::Measure::Reading.new(measure(before + after, started:))
    expect([reading.before.size, reading.after.size, reading.sign?]).to eq([12, 10, true])
    expect(reading.words.join(" ")).to match(/10 of 10 points.*one side is 10; chance allows for 6: this is/)
    alone = Hobrin::Brief::Measure::Reading.new(measure(before)).words.join
    expect(alone).to start_with("All data are from before the change")
    few = Hobrin::Brief::Measure::Reading.new(measure(before.first(3) + after.first(3),
                                                      started: Date.new(2026, 5, 18) + 21))
    expect([few.sign?,
            few.words.join(" ")]).to match([false,
                                            /At least 10 points not on the median are needed.*there are 3.*at least 12 baseline points/m])
    more = Hobrin::Brief::Measure::Reading.new(measure([[3, 0.5]] * 3, way: :rate))
    expect(more.words.size).to eq(1)
  end

  it "goes by the direction that is wanted before the target, and asks for a change in that direction" do
    before, after = [[[9, 30], [10, 31], [8, 29]] * 4, [[3, 30]] * 10]
    started = Date.new(2026, 5, 18) + (7 * 12)
    of = ->(better) { measure(before + after, started:, target: 10, better:) }
    expect({ less: :better, more: :worse }.map do |better, way|
      [Hobrin::Brief::Measure::Reading.new(of[better]).direction, way].uniq.size
    end).to eq([1, 1])
    expect(Hobrin::Brief::Measure::Chart.new(of[:less]).smallest).to match(/show a fall of \d/)
    expect(Hobrin::Brief::Measure::Chart.new(of[:more]).smallest).to match(/show a rise of \d/)
    expect { described_class.new(id: 1, name: "Falls", better: "up") }.to raise_error(Hobrin::InputError, /less or more is better/)
  end

  # Source: R 4.2, t.test(c(4.2, 5.1, 6.3, 5.5), c(7.9, 8.4, 6.8, 9.1, 8.0)); the shares by the formula of
  # Newcombe worked out in R.  The interval of two rates by hand: 4 in 20 less 10 in 20, error √(4/400 + 10/400).
  it "gives the difference since the change with its interval" do
    started = Date.new(2026, 5, 18) + 35
    values = [7.9, 8.4, 6.8, 9.1, 8.0, 4.2, 5.1, 6.3, 5.5].map { |value| [value, nil] }
    found = Hobrin::Brief::Measure::Difference.new(measure(values, started:, way: :value)).call
    expect([found.estimate, found.low, found.high]).to match([-2.765, -4.150598004, -1.379401996].map { |value| be_within(1e-8).of(value) })
    rates = [[5, 10], [5, 10], [2, 10], [2, 10]]
    found = Hobrin::Brief::Measure::Difference.new(measure(rates, started: Date.new(2026, 6, 1), way: :rate)).call
    expect([found.estimate,
            found.high - found.estimate]).to match([be_within(1e-12).of(-0.3), be_within(1e-6).of(1.959964 * Math.sqrt(14.0 / 400))])
    shares = measure([[9, 30], [3, 30]], started: Date.new(2026, 5, 25))
    expect(Hobrin::Brief::Measure::Chart.new(shares).difference)
      .to eq("Difference since the change: −20.0 per 100 (95 % CI −39.0 to +0.5)")
    [measure([[9, 30]], started:), measure([[9, nil], [3, nil]], started: Date.new(2026, 5, 25), way: :value)].each do |lone|
      expect(Hobrin::Brief::Measure::Difference.new(lone).call).to be_nil
    end
  end

  it "says whether a change is for the better by the target, and of a flat baseline that it has no limits" do
    before, after = [[[9, 30], [10, 31], [8, 29]] * 4, [[3, 30]] * 10]
    started = Date.new(2026, 5, 18) + (7 * 12)
    told = { 10 => :better, 50 => :worse, nil => :lower }
    told.each do |target, direction|
      reading = Hobrin::Brief::Measure::Reading.new(measure(before + after, started:, target:))
      expect([target, reading.direction]).to eq([target, direction])
      expect(reading.in_short).to eq("changed beyond chance: #{direction}")
    end
    expect(Hobrin::Brief::Measure::Reading.new(measure(before + after, started:, target: 10)).words.join(" "))
      .to include("this is a change for the better")
    flat = Hobrin::Brief::Measure::Reading.new(measure([*[[0, 20]] * 12, [1, 20]], started:))
    expect([flat.sign?, flat.words.join(" ")]).to match([false, /baseline does not vary, so no control limits/])
  end
end
