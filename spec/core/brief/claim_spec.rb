# frozen_string_literal: true

require "yaml"

RSpec.describe Hobrin::Brief::Claim do
  include WeighingHelp

  counts = { lower: [300, 2000, 450, 2000], higher: [450, 2000, 300, 2000], same: [2000, 10_000, 2000, 10_000] }
  # [outcome, which way is better, what is found, certainty]
  findings = {
    "A" => [["Delirium", :less, :lower, 4], ["Sleep rated by patients", :more, :higher, 3], ["Sore skin", :less, :higher, 1]],
    "B" => [["Delirium", :less, :higher, 4], ["Sleep rated by patients", :more, :same, 3], ["Sore skin", :less, :higher, 2]],
    "C" => [["Delirium", :less, :same, 4], ["Sleep rated by patients", :more, :higher, 1], ["Sore skin", :less, :lower, 3]]
  }

  define_method(:row) do |name, better, found, level|
    steps = { bias: [level - 4, -2].max, indirectness: level == 1 ? -1 : 0, inconsistency: 0, imprecision: 0, unpublished: 0 }
    judgements = steps.transform_values { |one| Hobrin::Appraisal::Outcome::Judgement.new(steps: one, why: "as the test asks") }
    way = Hobrin::Appraisal::Outcome::Way.new(measure: :risk_ratio, model: :fixed)
    outcome = Hobrin::Appraisal::Outcome.new(id: 1, name:, better:, way:, worthwhile: 3, baseline: 30, judgements:)
    Hobrin::Appraisal::Findings.table([together(outcome, *trials(4, counts.fetch(found)))], kind: "treatment").first
  end

  define_method(:rows) { |key| findings.fetch(key).map { |one| row(*one) } }

  def known(outcome)
    { "Delirium" => "delirium", "Sleep rated by patients" => "sleep", "Sore skin" => "sore skin", nil => "all" }.fetch(outcome)
  end

  # Ours; see the head of the file for what is held out.
  it "objects to what findings do not show, outcome by outcome" do
    sentences = YAML.safe_load_file(File.expand_path("../../fixtures/claims.yml", __dir__))
    tables = findings.keys.to_h { |key| [key, rows(key)] }
    wrong = sentences.each_with_index.filter_map do |(key, sentence, expected), place|
      found = described_class.objections(sentence, tables.fetch(key)).map { |one| known(one.outcome) }
      [place % 4 == 3 ? "held out" : "looked at", key, sentence, expected, found] if found.sort != expected.sort
    end
    expect(sentences.size).to be >= 80
    expect(wrong).to eq([])
  end

  it "begins a sentence from the findings, with people of a hundred only where there is a difference" do
    expect(described_class.proposed(rows("A"))).to eq("Lowers delirium: per 100 people here, 30 without it, 20 with it (high certainty).")
    expect(described_class.proposed(rows("C"))).to eq("Makes little or no difference to delirium (high certainty).")
    expect(described_class.proposed([])).to be_nil
  end

  it "says what is wrong, and how it may be said" do
    words = ->(sentence, key) { described_class.objections(sentence, rows(key)).map(&:words).join }
    expect(words["Earplugs lower delirium.", "B"]).to include("Delirium: the findings say otherwise: “Raises delirium” (high")
    expect(words["Earplugs improve sleep.", "A"]).to include("certainty is moderate, so say “probably”")
    expect(words["Earplugs may improve sleep.", "C"]).to include("We cannot tell what it does to sleep")
    expect(words["Earplugs halve delirium.", "A"]).to include("risk ratio 0.67 (0.62 to 0.71), per 100 people 30 without it and 20")
    expect(described_class.objections("", rows("A"))).to eq([])
    expect(described_class.objections("Earplugs lower delirium.", [])).to eq([])
  end
end
