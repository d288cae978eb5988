# frozen_string_literal: true

RSpec.describe Hobrin::Brief::SignOffCheck do
  outcome = Struct.new(:id, :name, :matters, :better)
  pool = Struct.new(:open_traps)
  define_method(:row) do |name: "Delirium", side: nil, matters: :critical, traps: []|
    instance_double(Hobrin::Appraisal::Findings::Row, outcome: outcome.new(7, name, matters, :less), side:, direction: nil,
                                                      pool: pool.new(traps))
  end

  def flow(**counts)
    Hobrin::Brief::Flow.of(joined: 9, found_ids: [], decisions: []).with(**counts)
  end

  def evidence(id, paper: weighed, retracted: false)
    record = instance_double(Hobrin::Records::Record, id:, short_name: "Quarrel 2021", retracted?: retracted)
    instance_double(Hobrin::Brief::EvidenceRow, record:, paper:, results: [])
  end

  def weighed = instance_double(Hobrin::Appraisal::Paper, weighed?: true)

  # decided :: key of a decision; plan :: fields of the plan
  def gaps(decided: "", plan: {}, findings: [], **given)
    inquiry = instance_double(Hobrin::Inquiry, question: Hobrin::Question.ask("Do earplugs help?"), conclusion: "We cannot tell.", plan: Hobrin::Brief::ActionPlan.new(**plan),
                                               acting: Hobrin::Brief::Acting.new(decision: decided))
    described_class.new(inquiry:, findings:, evidence: [], flow: flow, **given).call.map { |gap| [gap.about, gap.words, gap.place] }
  end

  whole = { what: "Earplugs at 21:30", who: "Night nurses", from_when: "Monday" }

  it "finds nothing where all fits" do
    expect(gaps(decided: "change", plan: whole, findings: [row(side: :benefit)], evidence: [evidence("a")])).to eq([])
    expect(gaps(decided: "leave")).to eq([])
    expect(gaps).to eq([])
  end

  it "holds the decision against the findings" do
    none = [:decision, "Decision: change practice. No outcome shows a benefit.", :decision]
    worse = [:decision, "Decision: change practice. A critical outcome gets worse: Falls.", :decision]
    benefit, falls = row(side: :benefit), row(name: "Falls", side: :harm)
    expect(gaps(decided: "change", plan: whole, findings: [row])).to eq([none])
    expect(gaps(decided: "change", plan: whole, findings: [benefit, falls])).to eq([worse])
    expect(gaps(decided: "change", plan: whole, findings: [benefit, row(name: "Falls", side: :harm, matters: :important)])).to eq([])
    expect(gaps(decided: "leave", findings: [benefit, falls])).to eq([])
  end

  it "holds the plan against the decision" do
    expect(gaps(plan: { what: "Earplugs" })).to eq([[:decision, "The plan changes practice, but no decision is recorded.", :decision]])
    expect(gaps(decided: "leave", plan: whole).map do |gap|
      gap[1]
    end).to eq(["Decision: leave practice as it is. The plan changes practice."])
    words = "Decision: try it on one ward first. The plan is missing: “Who does it”, “Start date”."
    expect(gaps(decided: "trial", plan: { what: "Earplugs" })).to eq([[:decision, words, :brief]])
  end

  it "lists what is not finished, one and several" do
    found = gaps(findings: [row(traps: [:swapped])], flow: flow(unread: 1, unsure: 2), waiting: { "Ines" => 1, "Maren" => 0 },
                 differences: { screening: 0, appraisal: 2 },
                 evidence: [evidence("a", retracted: true), evidence("b", paper: nil), evidence("c", paper: nil)])
    expect(found.map { |gap| gap[1] }).to eq(
      ["Delirium has an open integrity warning, so it is not pooled.", "Quarrel 2021 is retracted and still included.",
       "2 included papers are not appraised yet.", "2 differences in appraisal are not resolved yet.",
       "1 paper waits for Ines’s appraisal.", "1 paper is not screened yet.", "2 papers are still “unsure”."]
    )
    expect(found.map(&:first).uniq).to eq([:open])
  end
end
