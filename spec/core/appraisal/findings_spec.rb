# frozen_string_literal: true

RSpec.describe Hobrin::Appraisal::Findings do
  include WeighingHelp

  def wording(interval, level)
    low, high = interval
    worth = Hobrin::Appraisal::Certainty::Worthwhile.new(low: -0.2, high: 0.2, guessed: false)
    wording = Hobrin::Appraisal::Findings::Wording
    wording.of(found: wording.said((low + high) / 2.0, low, high, worth), level:, name: "Delirium")
  end

  # All combinations of what an interval can tell and of how sure one is.
  table = {
    [-0.9, -0.3] => ["Lowers delirium", "Probably lowers delirium", "May lower delirium"],
    [-0.15, -0.05] => ["Slightly lowers delirium", "Probably slightly lowers delirium", "May slightly lower delirium"],
    [0.3, 0.9] => ["Raises delirium", "Probably raises delirium", "May raise delirium"],
    [0.05, 0.15] => ["Slightly raises delirium", "Probably slightly raises delirium", "May slightly raise delirium"],
    [-0.1, 0.1] => ["Makes little or no difference to delirium", "Probably makes little or no " \
                                                                 "difference to delirium",
                    "May make little or no difference to delirium"],
    [-0.5, 0.1] => ["We cannot tell what it does to " \
                    "delirium"] * 3, [-0.1, 0.5] => ["We cannot tell what it does to delirium"] * 3,
    [-0.9, 0.9] => ["We cannot tell what it does to " \
                    "delirium"] * 3, [-0.4, 0.0] => ["We cannot tell what it does to delirium"] * 3
  }
  it "says no more than certainty and interval allow" do
    table.each do |interval, (high, moderate, low)|
      expect([interval, [4, 3, 2, 1].map { |level| wording(interval, level) }])
        .to eq([interval, [high, moderate, low, "We cannot tell what it does to delirium"]])
    end
    random = Random.new(5)
    1000.times do
      interval = [random.rand(-1.0..1.0), random.rand(-1.0..1.0)].sort
      said = wording(interval, 4)
      side = /cannot tell|little or no/i
      side = /lowers/i if interval.last.negative?
      side = /raises/i if interval.first.positive?
      expect([interval, said]).to match([interval, side])
    end
  end

  it "puts what matters most first, with people of a hundred at our own baseline" do
    way = Hobrin::Appraisal::Outcome::Way.new(measure: :risk_ratio, model: :fixed)
    pools = [[:less, 30], [:critical, 20], [:important, nil]].map do |matters, baseline|
      together(an_outcome(matters:, baseline:, way:), *trials(2, [10, 100, 20, 100]))
    end
    rows = described_class.table(pools, kind: "treatment")
    expect(rows.map { |row| row.outcome.matters }).to eq(%i[critical important less])
    expect(rows.map do |row|
      row.hundred.first(2).map do |share|
        (100 * share).round
      end
    end).to eq([[20, 10], [20, 10], [30, 15]])
    single = together(an_outcome(way:), trial("one", [10, 100, 20, 100]))
    expect(described_class.table([single],
                                 kind: nil).first.effect.estimate).to be_within(1e-9).of(Math.log(0.5))
  end

  it "calls a benefit or a harm only what interval and certainty let it say, and draws only that" do
    way = Hobrin::Appraisal::Outcome::Way.new(measure: :risk_ratio, model: :fixed)
    row = lambda do |cells, **rest|
      pool = together(an_outcome(way:, worthwhile: 5, **rest), *trials(2, cells))
      described_class.table([pool], kind: "treatment").first
    end
    fewer, more, either, alike = [[100, 1000, 200, 1000], [200, 1000, 100, 1000], [10, 50, 11, 50], [2000, 10_000, 2000, 10_000]]
    expect([fewer, more, either, alike].map { |cells| [row[cells].side, row[cells].difference?] })
      .to eq([[:benefit, true], [:harm, true], [nil, false], [nil, false]])
    expect([fewer, more].map { |cells| row[cells, better: :more].side }).to eq(%i[harm benefit])
    doubted = { bias: Hobrin::Appraisal::Outcome::Judgement.new(steps: -2, why: "x"),
                indirectness: Hobrin::Appraisal::Outcome::Judgement.new(steps: -2, why: "x") }
    expect([row[fewer, judgements: doubted].words, row[fewer, judgements: doubted].side])
      .to eq(["We cannot tell what it does to delirium", nil])
  end

  # Source: Altman, BMJ 1998;317:1309, whose way of telling both sides of infinity it is.
  it "gives a number needed to treat with its interval, and none where there may be no difference" do
    words = Hobrin::Brief::Words::OfNumberNeeded
    expect(words.of(0.30, 0.20, 0.15, 0.28)).to eq("NNT 10 (95 % CI 6.7 to 50) for one fewer.")
    expect(words.of(0.10, 0.115, 0.081, 0.151))
      .to eq("NNT not estimable: 95 % CI 20 for one more, through ∞, to 53 for one fewer.")
    expect(words.of(0.1, 0.2, 0.1, 0.3)).to eq("NNT 10 (95 % CI 5.0 to ∞) for one more.")
  end

  it "tells what an effect is for people of a hundred, whatever the measure" do
    of = ->(measure, value, baseline) { Hobrin::Appraisal::Effect::Hundred.with(Hobrin::Appraisal::Outcome::Measure.fetch(measure), value, baseline) }
    expect(of[:risk_ratio, Math.log(0.5), 0.3]).to be_within(1e-9).of(0.15)
    expect(of[:risk_ratio, Math.log(5), 0.3]).to eq(1.0)
    expect(of[:odds_ratio, Math.log(3), 0.25]).to be_within(1e-9).of(0.5)
    expect(of[:risk_difference, -0.4, 0.3]).to eq(0.0)
    expect(of[:hazard_ratio, Math.log(2), 0.5]).to be_within(1e-9).of(0.75)
    expect(of[:mean_difference, 1, 0.5]).to be_nil
    [0.0, 1.0].each { |baseline| expect(of[:odds_ratio, 1.3, baseline]).to eq(baseline) }
  end

  # Common practice, after CERQual's four components (from memory).
  it "relies on findings by how studies were made, whom they are about, whether they agree, and whether " \
     "there is enough" do
    papers = Array.new(4) { |place| Hobrin::Appraisal::Paper.new(record_id: "q#{place}", design: "qualitative") }
    answer = ->(says) { { method: Hobrin::Appraisal::Paper::Answer.new(says:) } }
    of = lambda do |speaking, against: 0, says: :yes, near: :same, words: "They said so."|
      some = papers.first(speaking).map do |paper|
        paper.with(answers: answer[says], applies: { people: near })
      end
      support = some.to_h { |paper| [paper.record_id, Hobrin::Appraisal::Finding::Voice.new(speaks: :for, words:)] }
      support.merge!(Array.new(against) { |place| ["a#{place}", Hobrin::Appraisal::Finding::Voice.new(speaks: :against)] }.to_h)
      found = Hobrin::Appraisal::Finding::Confidence.of(
        Hobrin::Appraisal::Finding.new(id: 1, text: "Told.", support:), some, kind: "experience"
      )
      [found.level, *found.lines.map(&:steps)]
    end
    expect(of[4]).to eq([4, 0, 0, 0, 0])
    expect([of[1], of[2],
            of[4, words: ""]]).to eq([[2, 0, 0, 0, -2], [3, 0, 0, 0, -1], [3, 0, 0, 0, -1]])
    expect([of[4, says: :no], of[4, near: :far]]).to eq([[2, -2, 0, 0, 0], [2, 0, -2, 0, 0]])
    expect([of[4, against: 1], of[4, against: 2],
            of[3, against: 3]]).to eq([[4, 0, 0, 0, 0], [3, 0, 0, -1, 0], [2, 0, 0, -2, 0]])
  end
end
