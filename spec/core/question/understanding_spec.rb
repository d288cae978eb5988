# frozen_string_literal: true

require "yaml"
require "zlib"

# How questions are understood. The questions measured on are by other hands (tools/learning/questions);
# a fifth of each file was held out: what is measured here was learnt from the other four.
RSpec.describe Hobrin::Question::Understanding do
  root = Hobrin::Boot::ROOT
  thesaurus = Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings)
  understanding = described_class.new(Hobrin::Boot.learned, thesaurus)
  four_fifths = described_class::Learned.parse(Zlib.gunzip(File.binread(Hobrin::Tools::Learning::Study::FOUR_FIFTHS)))
  figures = YAML.safe_load_file(Hobrin::Tools::Learning::Study::FIGURES)
  page = root.join("docs/asking.md").read

  def pairs(proposals) = proposals.map { |one| [one.key, one.phrase.text] }

  it "proposes on questions held out what docs/asking.md says, which is enough" do
    counts = Hobrin::Tools::Learning::Measure.new(described_class.new(four_fifths,
                                                                      thesaurus)).call(Hobrin::Tools::Learning::Examples.held_out)
    expect(counts.to_h.transform_keys(&:to_s)).to eq(figures["held out"])
    expect(counts.shares).to include(exact: be >= 55, touching: be >= 78, wrong: be <= 20,
                                     kind: be >= 80)
    expect(Hobrin::Tools::Learning::Measure::Page.new(figures,
                                                      described_class.new(four_fifths, thesaurus)).call(page)).to eq(page)
  end

  it "offers a frame for experience where experience is asked for, as docs/asking.md says" do
    learned = described_class.new(four_fifths, thesaurus)
    offered = lambda do |one|
      question = Hobrin::Question.ask(one.text)
      Hobrin::Question::Frame::Fitting.call(question,
                                            kind: learned.kind(one.text).kind.key)&.frame&.key
    end
    asked, others = Hobrin::Tools::Learning::Examples.held_out.partition { |one| one.kind == "experience" }
    counts = [asked, others].map do |some|
      some.count do |one|
        %w[spider spice].include?(offered.call(one))
      end
    end
    expect(page.tr("\n", " ")).to include(
      "Of the #{asked.size} questions of experience held out, #{counts.first} are offered SPIDER or SPICE, " \
      "of the #{others.size} others #{counts.last}."
    )
    timed = Hobrin::Question.ask("Does honey heal burns within two weeks?")
    fitting = ->(question, time) { Hobrin::Question::Frame::Fitting.call(question, kind: "treatment", time:) }
    expect(fitting.call(timed, "within two weeks").frame.key).to eq("picot")
    expect([fitting.call(timed, nil),
            fitting.call(timed.framed("picos"), "within two weeks")]).to eq([nil, nil])
  end

  it "learns the same from the same, and more from more" do
    few = Hobrin::Tools::Learning::Examples.tuned_on.each_slice(40).map(&:first)
    way = Hobrin::Tools::Learning::Study::Training::CHOSEN.dup.tap do |one|
      one.settings = one.settings.dup.tap { |settings| settings.rounds = 2 }
      one.kind_rounds = 8
    end
    learn = -> { Hobrin::Tools::Learning::Study::Training.new(few, thesaurus:, way:).call }
    text = learn.call
    expect(learn.call).to eq(text)
    learned = described_class::Learned.parse(text)
    share = Hobrin::Tools::Learning::Measure.new(described_class.new(learned,
                                                                     thesaurus)).call(few).shares[:touching]
    expect(share).to be > 40
    expect { described_class::Learned.parse(text.sub("[kinds]", "[words]")) }
      .to raise_error(Hobrin::InputError, /make it anew/)
  end

  it "proposes only words of the sentence, apart from each other, for any sentence" do
    random = Random.new(40)
    words = Hobrin::Tools::Learning::Examples.held_out.flat_map { |one| one.text.split } +
            ["İzmir", "👵🏽", "délire,", "((", "of of", "½", "\u00AD", "???", "—"]
    150.times do
      text = Array.new(random.rand(0..40)) { words.sample(random:) }.join(" ")
      found = understanding.proposals(text)
      phrases = found.map(&:phrase)
      expect(phrases.map { |one| text[one.from, one.text.size] }).to eq(phrases.map(&:text))
      expect(phrases.each_cons(2)).to all(satisfy { |one, two| one.to <= two.from })
      expect(found.map(&:sure)).to all(be_between(0, 1))
      understanding.kind(text)
    end
  end

  it "reads two options, a bare phrase and a situation, and leaves years to limits" do
    { "Should I use a foam dressing or an offloading boot for heel ulcers?" =>
        [["I", "foam dressing"], ["C", "offloading boot"]],
      "earplugs for delirium in icu" => [%w[I earplugs], %w[O delirium], %w[P icu]],
      "Our new lady cries all night. Does music calm people with dementia?" =>
        [%w[I music], ["P", "people with dementia"]] }.each do |text, wanted|
      expect(pairs(understanding.proposals(text))).to include(*wanted)
    end
    found = understanding.proposals("Does chewing gum reduce nausea in adults after bowel surgery since 2015?")
    expect(pairs(found).join(" ")).not_to include("2015")
    expect(found.find { |one| one.key == "P" }.headings).to include("Bowel Surgery")
    expect(understanding.proposals("…").size + understanding.proposals("").size).to eq(0)
    expect(understanding.kind("?? 12")).to be_nil
  end

  it "proposes nothing that was answered, or left" do
    question = Hobrin::Question.ask("Do earplugs prevent delirium in adults?")
    expect(understanding.open(question).map(&:key)).to eq(%w[I O P])
    answered = question.marked("I", "earplugs").declining("O", "delirium")
    expect(understanding.open(answered).map(&:key)).to eq(%w[P])
  end

  describe described_class::Lattice do
    states = Hobrin::Question::Understanding::States

    # Every way to label a few words, scored by adding up: nothing of how the lattice goes about it.
    def ways(words, beginnings, transitions)
      states = Hobrin::Question::Understanding::States
      sequences = states::LABELS.each_index.to_a.repeated_permutation(words.size).select do |labels|
        [0, *labels].each_cons(2).all? do |one, two|
          two.zero? || two.odd? || [two, two - 1].include?(one)
        end
      end
      sequences.to_h do |labels|
        last, from = 0, -1
        scores = labels.each_with_index.map do |label, at|
          to = states.after(from, label)
          begun = label.odd? ? beginnings[at][last][(label - 1) / 2] : 0.0
          last = ((label - 1) / 2) + 1 unless label.zero? || label > 8
          score = words[at][label] + begun + transitions[states::NUMBERS.fetch([from, to])]
          from = to
          score
        end
        [labels, scores.sum]
      end
    end

    it "finds the best way and every probability that counting all ways finds" do
      random = Random.new(3)
      number = -> { (random.rand * 4) - 2 }
      [1, 2, 4].each do |size|
        words = Array.new(size) { Array.new(states::LABELS.size) { number.call } }
        beginnings = Array.new(size) { Array.new(5) { Array.new(5) { number.call } } }
        transitions = Array.new(states::STEPS.size) { number.call }
        lattice = described_class.new(words:, beginnings:, transitions:)
        all = ways(words, beginnings, transitions)
        expect(lattice.best).to eq(all.max_by(&:last).first)
        total = all.values.sum { |score| Math.exp(score) }
        share = lambda { |at, label|
          all.sum do |labels, score|
            labels[at] == label ? Math.exp(score) / total : 0.0
          end
        }
        lattice.probabilities.each_with_index do |row, at|
          row.each_with_index { |one, label| expect(one).to be_within(1e-9).of(share[at, label]) }
        end
        steps, begun = lattice.expected
        expect(steps.sum).to be_within(1e-9).of(size)
        expect(begun.map(&:sum)).to match(Array.new(size) do |at|
          be_within(1e-9).of([1, 3, 5, 7, 9].sum { |label| share[at, label] })
        end)
      end
    end
  end
end
