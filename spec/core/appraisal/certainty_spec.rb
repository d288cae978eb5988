# frozen_string_literal: true

# Worked situations: common practice from the published guidance, from memory (Guyatt et al. 2008 and
# 2011). They are ours, with papers made for them.
RSpec.describe Hobrin::Appraisal::Certainty do
  include WeighingHelp

  def events(**rest) = an_outcome(way: Hobrin::Appraisal::Outcome::Way.new(measure: :risk_ratio, model: :fixed), **rest)

  def share(*groups)
    entries = groups.each_with_index.map do |two, place|
      an_entry("s#{place}", a_result(*two, form: "one_group"), design: "cohort")
    end
    together(an_outcome(kind: "share"), *entries)
  end

  def test(*cells)
    entries = cells.each_with_index.map do |four, place|
      an_entry("d#{place}", a_result(*four, form: "four_cells"), design: "diagnostic")
    end
    together(an_outcome(kind: "test"), *entries)
  end

  def many(*cells, outcome: events, **rest)
    together(outcome, *cells.each_with_index.map { |four, place| trial("t#{place}", four, **rest) })
  end

  def weighed(concerns, cells)
    entries = concerns.each_with_index.map do |one, place|
      trial("t#{place}", cells[place % cells.size], concern: one)
    end
    together(events, *entries)
  end

  def nearly(nears)
    entries = nears.each_with_index.map { |near, place| trial("t#{place}", [100, 500, 150, 500], near:) }
    together(events, *entries)
  end

  def mostly_cohorts(cells)
    cohorts = Array.new(3) { |place| trial("c#{place}", cells, design: "cohort") }
    counted = cohorts.map { |record, paper, one| [record, paper, one.with(counted: [:design])] }
    together(events, trial("one", [10, 50, 15, 50]), *counted)
  end

  # Up to six trials of which one says the opposite, as effects that vary.
  def one_against(size = 6)
    way = Hobrin::Appraisal::Outcome::Way.new(measure: :risk_ratio, model: :reml)
    many(*[50, 60, 160, 40, 50, 70].first(size).map { |one| [one, 500, 150, 500] }, outcome: events.with(way:))
  end

  # Ten trials that grow: the small ones tell more, or all tell the same.
  def growing(small_tell_more)
    cells = Array.new(10) do |place|
      size = small_tell_more ? 40 + (place * 90) : 100 * (place + 1)
      risk = small_tell_more ? 0.04 + (place * 0.022) : 0.2
      [(size * risk).round, size, (size * 0.3).round, size]
    end
    many(*cells)
  end

  def of(pool, **rest) = described_class.of(pool, kind: "treatment", **rest)
  def line(certainty, domain) = certainty.lines.find { |one| one.domain == domain }

  big = [100, 500, 150, 500]

  # What begins high and what low.
  starts = {
    "randomized trials" => [->(e) { e.many(big, big) }, 4], "cohorts" => [->(e) { e.many(big, big, design: "cohort") }, 2],
    "a review of trials" => [->(e) { e.many(big, design: "systematic_review") }, 4],
    "people followed" => [->(e) { e.share([30, 100]) }, 4], "a test" => [->(e) { e.test([90, 10, 5, 95]) }, 4],
    "mostly cohorts" => [->(e) { e.mostly_cohorts(big) }, 2]
  }
  starts.each do |name, (make, start)|
    it "begins at #{start} for #{name}" do
      expect(of(make[self]).start).to eq(start)
    end
  end

  # Domain, situation, papers, steps, and numbers that the reason names.
  situations = [
    [:bias, "no sheet answered", ->(e) { e.weighed([nil, nil], [big]) }, 0, /No checklist/],
    [:bias, "all of low concern", ->(e) { e.weighed(%i[low low low], [big]) }, 0, /high risk of bias carry 0 %.*low risk 100 %/],
    [:bias, "a quarter of high concern", ->(e) { e.weighed(%i[low low low high], [big]) }, 0, /carry 25 %/],
    [:bias, "half of high concern", ->(e) { e.weighed(%i[low low high high], [big]) }, -1, /carry 50 %.*without the high-risk studies: 0\.67/],
    [:bias, "all of high concern", ->(e) { e.weighed(%i[high high], [big]) }, -1, /carry 100 %/],
    [:bias, "nearly all, and without them nothing is left of it", ->(e) { e.weighed(%i[high high high low low], [big, big, big, [10, 50, 10, 50], [11, 50, 10, 50]]) }, -2, /without the high-risk studies: 1\.05/],
    [:bias, "all of some concern", ->(e) { e.weighed(%i[some some some], [big]) }, -1, /low risk 0 %/],
    [:inconsistency, "a single paper", ->(e) { e.many(big) }, 0, /single paper/],
    [:inconsistency, "papers that agree", ->(e) { e.many(big, big, big) }, 0, /I² = 0 %.*3 of 3/],
    [:inconsistency, "papers on one side that differ in size", ->(e) { e.many([20, 500, 150, 500], big, big) }, 0, /3 of 3 point/],
    [:inconsistency, "papers on both sides beyond chance", ->(e) { e.many(big, [150, 500, 100, 500]) }, -1, /1 of 2 point/],
    [:inconsistency, "a pooled effect that a new study may turn round", lambda(&:one_against), -2,
     /prediction interval/],
    [:inconsistency, "five that vary, with the opposite for a new study", ->(e) { e.one_against(5) }, -2, /prediction interval/],
    [:inconsistency, "four, of which too few to predict are there", ->(e) { e.one_against(4) }, -1, /of 4 point/],
    [:inconsistency, "shares far apart", ->(e) { e.share([10, 100], [60, 100]) }, -1, /10\.00 to 60\.00 per 100/],
    [:inconsistency, "shares that agree", ->(e) { e.share([20, 100], [25, 100]) }, 0, /20\.00 to 25/],
    [:inconsistency, "tests that find very differently", ->(e) { e.test([95, 5, 10, 90], [50, 50, 10, 90], [80, 20, 10, 90]) }, -1, /sensitivity 50 to 95/],
    [:indirectness, "nobody held them against ours", ->(e) { e.nearly([nil, nil]) }, 0, /applicability of the papers has not been judged/],
    [:indirectness, "near enough", ->(e) { e.nearly(%i[same near]) }, 0, /carry 0 %/],
    [:indirectness, "a quarter far", ->(e) { e.nearly(%i[far same same same]) }, 0, /carry 25 % of the weight \(people\)/],
    [:indirectness, "half far", ->(e) { e.nearly(%i[far far same same]) }, -1, /carry 50 %/],
    [:imprecision, "large and clear", ->(e) { e.many([200, 2000, 300, 2000], [200, 2000, 300, 2000], outcome: e.events(worthwhile: 3)) }, 0, /one trial would need 4.072 people for a change from 15 to 12 per 100; there are 8.000/],
    [:imprecision, "clear, but may be too small to be worth having", ->(e) { e.many(big, outcome: e.events(worthwhile: 10)) }, -1, /beyond/],
    [:imprecision, "perhaps nothing at all", ->(e) { e.many([20, 100, 30, 100], outcome: e.events(worthwhile: 5)) }, -1, /The interval is/],
    [:imprecision, "worth having either way", ->(e) { e.many([10, 50, 11, 50], outcome: e.events(worthwhile: 5)) }, -2, /The interval is/],
    [:imprecision, "clear, from too few", ->(e) { e.many([5, 60, 20, 60], outcome: e.events(worthwhile: 5)) }, -1, /there are 120/],
    [:imprecision, "surely about alike", ->(e) { e.many([1000, 5000, 1000, 5000], outcome: e.events(worthwhile: 5)) }, 0, /0\.92 to 1\.08/],
    [:imprecision, "a share told exactly", ->(e) { e.share([300, 1000], [310, 1000]) }, 0, /precise enough/],
    [:imprecision, "a share told loosely", ->(e) { e.share([12, 40]) }, -1, /per 100/],
    [:imprecision, "a share that may be nearly anything", ->(e) { e.share([3, 8]) }, -2, /per 100/],
    [:unpublished, "few papers", ->(e) { e.many(big, big) }, 0, /2 studies are too few/],
    [:unpublished, "five small ones, all on one side", ->(e) { e.many(*[[4, 30, 8, 30]] * 5) }, -1, /5 with fewer than 100/],
    [:unpublished, "ten of which small ones tell more", ->(e) { e.growing(true) }, -1, /Peters’ test: p = 0\.018, 10 studies/],
    [:unpublished, "ten that tell the same", ->(e) { e.growing(false) }, 0, /do not vary.*nothing to test/],
    [:large, "a ratio of 0.3", ->(e) { e.many([45, 500, 150, 500], design: "cohort") }, 0, /No ratio is pooled/],
    [:large, "two with a ratio of 0.3", ->(e) { e.many([45, 500, 150, 500], [45, 500, 150, 500], design: "cohort") }, 1, /is 0\.30/],
    [:large, "two with a ratio of 0.1", ->(e) { e.many([15, 500, 150, 500], [15, 500, 150, 500], design: "cohort") }, 2, /is 0\.10/],
    [:large, "two with a ratio of 0.7", ->(e) { e.many([105, 500, 150, 500], [105, 500, 150, 500], design: "cohort") }, 0, /between 0\.5 and 2/],
    [:large, "a large one that may be nothing", ->(e) { e.many([1, 20, 3, 20], [1, 20, 3, 20], design: "cohort") }, 0, /includes 1/]
  ]
  # Source: 211 in each group for 1 and 6 of 100, by the textbooks' formula in R (power.prop.test gives 0.80 for it).
  it "asks for the people that a change of that size in that direction needs" do
    rising = many([6, 100, 1, 100], [6, 100, 1, 100], outcome: events(worthwhile: 5, baseline: 1))
    size = ->(pool) { described_class::InformationSize.of(pool, pool.pooled) }
    expect(size[rising]).to have_attributes(count: 422, from: 0.01, to: be_within(1e-12).of(0.06))
    falling = many([1, 100, 6, 100], [1, 100, 6, 100], outcome: events(worthwhile: 5, baseline: 6))
    expect(size[falling].count).to eq(422)
    impossible = many([1, 100, 4, 100], [1, 100, 4, 100], outcome: events(worthwhile: 5, baseline: 4))
    expect(size[impossible]).to be_nil
    barely = many([1, 100, 4, 100], [1, 100, 4, 100], outcome: events(worthwhile: 3.9, baseline: 4))
    expect(size[barely].to).to be_within(1e-9).of(0.001)
  end

  it "asks for the smallest difference that matters where none can be derived, and rates nothing by it" do
    way = Hobrin::Appraisal::Outcome::Way.new(measure: :difference, model: :fixed)
    rated = lambda do |**rest|
      outcome = an_outcome(kind: "ready", way:, **rest)
      entries = [[-1, -3, 1], [0.5, -1, 2]].map.with_index do |numbers, place|
        an_entry("d#{place}", a_result(*numbers, form: "estimate", measure: :difference))
      end
      line(of(together(outcome, *entries)), :imprecision)
    end
    expect([rated[].proposed, rated[].why]).to match([0, /without a minimal important difference/])
    expect([rated[worthwhile: 0.5].proposed, rated[worthwhile: 5].proposed]).to eq([-2, 0])
  end

  it "names no change that is not possible as worth having" do
    pool = many([6, 100, 1, 100], [6, 100, 1, 100], outcome: events(worthwhile: 5, baseline: 1))
    worth = described_class::Worthwhile.of(pool)
    expect([worth.low, Math.exp(worth.high)]).to match([-Float::INFINITY, be_within(1e-9).of(6)])
    expect(line(of(pool), :imprecision).why).to include("an important effect lies beyond 6.00;")
  end

  it "says which steps up do not count" do
    certainty = of(many([45, 500, 150, 500], [45, 500, 150, 500], design: "cohort"))
    expect(certainty.counts?(line(certainty, :large))).to be(true)
    bias = Hobrin::Appraisal::Outcome::Judgement.new(steps: -1, why: "x")
    doubted = of(many([45, 500, 150, 500], [45, 500, 150, 500], design: "cohort", outcome: events(judgements: { bias: })))
    expect([doubted.counts?(line(doubted, :large)), doubted.counts?(line(doubted, :bias)), doubted.level]).to eq([false, true, 1])
  end

  situations.each do |domain, name, make, steps, words|
    it "proposes #{steps} for #{domain}: #{name}" do
      found = line(of(make[self]), domain)
      expect([found.proposed, found.why]).to match([steps, words])
    end
  end

  it "counts protocols that wait for results, and names how many" do
    pool = many(big, big, big)
    expect(line(of(pool, protocols: 2), :unpublished).to_h.values_at(:proposed, :why)).to match([-1, /library: 2/])
    expect(line(of(pool, protocols: 1), :unpublished).proposed).to eq(0)
  end

  it "goes down two where papers are far from ours in two things" do
    entry = trial("far", big).then do |record, paper, one|
      [record, paper.with(applies: { people: :far, place: :far }), one]
    end
    expect(line(of(together(events, entry)), :indirectness).to_h.values_at(:proposed,
                                                                           :why)).to match([-2, /people, setting/])
  end

  it "adds steps up only from low where nothing led down, and goes by what a person set" do
    cells = [[45, 500, 150, 500], [45, 500, 150, 500]]
    cohorts = many(*cells, design: "cohort", concern: :low)
    expect([of(cohorts).level, of(many(*cells, concern: :low)).level]).to eq([3, 4])
    judged = events(judgements: { bias: Hobrin::Appraisal::Outcome::Judgement.new(steps: -1,
                                                                                  why: "nobody was unaware") })
    certainty = of(many(*cells, outcome: judged, design: "cohort", concern: :low))
    expect([certainty.level, certainty.word, line(certainty, :bias).proposed]).to eq([1, "very low", 0])
    raised = events(judgements: { gradient: Hobrin::Appraisal::Outcome::Judgement.new(steps: 1, why: "longer, less") })
    expect(of(many(*cells, outcome: raised, design: "cohort", concern: :low)).level).to eq(4)
  end
end
