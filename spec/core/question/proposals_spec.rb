# frozen_string_literal: true

require "yaml"

# The elements of the questions were marked by hand before any rule was written; see the file. The
# shares are in docs/asking.md.
RSpec.describe "What Ask proposes" do
  thesaurus = Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings)
  questions = YAML.load_file(File.expand_path("../../fixtures/questions.yml", __dir__))
  keys = Hobrin::Question::Proposals::Rules::KEYS

  def proposed(text, thesaurus)
    Hobrin::Question::Proposals.new(thesaurus).call(text).map { |one| [one.key, one.phrase.text] }
  end

  # [marked by hand, proposed exactly so, proposed but not marked so, kinds guessed right]
  figures = lambda do |some, propose|
    some.each_with_object([0, 0, 0, 0]) do |question, sums|
      wanted = keys.flat_map { |key| question.fetch(key, []).map { |phrase| [key, phrase] } }
      found = propose.call(question["text"])
      guess = Hobrin::Question::KindCues.call(question["text"])&.kind&.key
      [wanted.size, (wanted & found).size, (found - wanted).size, guess == question["kind"] ? 1 : 0]
        .each_with_index { |number, place| sums[place] += number }
    end
  end

  it "marks what a person marked, in the questions that the rules were made with and in those they were not" do
    shares = questions.transform_values do |some|
      figures.call(some, ->(text) { proposed(text, thesaurus) })
    end
    page = File.read(File.expand_path("../../../docs/asking.md", __dir__))
    shares.each do |set, (marked, right, other, kinds)|
      row = [set, questions[set].size, marked, right, "#{(100.0 * right / marked).round} %", other,
             "#{kinds} of #{questions[set].size}"]
      expect(page).to include("| #{row.join(" | ")} |")
      expect(right).to be >= 0.9 * marked
    end
    expect(questions.values.sum(&:size)).to be >= 40
    expect(questions.values.flatten.map { |one| one["kind"] }.uniq)
      .to match_array(Hobrin::Question::Kind::ALL.map(&:key))
  end

  it "proposes only words of the sentence, apart from each other, for any sentence" do
    random = Random.new(40)
    words = questions.values.flatten.flat_map { |one| one["text"].split } + ["İzmir", "👵🏽", "délire,", "((", "of of"]
    200.times do
      text = Array.new(random.rand(1..25)) { words.sample(random:) }.join(" ")
      phrases = Hobrin::Question::Proposals.new(thesaurus).call(text).map(&:phrase)
      expect(phrases.map { |one| text[one.from, one.text.size] }).to eq(phrases.map(&:text))
      expect(phrases.each_cons(2)).to all(satisfy { |one, two| one.to <= two.from })
    end
  end

  it "knows a name of the thesaurus that no cue word stands by, and says by which heading" do
    one = Hobrin::Question::Proposals.new(thesaurus).call("Acute confusion, quiet time?").first
    expect([one.key, one.phrase.text, one.headings,
            one.cue]).to eq(["I", "Acute confusion", ["Delirium"], nil])
  end

  it "proposes nothing that was answered, or left" do
    question = Hobrin::Question.ask("Do earplugs prevent delirium in adults?")
    proposals = Hobrin::Question::Proposals.new(thesaurus)
    expect(proposals.open(question).map(&:key)).to eq(%w[I O P])
    answered = question.marked("I", "earplugs").declining("O", "delirium")
    expect(proposals.open(answered).map(&:key)).to eq(%w[P])
  end
end
