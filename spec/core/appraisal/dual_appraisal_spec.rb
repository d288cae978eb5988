# frozen_string_literal: true

# Sheets that two people filled in apart.
RSpec.describe Hobrin::Appraisal::DualAppraisal do
  let(:random) { Random.new(19) }
  let(:appraisal) { Hobrin::Appraisal }

  def answers(sheet)
    asked = sheet.questions.map(&:key).select { random.rand < 0.8 }
    asked.to_h do |key|
      says = appraisal::Paper::Answer::WORDS.keys.sample(random:)
      [key, appraisal::Paper::Answer.new(says:, shown: random.rand < 0.3 ? "Since #{key}." : "")]
    end
  end

  def concerns(sheet)
    groups = sheet.questions.map(&:group).uniq.select { random.rand < 0.2 }
    groups.to_h do |group|
      concern = appraisal::Checklists::Concern::LEVELS.sample(random:)
      [group, appraisal::Checklists::Concern::Set.new(concern:, why: "by hand")]
    end
  end

  def a_sheet(id, design)
    sheet = appraisal::Checklists.for(appraisal::Design.fetch(design))
    near = appraisal::Paper::Applicability::PARTS.keys.select { random.rand < 0.6 }
    graded = [-1, 0, 0, 1].sample(random:)
    appraisal::Paper.new(record_id: id, design:, answers: answers(sheet), concerns: concerns(sheet), graded:,
                         graded_why: graded.zero? ? "" : "since", finding: ["", "It helps."].sample(random:),
                         applies: near.to_h { |part| [part, appraisal::Paper::Applicability::NEAR.keys.sample(random:)] })
  end

  def pairs(count)
    designs = %w[randomized_trial cohort systematic_review diagnostic qualitative guideline]
    Array.new(count) do |place|
      one = designs.sample(random:)
      other = random.rand < 0.8 ? one : designs.sample(random:)
      described_class::Pair.new(first: a_sheet("p#{place}", one), second: a_sheet("p#{place}", other),
                                kind: "treatment")
    end
  end

  it "gives either sheet back when all points are the first's or all the second's, and any mixture point by point" do
    judged = ->(paper) { described_class::Points.of(paper) }
    pairs(300).each do |pair|
      first, second, keys = pair.first, pair.second, pair.differing
      expect(judged[pair.settled]).to eq(judged[first])
      expect(judged[pair.settled(second_at: keys)]).to eq(judged[second])
      expect(keys.map { |key| pair.name(key) }).to all(be_a(String))
      taken = keys.select { random.rand < 0.5 }
      holds = pair.settled(second_at: taken, finding: "So it is.")
      expect(holds.finding).to eq("So it is.")
      keys.each do |key|
        from = taken.include?(key) ? second : first
        expect([key, judged[holds][key], described_class::Points.because(key, holds)])
          .to eq([key, judged[from][key], described_class::Points.because(key, from)])
      end
      same = judged[first].keys - keys
      expect(judged[holds].slice(*same)).to eq(judged[first].slice(*same))
    end
  end

  it "agrees with itself at once, and differs at what was changed alone" do
    pairs(100).each do |pair|
      itself = pair.with(second: pair.first)
      expect([itself.agree?, itself.settled.answers]).to eq([true, pair.first.answers])
      key, answer = pair.first.answers.to_a.sample(random:)
      next unless key

      other = (appraisal::Paper::Answer::WORDS.keys - [answer.says]).sample(random:)
      changed = pair.first.with(answers: { **pair.first.answers, key => appraisal::Paper::Answer.new(says: other) })
      expect(pair.with(second: changed).differing).to eq(["answers.#{key}"])
    end
  end

  it "counts answers, concern and level as one would by hand" do
    some = pairs(60)
    records = some.to_h { |pair| [pair.record_id, a_record(id: pair.record_id)] }
    twice = described_class.new(pairs: some, kind: "treatment", records:)
    sheets = some.map { |pair| [pair.first, pair.second] }
    both = sheets.flat_map do |two|
      two.map { |one| one.answers.keys }.reduce(:&).map { |key| two.map { |one| one.answers[key].says } }
    end
    yes = appraisal::Paper::Answer::WORDS.keys.index(:yes)
    expect([twice.answers.total, twice.answers.table[yes][yes]])
      .to eq([both.size, both.count { |one| one == %i[yes yes] }])
    concern = sheets.map { |two| two.map { |one| one.concern("treatment") } }
    expect(twice.concerns.table[2][1]).to eq(concern.count { |one| one == %i[high some] })
    levels = sheets.map { |two| two.map { |one| one.level(records[one.record_id], "treatment").number } }
    expect(twice.levels.table).to eq((1..5).map { |one| (1..5).map { |other| levels.count([one, other]) } })
    expect(twice.words.first(2)).to match([/appraised 60 papers, and agree on every item of 0/, /Of #{both.size} questions/])
    expect(described_class.new(pairs: [], kind: nil, records: {}).words).to match([/not appraised any papers/])
  end
end
