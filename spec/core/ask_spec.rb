# frozen_string_literal: true

require "yaml"

# The elements of the questions were marked by hand before any rule was written; see the file. The
# shares are in docs/asking.md.
RSpec.describe "What Ask proposes" do
  thesaurus = Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings)
  questions = YAML.load_file(File.expand_path("../fixtures/questions.yml", __dir__))
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
      figures.call(some, lambda { |text|
        proposed(text, thesaurus)
      })
    end
    page = File.read(File.expand_path("../../docs/asking.md", __dir__))
    shares.each do |set, (marked, right, other, kinds)|
      row = [set, questions[set].size, marked, right, "#{(100.0 * right / marked).round} %", other,
             "#{kinds} of #{questions[set].size}"]
      expect(page).to include("| #{row.join(" | ")} |")
      expect(right).to be >= 0.9 * marked
    end
    expect(questions.values.sum(&:size)).to be >= 40
    expect(questions.values.flatten.map { |one| one["kind"] }.uniq).to match_array(Hobrin::Question::Kind::ALL.map(&:key))
  end

  it "proposes only words of the sentence, apart from each other, for any sentence" do
    random = Random.new(40)
    words = questions.values.flatten.flat_map do |one|
      one["text"].split
    end + ["İzmir", "👵🏽", "délire,", "((", "of of"]
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

  # words of a sentence => the limit it states
  { "older people after 2 falls" => [[:age, "aged", "80 and over"]], "women and men" => [[:sex, "female", "male"]],
    "children and adolescents" => [[:age, "preschool", "child", "adolescent"]],
    "preterm babies" => [[:age, "newborn"]],
    "systematic reviews in the last five years" => [[:type, "systematic review"],
                                                    [:dates, "2021", "2026"]],
    "papers in German from 2010 to 2015" => [[:language, "deu"], [:dates, "2010", "2015"]],
    "since 2019" => [[:dates, "2019", "2026"]], "between 2020 and 2010" => [], "sleep in hospital" => [],
    "randomised controlled trials published in Klingonese" => [[:type, "randomized controlled trial"]] }
    .each do |text, limits|
    it "reads limits out of “#{text}”" do
      stated = Hobrin::Narrowing::MentionedLimits.new(Date.new(2026, 11,
                                                               23)).call("What helps #{text}?")
      expect(stated.map do |one|
        [one.leaf.name,
         *(one.leaf.respond_to?(:values) ? one.leaf.values : [one.leaf.from, one.leaf.to])]
      end).to eq(limits)
    end
  end

  # words to be searched => those of no use
  { "effect" => ["effect"], "best care" => %w[best care], "delirium" => [], "care" => ["care"], "intensive care" => [],
    "improve sleep" => ["improve"], "patients with delirium" => [],
    "patients" => ["patients"], "effect of music" => ["effect"] }
    .each do |text, poor|
    it "flags in “#{text}” #{poor}" do
      expect(Hobrin::Question::NoUse.call(text, thesaurus).map(&:words)).to eq(poor)
    end
  end

  it "flags a sentence where a name is wanted" do
    remarks = Hobrin::Question::NoUse.call("what can a nurse do at night so that adults sleep",
                                           thesaurus)
    expect(remarks.map(&:reason)).to contain_exactly(/11 words in a row/)
  end

  it "keeps usual care for reading, offers to search another treatment, and leaves bare age to a limit" do
    advise = lambda do |key, words|
      question = Hobrin::Question.ask("Is it #{words}?").marked(key, words)
      Hobrin::Question::Practice.new(question, thesaurus).call(question.element(key))&.use
    end
    expect(["usual care", "no earplugs", "placebo", "standard practice"].map do |words|
      advise.call("C", words)
    end).to all(eq(:reading))
    expect(advise.call("C", "melatonin")).to eq(:searched)
    expect(["older adults", "women", "children", "adults with delirium"].map do |words|
      advise.call("P", words)
    end).to eq([:limit, :limit, :limit, nil])
  end

  it "asks for what is missing, in plain words, but not for what this kind can do without" do
    question = Hobrin::Question.ask("Do earplugs help at night?").marked("I", "earplugs")
    asked = ->(kind) { Hobrin::Question::Gaps.call(question.with(kind:)).map(&:ask) }
    expect(asked.call("treatment")).to include("Who is it about?", /Against what/, "To what end?",
                                               /Where/, "By when?")
    expect(asked.call("experience")).not_to include(/Against what/, "To what end?")
  end

  describe "a frame" do
    it "changes without anything lost, and back again" do
      marked = Hobrin::Question.ask("In adults, do earplugs, not masks, help sleep?").marked("P", "adults")
                               .marked("I", "earplugs").marked("C", "masks").marked("O", "sleep")
      marks = ->(question) { question.marks.map { |element, phrase| [element.key, phrase.text] } }
      Hobrin::Question::Frame::ALL.each do |frame|
        framed = marked.framed(frame.key)
        expect(marks.call(framed)).to eq(marks.call(marked))
        expect(framed.elements.map(&:key).uniq.size).to eq(framed.elements.size)
        expect(framed.framed("pico")).to eq(marked)
        inquiry = Hobrin::Inquiry.new(question: framed)
        expect(Hobrin::Store::InquiryDocument.load(Hobrin::Store::InquiryDocument.dump(inquiry))).to eq(inquiry)
      end
      expect(marked.framed("spider").element("C").slot.frame).to eq("pico")
      expect(marked.framed("spider").elements.map(&:letter)).to eq(%w[S PI D E R C])
    end

    it "has its letters in its name" do
      Hobrin::Question::Frame::ALL.each { |frame| expect(frame.slots.map(&:letter).join.delete("^A-Z").chars.sort).to eq(spelled(frame)) }
    end

    # SPIDER and ECLIPSE have a letter pair each: PI, SE.
    def spelled(frame) = frame.name.chars.sort
  end

  it "moves an edge by whole words, keeps one word, and pushes other marks aside" do
    question = Hobrin::Question.ask("In ill adults at night, help?").marked("P", "adults").marked(
      "O", "night"
    )
    wider = question.with_edge("P", 7, :start, -1).with_edge("P", 3, :end, 1).with_edge("P", 3,
                                                                                        :end, 1)
    expect([wider.element("P").name, wider.element("O").name]).to eq(["ill adults at night", ""])
    expect(question.with_edge("P", 7, :start, 1)).to eq(question)
    expect(question.with_edge("P", 99, :start, 1)).to eq(question)
  end
end

# Going back and forth, against a plain editor with two stacks (common practice, no source).
RSpec.describe Hobrin::Trail::History do
  it "goes back and forth as two stacks would, whatever is done" do
    random = Random.new(7)
    200.times do
      lines, past, future = [[1, nil]], [1], []
      random.rand(1..30).times do
        history = described_class.new(lines)
        expect([history.before, history.redo]).to eq([past[-2], future.last])
        number = lines.size + 1
        case random.rand(3)
        when 0 then (lines << [number, nil]
                     past << number
                     future = [])
        when 1 then (lines << [number, history.before]
                     future << past.pop) if history.undo
        else (lines << [number, history.redo]
              past << future.pop) if history.redo
        end
      end
    end
  end
end
