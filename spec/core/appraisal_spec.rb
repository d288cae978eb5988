# frozen_string_literal: true

RSpec.describe Hobrin::Appraisal do
  def level_of(kind, design, reviewed: nil, flags: [], **rest)
    reviewed &&= described_class::Design.fetch(reviewed)
    described_class::Level.of(record: a_record(flags:), kind:, design: described_class::Design.fetch(design),
                              reviewed:, **rest)
  end

  def level(...) = level_of(...).number

  # Source: OCEBM Levels of Evidence Working Group, "The Oxford 2011 Levels of Evidence" (from
  # memory).
  it "places designs as the 2011 table does" do
    { "treatment" => { "randomized_trial" => 2, "controlled_trial" => 3, "cohort" => 3, "case_control" => 4,
                       "case_series" => 4, "mechanism" => 5 },
      "harm" => { "randomized_trial" => 2, "cohort" => 3,
                  "case_control" => 4 },
      "diagnosis" => { "cross_sectional" => 3, "case_control" => 4,
                       "mechanism" => 5 },
      "prognosis" => { "controlled_trial" => nil, "randomized_trial" => 3, "inception_cohort" => 2, "cohort" => 3,
                       "case_series" => 4,
                       "mechanism" => nil } }
      .each do |kind, rows|
      rows.each do |design, number|
        expect([kind, design, level(kind, design)]).to eq([kind, design, number])
      end
    end
  end

  it "gives a review the level of what it reviewed, and asks while that is not said" do
    { %w[treatment randomized_trial] => 1, %w[treatment cohort] => 3, %w[harm case_series] => 4,
      %w[harm randomized_trial] => 1, %w[harm nested_case_control] => 1, %w[harm case_control] => 4,
      %w[treatment nested_case_control] => 4,
      %w[diagnosis diagnostic] => 1,
      %w[diagnosis case_control] => 4, %w[prognosis inception_cohort] => 1, %w[prognosis cohort] => 3,
      %w[prognosis controlled_trial] => nil }.each do |(kind, reviewed), number|
      expect([kind, reviewed,
              level(kind, "systematic_review", reviewed:)]).to eq([kind, reviewed, number])
    end
    expect(level_of("treatment", "systematic_review"))
      .to have_attributes(number: nil, why: /designs it reviewed/)
  end

  it "asks of a test how it was judged, and of a prognosis whether people were followed" do
    { %i[yes yes] => 2, %i[yes no] => 3, %i[not_told yes] => 3, %i[no yes] => 4, [nil, :yes] => nil,
      %i[yes yes no] => 3, %i[yes yes not_told] => 3, %i[yes yes mostly] => 2, %i[no yes no] => 4 }
      .each do |(reference, blinded, same_reference), number|
      answers = { reference:, blinded:, same_reference: }.compact
      expect([answers, level("diagnosis", "diagnostic", answers:)]).to eq([answers, number])
    end
    expect([level("prognosis", "inception_cohort", answers: { followed: :no }),
            level("treatment", "cohort", answers: { followed: :no })]).to eq([4, 3])
  end

  it "names the row of the table and what stands there" do
    expect(level_of("harm", "systematic_review", reviewed: "nested_case_control").why)
      .to eq("OCEBM 2011, row treatment harms, level 1: a systematic review of randomised trials or of nested case-control " \
             "studies; as a review of such studies")
    expect(level_of("diagnosis", "diagnostic", answers: { reference: :yes, blinded: :yes, same_reference: :no }).why)
      .to include("row diagnosis, level 3", "not the same reference standard for all")
  end

  it "gives a retracted paper no level, whatever its design" do
    found = level_of("treatment", "randomized_trial", flags: ["retracted"])
    expect(found).to have_attributes(number: nil, why: /retracted/)
  end

  it "gives no level, and a reason, where the table says nothing" do
    %w[prediction experience cost].each do |kind|
      expect(level(kind, "systematic_review")).to be_nil
    end
    %w[guideline protocol opinion].each { |design| expect(level("treatment", design)).to be_nil }
    unasked = level_of(nil, "cohort")
    expect(unasked.why).to include("question type")
  end

  it "moves a level by one, never off the table, and asks why" do
    expect([level("treatment", "randomized_trial", graded: 1),
            level("treatment", "systematic_review", reviewed: "randomized_trial",
                                                    graded: -1)]).to eq([3, 1])
    expect { described_class::Paper.new(record_id: "x", design: "cohort", graded: 1) }
      .to raise_error(Hobrin::InputError, /Give a reason/)
  end

  it "proposes the design that a record's labels point to" do
    proposals = [[{ types: ["randomized controlled trial"], species: ["humans"] }, "randomized_trial"],
                 [{ species: ["animals"] }, "mechanism"],
                 [{ types: ["protocol", "randomized controlled trial"] }, "protocol"], [{ types: [] }, nil]]
    proposals.each do |facts, key|
      expect(described_class::Design.proposed(a_record(**facts))&.key).to eq(key)
    end
  end

  it "keeps only answers to questions that there are, and refuses answers that are none" do
    yes = described_class::Paper::Answer.new(says: "yes")
    paper = described_class::Paper.new(record_id: "x", design: "qualitative", answers: { method: yes, nonsense: yes })
    expect(paper.answers).to eq(method: yes)
    expect { described_class::Paper::Answer.new(says: :maybe) }.to raise_error(Hobrin::InputError)
  end
end
