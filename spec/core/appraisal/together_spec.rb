# frozen_string_literal: true

RSpec.describe Hobrin::Appraisal::Together do
  def entry(id, cells, outcome: "Delirium", design: "randomized_trial", **record)
    table = a_table(*cells)
    [a_record(id:, title: id, **record), Hobrin::Appraisal::Paper.new(record_id: id, design:, outcome:, table:)]
  end

  def together(*entries, **rest) = described_class.new(entries, **rest).call
  def why(pool) = pool.left_out.to_h { |one| [one.record.id, one.why] }

  let(:trials) { [entry("one", [10, 50, 20, 50]), entry("two", [12, 60, 18, 60]), entry("three", [5, 40, 9, 40])] }

  it "pools what belongs together, with an interval that is never narrower for being Hartung and Knapp's" do
    pool = together(*trials).first
    expect(pool.studies.map { |study| study.record.id }).to eq(%w[one two three])
    results = pool.studies.map(&:result)
    plain = Hobrin::Statistics::InverseVariance.call(results, tau2: :reml)
    expect(pool.pooled.estimate).to be_within(1e-12).of(plain.estimate)
    expect(pool.pooled.high - pool.pooled.low).to be > plain.high - plain.low
    expect([pool.pooled.df, pool.without_each.size, pool.baseline]).to eq([2, 3, 0.3])
  end

  it "counts nothing twice, and nothing that does not belong" do
    review = entry("review", [30, 200, 50, 200], design: "systematic_review", cites: %w[one two])
    again = entry("again", [10, 50, 20, 50], published: "2024")
    retracted = entry("gone", [1, 50, 20, 50], flags: ["retracted"])
    cohort = entry("cohort", [40, 400, 60, 400], design: "cohort")
    empty = entry("empty", [0, 50, 0, 50])
    pool = together(*trials, review, again, retracted, cohort, empty,
                    same: { "again" => ["one"], "one" => ["again"] }).first
    expect(why(pool)).to eq("review" => :review, "again" => :same_people, "gone" => :retracted, "cohort" => :design,
                            "empty" => :nothing)
    expect(pool.left_out.first.of.map(&:id)).to eq(%w[one two])
    expect(pool.studies.size).to eq(3)
  end

  it "lets the review stand when its trials are taken out, and cohorts when there are no trials" do
    review = entry("review", [30, 200, 50, 200], design: "systematic_review", cites: %w[one two three])
    pool = together(*trials, review, without: %w[one two three]).first
    expect([pool.studies.map do |study|
      study.record.id
    end, why(pool).values.uniq, pool.pooled]).to eq([["review"], [:by_hand], nil])
    cohorts = together(entry("a", [40, 400, 60, 400], design: "cohort"),
                       entry("b", [4, 40, 6, 40], design: "cohort")).first
    expect([cohorts.studies.size, cohorts.left_out, cohorts.pooled.df]).to eq([2, [], nil])
  end

  it "keeps outcomes apart, and names each by what it is called most" do
    pools = together(*trials, entry("four", [3, 30, 6, 30], outcome: "Falls at night"),
                     entry("five", [3, 30, 6, 30], outcome: "Delirium after surgery"))
    expect(pools.map { |pool| [pool.name, pool.studies.size] }).to eq([["Delirium", 4], ["Falls at night", 1]])
  end
end
