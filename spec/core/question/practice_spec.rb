# frozen_string_literal: true

# What Ask says of the words of an element, and of what is missing.
RSpec.describe Hobrin::Question::Practice do
  thesaurus = Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings)

  # words to be searched => those of no use
  { "effect" => ["effect"], "best care" => %w[best care], "delirium" => [], "care" => ["care"], "intensive care" => [],
    "improve sleep" => ["improve"], "patients with delirium" => [],
    "patients" => ["patients"], "effect of music" => ["effect"] }
    .each do |text, poor|
    it "flags in “#{text}” #{poor}" do
      expect(Hobrin::Question::SearchNames::NoUse.call(text, thesaurus).map(&:words)).to eq(poor)
    end
  end

  it "flags a sentence where a name is wanted" do
    remarks = Hobrin::Question::SearchNames::NoUse.call("what can a nurse do at night so that adults sleep",
                                                        thesaurus)
    expect(remarks.map(&:reason)).to contain_exactly(/11 words in a row/)
  end

  it "keeps usual care for reading, offers to search another treatment, and leaves bare age to a limit" do
    advise = lambda do |key, words|
      question = Hobrin::Question.ask("Is it #{words}?").marked(key, words)
      described_class.new(question, thesaurus).call(question.element(key))&.use
    end
    expect(["usual care", "no earplugs", "placebo", "standard practice"].map { |words| advise.call("C", words) })
      .to all(eq(:reading))
    expect(advise.call("C", "melatonin")).to eq(:searched)
    expect(["older adults", "women", "children", "adults with delirium"].map { |words| advise.call("P", words) })
      .to eq([:limit, :limit, :limit, nil])
  end

  it "asks for what is missing, in plain words, but not for what this kind can do without" do
    question = Hobrin::Question.ask("Do earplugs help at night?").marked("I", "earplugs")
    asked = ->(kind) { Hobrin::Question::Gaps.call(question.with(kind:)).map(&:ask) }
    expect(asked.call("treatment")).to include("Who is it about?", /Compared with what/, "What outcome matters?",
                                               /Where/, "By when?")
    expect(asked.call("experience")).not_to include(/Against what/, "What outcome matters?")
  end
end
