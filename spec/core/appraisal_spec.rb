# frozen_string_literal: true

RSpec.describe Hobrin::Appraisal do
  def level(kind, design, graded: 0)
    described_class::Level.of(kind:, design: described_class::Design.fetch(design), graded:).number
  end

  # Source: OCEBM Levels of Evidence Working Group, "The Oxford 2011 Levels of Evidence" (from
  # memory).
  it "places designs as the 2011 table does" do
    { "treatment" => { "systematic_review" => 1, "randomized_trial" => 2, "cohort" => 3, "case_control" => 4,
                       "case_series" => 4, "mechanism" => 5 },
      "harm" => { "systematic_review" => 1, "randomized_trial" => 2, "cohort" => 3,
                  "case_control" => 4 },
      "diagnosis" => { "systematic_review" => 1, "diagnostic" => 2, "case_control" => 4,
                       "mechanism" => 5 },
      "prognosis" => { "systematic_review" => 1, "inception_cohort" => 2, "cohort" => 3, "case_series" => 4,
                       "mechanism" => nil } }
      .each do |kind, rows|
      rows.each do |design, number|
        expect([kind, design, level(kind, design)]).to eq([kind, design, number])
      end
    end
  end

  it "gives no level, and a reason, where the table says nothing" do
    %w[prediction experience cost].each do |kind|
      expect(level(kind, "systematic_review")).to be_nil
    end
    %w[guideline protocol opinion].each { |design| expect(level("treatment", design)).to be_nil }
    unasked = described_class::Level.of(kind: nil, design: described_class::Design.fetch("cohort"))
    expect(unasked.why).to include("kind of question")
  end

  it "moves a level by one, never off the table, and asks why" do
    expect([level("treatment", "randomized_trial", graded: 1),
            level("treatment", "systematic_review", graded: -1)]).to eq([3, 1])
    expect { described_class::Paper.new(record_id: "x", design: "cohort", graded: 1) }
      .to raise_error(Hobrin::InputError, /Say why/)
  end

  it "proposes the design that a record's labels point to" do
    proposals = [[{ types: ["randomized controlled trial"], species: ["humans"] }, "randomized_trial"],
                 [{ species: ["animals"] }, "mechanism"],
                 [{ types: ["protocol", "randomized controlled trial"] }, "protocol"], [{ types: [] }, nil]]
    proposals.each do |facts, key|
      expect(described_class::Design.proposed(a_record(**facts))&.key).to eq(key)
    end
  end

  it "keeps only answers to questions of its own sheet" do
    paper = described_class::Paper.new(record_id: "x", design: "qualitative",
                                       answers: { method: :yes, allocation: :yes, people: :maybe })
    expect(paper.answers).to eq(method: :yes)
  end
end
