# frozen_string_literal: true

# The five inquiries of the sample, weighed to the end, and the traps that stand in them.
RSpec.describe "The weighed sample", :sample do
  include Editing

  def reading(id = 1) = Hobrin::Services::Appraise::Read.new(context, opened(id))
  def outcome(id, name) = inquiry(id).weighing.outcomes.find { |one| one.name.start_with?(name) }
  def pool(id, name) = reading(id).pool(outcome(id, name))
  def key(name) = "10.5555/hobrin.#{name}"

  # What an abstract offers, written down.
  def report(id, name, record_id, take: 0)
    of = outcome(id, name)
    passage = Hobrin::CloseReading::Passage.new(context.library.record(record_id).abstract)
    offer = Hobrin::CloseReading::Offers.all_in(passage, of.sort.forms,
                                                measures: of.sort.printed).fetch(take)
    edit(Hobrin::Edits::Results::Write.new(
           record_id:, number: nil, given: { outcome_id: of.id, form: offer.form,
                                             typed: offer.typed, shown: offer.sentence.text }
         ), id:)
  end

  it "has every kept paper weighed, every trap settled, and something to say of every outcome" do
    (1..5).each do |id|
      kept, papers = [inquiry(id).kept_ids, inquiry(id).papers]
      expect([id, papers.map(&:record_id)]).to match([id, match_array(kept)])
      expect(papers.map { |paper| paper.concern(inquiry(id).question.kind) }).to all(be_a(Symbol))
      expect(reading(id).pools.flat_map(&:open_traps)).to eq([])
      expect(reading(id).table.map { |row| row.certainty.word }).to all(be_a(String))
    end
  end

  it "pools two outcomes and a harm, a test, shares, odds and rate ratios, and relies on what people tell" do
    rows = reading.table
    expect(rows.map { |row| [row.outcome.name, row.pool.measure.key, row.pool.studies.size] })
      .to eq([["Delirium", :risk_ratio, 4], ["Sleep rated by patients", :mean_difference, 3],
              ["Sore skin behind the ear", :risk_ratio, 3]])
    expect(rows.map(&:words)).to eq(["May lower delirium", "May raise sleep rated by patients",
                                     "May slightly raise sore skin behind the ear"])
    test = pool(2, "Bladder").tests
    expect([test.converged, test.sensitivity.estimate,
            test.specificity.estimate]).to match([true, be_within(0.05).of(0.88),
                                                  be_within(0.05).of(0.83)])
    expect(pool(3,
                "No longer").measure.told(pool(3,
                                               "No longer").pooled.estimate)).to be_between(15, 40)
    expect([pool(4, "Skin").measure.key,
            pool(4, "Tubes").measure.key]).to eq(%i[odds_ratio rate_ratio])
    levels = inquiry(5).weighing.findings.map { |finding| reading(5).confidence(finding).word }
    expect(levels).to eq(["high", "moderate", "very low"])
  end

  it "catches the review that has its trials beside it, and mends it in one press" do
    before = pool(1, "Delirium").pooled
    edit(Hobrin::Edits::Results::Count.new(record_id: key("review-2023"), number: 1, counts: true))
    caught = pool(1, "Delirium")
    expect([caught.open_traps.map(&:key), caught.pooled]).to eq([[:review], nil])
    expect(caught.open_traps.first.of.map(&:id)).to include(key("trial-2018-plugs"))
    edit(Hobrin::Edits::Results::SettleWarning.new(record_id: key("review-2023"), number: 1, trap: :review, mend: true))
    expect(pool(1, "Delirium").pooled).to eq(before)
  end

  it "catches a double report and a retracted paper, and mends each in one press" do
    { "trial-2021-again" => :same_people, "retracted-2020" => :retracted }.each do |name, trap|
      before = pool(1, "Delirium").pooled
      decision = Hobrin::Screening::Decision.new(record_id: key(name), verdict: :keep, reason: nil,
                                                 note: "to see")
      edit(Hobrin::Edits::Screen::Decide.new(decision:, although_retracted: true))
      report(1, "Delirium", key(name))
      expect([name, pool(1, "Delirium").open_traps.map(&:key),
              pool(1, "Delirium").pooled]).to eq([name, [trap], nil])
      edit(Hobrin::Edits::Results::SettleWarning.new(record_id: key(name), number: 1, trap:, mend: true))
      expect(pool(1, "Delirium").pooled).to eq(before)
    end
  end

  it "catches a scale the other way round, and one comparison group used twice" do
    turned = inquiry.paper(key("older-2022")).reported.find(&:turned)
    before = pool(1, "Sleep").pooled.estimate
    edit(Hobrin::Edits::Results::SettleWarning.new(record_id: key("older-2022"), number: turned.number, trap: :turned,
                                                   mend: true))
    expect(pool(1, "Sleep").open_traps.map(&:key)).to eq([:turned])
    edit(Hobrin::Edits::Results::SettleWarning.new(record_id: key("older-2022"), number: turned.number, trap: :turned,
                                                   mend: true))
    expect(pool(1, "Sleep").pooled.estimate).to eq(before)

    joined, apart = inquiry(4).paper(key("00816")).reported.last(2)
    expect([joined.typed[:events], apart.aside]).to eq(["16", :arm_twice])
    edit(Hobrin::Edits::Results::Write.new(record_id: key("00816"), number: joined.number,
                                           given: { outcome_id: joined.outcome_id, form: joined.form, group: "bridle with a clip",
                                                    typed: joined.typed.merge(events: "7", time: "690") }), id: 4)
    edit(Hobrin::Edits::Results::Count.new(record_id: key("00816"), number: apart.number, counts: true), id: 4)
    expect(pool(4, "Tubes").open_traps.map(&:key)).to eq([:arm_twice])
    edit(
      Hobrin::Edits::Results::SettleWarning.new(record_id: key("00816"), number: apart.number, trap: :arm_twice,
                                                mend: true), id: 4
    )
    again = inquiry(4).paper(key("00816")).result(joined.number)
    expect([again.typed[:events], again.typed[:time].to_f,
            pool(4, "Tubes").open_traps]).to eq(["16", 1392.0, []])
  end
end
