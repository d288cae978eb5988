# frozen_string_literal: true

RSpec.describe Hobrin::Appraisal::Synthesis do
  include WeighingHelp

  let(:outcome) { an_outcome(way: Hobrin::Appraisal::Outcome::Way.new(measure: :risk_ratio)) }
  let(:three) do
    [trial("one", [10, 50, 20, 50]), trial("two", [12, 60, 18, 60]), trial("three", [5, 40, 9, 40])]
  end

  def settle(entries, trap)
    entries.map do |record, paper, reported|
      mine = record.id == trap.study.id && reported.number == trap.study.number
      [record, paper, mine ? reported.with(aside: trap.key) : reported]
    end
  end

  it "pools what belongs together, with an interval that is never narrower for being Hartung and Knapp's" do
    pool = together(outcome, *three)
    plain = Hobrin::Statistics::Pooling::InverseVariance.call(pool.results, tau2: :reml)
    expect(pool.pooled.estimate).to be_within(1e-12).of(plain.estimate)
    expect(pool.pooled.high - pool.pooled.low).to be > plain.high - plain.low
    expect([pool.pooled.df, pool.without_each.size, pool.one_by_one.size, pool.baseline,
            pool.people]).to eq([2, 3, 3, 0.3, 300])
    expect(pool.egger).to be_nil
  end

  it "weighs counts themselves where that is asked for, and says when a paper gives none" do
    way = Hobrin::Appraisal::Outcome::Way.new(measure: :risk_ratio, model: :mantel_haenszel,
                                              level: 90)
    pool = together(outcome.with(way:), *three)
    tables = three.map { |_, _, reported| reported.table }
    own = Hobrin::Statistics::Pooling::MantelHaenszel.call(tables, :log_risk_ratio, level: 0.9)
    expect([pool.pooled.estimate, pool.pooled.low]).to eq([own.estimate, own.low])
    printed = an_entry("printed",
                       a_result("0.8", "0.5", "1.3", form: "estimate", measure: :risk_ratio))
    mixed = together(outcome.with(way:), *three, printed)
    expect([mixed.studies.size,
            Hobrin::Appraisal::Synthesis::Pooling.by_counts?(mixed.studies, way)]).to eq([4, false])
    expect(together(outcome.with(way: way.with(measure: :odds_ratio)), *three,
                    printed).aside.map(&:id)).to eq(["printed"])
  end

  it "catches each trap, pools nothing while it is open, and all again once it is mended or counted" do
    review = trial("review", [27, 150, 47, 150], design: "systematic_review", cites: %w[one two])
    again = an_entry("one", a_result(9, 48, 18, 47, number: 2, time: "day 7"))
    traps = {
      retracted: trial("bad", [20, 100, 40, 100], flags: ["retracted"]), review:, again:,
      same_people: trial("later", [10, 50, 20, 50], published: "2024"),
      arm_twice: an_entry("one", a_result(14, 52, 20, 50, number: 2, group: "masks")),
      turned: an_entry("odd", a_result(10, 50, 20, 50, shown: "On a scale to 10, 10 being best.")),
      design: trial("cohort", [30, 300, 50, 300], design: "cohort")
    }
    traps.each do |key, entry|
      entries = [*three, entry]
      pool = together(outcome, *entries, same: { "later" => ["one"] })
      expect([key, pool.traps.map(&:key), pool.pooled]).to eq([key, [key], nil])
      mended = together(outcome, *settle(entries, pool.traps.first), same: { "later" => ["one"] })
      expect([key, mended.traps, mended.studies.size]).to eq([key, [], 3])
      expect(mended.pooled.estimate).to eq(together(outcome, *three).pooled.estimate)
      counted = entries.map do |record, paper, one|
        [record, paper, record == entry.first ? one.with(counted: [key]) : one]
      end
      expect([key,
              together(outcome, *counted,
                       same: { "later" => ["one"] }).studies.size]).to eq([key, 4])
    end
  end

  it "catches changes among end values, and a scale that is turned already no more" do
    scale = an_outcome(kind: "scale", better: :more)
    ends = %w[one two].map { |id| an_entry(id, a_result(5, 2, 50, 6, 2, 50, form: "means_sd")) }
    change = an_entry("change", a_result(-1, 1, 40, -2, 1, 40, form: "means_sd", change: true))
    expect(together(scale, *ends, change).traps.map(&:key)).to eq([:changed])
    worst = an_entry("worst",
                     a_result(5, 2, 50, 4, 2, 50, form: "means_sd", shown: "10 being worst"))
    expect(together(scale, *ends, worst).traps.map(&:key)).to eq([:turned])
    turned = an_entry("worst",
                      a_result(5, 2, 50, 4, 2, 50, form: "means_sd", shown: "10 being worst",
                                                   turned: true))
    pool = together(scale, *ends, turned)
    expect([pool.traps, pool.results.map { |one| one.effect.round(6) }]).to eq([[], [-1.0, -1.0, -1.0]])
  end

  it "puts groups together that share a comparison group, as the counts and means of all" do
    arms = [a_result(7, 40, 20, 80, group: "a"), a_result(9, 41, 20, 80, number: 2, group: "b")]
    joined = Hobrin::Appraisal::Reported::Arms.together(arms)
    expect([joined.number, joined.group,
            joined.table.to_h.values]).to eq([1, "a or b", [16, 81, 20, 80]])
    means = [a_result(5, 2, 30, 7, 2, 60, form: "means_sd"),
             a_result(6, 1, 20, 7, 2, 60, form: "means_sd", number: 2)]
    group = Hobrin::Appraisal::Reported::Arms.together(means).values.first
    expect([group.size, group.mean.round(4), group.deviation.round(4)]).to eq([50, 5.4, 1.7321])
    small = [[0.00123, 1], [0.00126, 2]].map do |mean, number|
      a_result(mean, 0.0002, 30, 0.00122, 0.0002, 60, form: "means_sd", number:)
    end
    one, two = Hobrin::Appraisal::Reported::Arms.together(small).values
    expect(one.mean - two.mean).to be_within(1e-12).of(0.000025)
    expect { Hobrin::Appraisal::Reported::Arms.together([arms.first, means.first]) }.to raise_error(Hobrin::InputError)
  end

  it "tells papers apart by group, and five hundred of them as well as two" do
    some = [trial("low", [5, 50, 10, 50], concern: :low), trial("l2", [6, 50, 10, 50], concern: :low),
            trial("high", [20, 50, 10, 50], concern: :high), trial("h2", [21, 50, 10, 50], concern: :high)]
    groups = together(outcome, *some).groups(:concern, "treatment")
    expect([groups.groups.keys, groups.df]).to eq([["high risk", "low risk"], 1])
    expect(groups.p).to be < 0.01
    many = Array.new(500) do |place|
      trial(format("p%03d", place), [place % 40, 60, (place * 7) % 50, 60])
    end
    pool = together(outcome, *many)
    expect([pool.studies.size + pool.aside.size,
            pool.pooled.weights.sum.round(9)]).to eq([500, 1.0])
    expect(pool.egger.df).to eq(pool.studies.size - 2)
  end

  it "warns of a review that may include a trial, although nothing here says which it cites" do
    pool = lambda do |year, design: "systematic_review"|
      together(outcome, trial("one", [10, 50, 20, 50], published: "2020"),
               trial("review", [100, 900, 150, 900], published: year, design:)).open_traps.map(&:key)
    end
    expect([pool["2020"], pool["2023"], pool["2019"]]).to eq([[:may_include], [:may_include], []])
    expect(pool["2023", design: "randomized_trial"]).to eq([])
    expect(together(outcome, *%w[a b].map { |id| trial(id, [10, 50, 20, 50], design: "systematic_review") }).traps).to eq([])
  end

  describe "with its arms named" do
    let(:arms) { Hobrin::CloseReading::Arms.new(intervention: "earplugs", comparison: "usual care") }
    let(:outcome) { an_outcome(arms:) }

    def keys(*entries) = together(outcome, *entries).open_traps.map(&:key)
    def one(*cells, id: "one", **rest) = an_entry(id, a_result(*cells, **rest))

    it "stops pooling for groups that stand the other way round, or are neither of the two" do
      cells = [10, 50, 20, 50]
      table = { ["earplugs", "usual care"] => [], ["", ""] => [], ["earplugs", ""] => [], ["the devices", "controls"] => [],
                ["usual care", "earplugs"] => [:swapped], ["control", ""] => [:swapped], ["", "earplugs"] => [:swapped],
                ["melatonin", "usual care"] => [:arms], %w[earplugs melatonin] => [:arms], %w[melatonin music] => [:arms] }
      found = table.keys.to_h { |group, comparison| [[group, comparison], keys(one(*cells, group:, comparison:))] }
      expect(found).to eq(table)
      sentence = "In the control group 20 of 50 and in the earplug group 10 of 50 had delirium."
      expect([keys(one(10, 50, 20, 50, shown: sentence)), keys(one(20, 50, 10, 50, shown: sentence))]).to eq([[], [:swapped]])
    end

    it "swaps the groups back in one press" do
      wrong = a_result(20, 50, 10, 50, group: "usual care", comparison: "earplugs")
      right = wrong.swapped
      expect([right.typed.values, right.group, right.comparison]).to eq([%w[10 50 20 50], "earplugs", "usual care"])
      expect([right.swapped, right.against(arms)]).to eq([wrong, nil])
      printed = a_result("2.0", "1.25", "3.2", form: "estimate", measure: :risk_ratio).swapped
      expect(printed.typed.slice(:value, :low, :high).values).to eq(%w[0.5 0.3125 0.8])
    end

    it "warns of clusters and pairs until they are allowed for" do
      kinds = { "A cluster randomised trial" => :clusters, "A crossover trial" => :crossover, "A trial" => nil }
      allocation = Hobrin::Appraisal::Reported::Allocation
      kinds.each do |title, key|
        entry = ->(**rest) { an_entry("one", a_result(10, 50, 20, 50, **rest), title:) }
        expect([title, keys(entry[])]).to eq([title, [key].compact])
        expect(keys(entry[allocation: allocation.new(adjusted: true)])).to eq([])
      end
      clustered = ->(**rest) { keys(one(10, 50, 20, 50, allocation: allocation.new(kind: :cluster, **rest))) }
      expect([clustered[], clustered[size: 20]]).to eq([[:clusters], []])
      crossed = ->(**rest) { keys(one(10, 50, 20, 50, allocation: allocation.new(kind: :crossover, **rest))) }
      expect([crossed[], crossed[correlation: 0.4]]).to eq([[:crossover], []])
    end

    it "takes one comparison group for two arms once it is split among them" do
      half = Hobrin::Appraisal::Reported::Allocation.new(shared: 2)
      two = lambda do |**rest|
        results = [["plugs", 10], ["plugs and masks", 12]].each_with_index.map do |(group, events), place|
          a_result(events, 50, 20, 50, number: place + 1, group: "ear#{group}", **rest)
        end
        results.map { |result| an_entry("one", result) }
      end
      expect([keys(*two[]), keys(*two[allocation: half])]).to eq([[:arm_twice], []])
    end
  end
end
