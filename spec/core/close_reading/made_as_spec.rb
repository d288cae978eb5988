# frozen_string_literal: true

RSpec.describe Hobrin::CloseReading::MadeAs do
  def answer(text, label) = described_class.new(Hobrin::CloseReading::Passage.new(text), label).call
  def label(record) = Hobrin::Appraisal::Design.proposed(record)&.key

  # The sample's words for it are the generator's own, so the halves are alike; what other words do
  # is below.
  it "finds the mislabelled trials of the sample, and accuses hardly an honest paper", :sample do
    given = SampleHome.records.select(&:abstract).map do |record|
      wrong = record.types.include?("randomized controlled trial") &&
              record.abstract.match?(/even dates|by the bed that was free|put in groups by date/)
      [record.id.sum.even?, wrong, answer(record.abstract, label(record)).verdict]
    end
    given.group_by(&:first).each_value do |half|
      wrong, honest = half.partition { |_, mislabelled| mislabelled }
      expect(wrong.count { |*, verdict| verdict == :disagree }).to be >= wrong.size * 0.95
      expect(honest.count { |*, verdict| verdict == :disagree }).to be <= honest.size * 0.002
    end
  end

  # Forty-eight descriptions in other words, made up by ourselves before the cues met them. Those at
  # an even place mended the cues, the others did not: docs/sifting.md has the figures.
  it "reads how a work was made from words that it was not made with" do
    told = YAML.safe_load_file("spec/fixtures/methods_told.yml").each_with_index.map do |(design, text), place|
      [place.even?, answer(text, design).verdict]
    end
    tuned, left = told.partition(&:first).map { |half| half.map(&:last).tally }
    expect(tuned).to eq(agree: 24)
    expect(left).to eq(agree: 19, untold: 5)
  end

  # Ours; see the head of the file for what is held out.
  it "catches labels of protocols, animals and conference abstracts, and none of honest ones" do
    wrong = YAML.safe_load_file("spec/fixtures/labels.yml").each_with_index.filter_map do |(given, honest, text), place|
      verdict = answer(text, given).verdict
      [place.odd? ? "held out" : "looked at", given, text[0, 60], verdict] if (verdict == :disagree) == honest
    end
    expect(wrong).to eq([])
  end

  it "says that a label and another design disagree, for labels put on honest work" do
    texts = YAML.safe_load_file("spec/fixtures/methods_told.yml")
    verdicts = texts.reject { |row| row.first == "randomized_trial" }.map { |_, text| answer(text, "randomized_trial").verdict }
    expect(verdicts.tally).to include(disagree: be >= 30)
    expect(answer("Methods: Wards were randomized by computer. Patients were followed for a year.",
                  "randomized_trial").verdict)
      .to eq(:agree)
    expect(answer("We thank all who helped.",
                  "cohort")).to have_attributes(verdict: :untold, sentence: nil)
  end

  it "shows the sentence that tells, and the words in it" do
    text = "Background: Randomized trials are few. Methods: Adults got earplugs on even dates. Results: 3 of 9 slept."
    found = answer(text, "randomized_trial")
    expect(found).to have_attributes(verdict: :disagree, design: "controlled_trial")
    expect(found.sentence.text).to eq("Adults got earplugs on even dates.")
    expect(text[Range.new(*found.cue, true)]).to eq("even dates")
  end
end
