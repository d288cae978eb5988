# frozen_string_literal: true

# Documents as an earlier Hobrin wrote them are kept in spec/fixtures/documents, a folder for each format;
# they are never written anew. What they must give is said here, so that a rename in the core cannot change
# what was stored.
RSpec.describe Hobrin::Store::InquiryDocument do
  folder = File.expand_path("../fixtures/documents", __dir__)

  def stored(path) = described_class.load(File.read(path))

  Dir.glob("#{folder}/*/inquiry.json").each do |path|
    describe "of format #{File.basename(File.dirname(path))}" do
      let(:inquiry) { stored(path) }

      it "loads the question with its marks, and what was left" do
        question = inquiry.question
        expect(question.marks.map { |element, phrase| [element.key, phrase.text] })
          .to eq([%w[P adults], %w[I earplugs]])
        expect([question.kind, question.frame, question.declined])
          .to eq(["treatment", "pico", [%w[O delirium]]])
      end

      it "loads every sort of term, in use, crossed out and taken away" do
        terms = inquiry.block("I").terms
        expect(terms.map { |term| Hobrin::Strategy::Cql.write(term.leaf) }).to eq(
          ["(dc.title adj \"ear plug*\" or dc.description adj \"ear plug*\")",
           "(hobrin.text adj \"eye mask*\" prox/unit=word/distance<=4/ordered hobrin.text = \"sleep\")",
           "dc.subject =/hobrin.narrower/hobrin.main/hobrin.aspect=\"nursing\" \"Delirium\"",
           "dc.creator = \"zorvane, A\"", "hobrin.journal = \"A Journal\"", "hobrin.text = " \
                                                                            "\"ward*\""]
        )
        expect(terms.map(&:excluded?)).to eq([false, false, false, true, false, false])
        expect(terms.last.crossed_out).to eq("too wide")
        expect(inquiry.block("P").switched.operator).to eq(:not)
      end

      it "loads limits in their order, a filter of one's own with its terms, and named lines" do
        expect(inquiry.limits.map { |limit| [limit.slot, limit.on] })
          .to eq([[:age, true], [:dates, false], [:added, true], [:filter, true], [:journal, true]])
        expect(Hobrin::Strategy::Cql.write(inquiry.limit(:filter).leaf)).to eq(
          '(dc.type = "cohort study" or hobrin.text = "risk*" or cql.allRecords = 1 ' \
          'or dc.identifier = "10.5555/x")'
        )
        expect(inquiry.lines.map { |line| [line.name, line.rule] })
          .to eq([["mine", "(3 and (4 or broad)) not 9"]])
      end

      it "loads what was decided, weighed and written" do
        expect(inquiry.decisions.map { |one| [one.record_id, one.verdict, one.reason, one.note] })
          .to eq([["10.5555/hobrin.a", :keep, nil, "good"],
                  ["10.5555/hobrin.c", :drop, "Other people", ""]])
        paper = inquiry.papers.first
        expect([paper.answers.transform_values(&:says), paper.graded]).to eq([{ search: :yes }, 1])
        expect(paper.result(1).table.to_h.values).to eq([12, 70, 20, 71])
        expect(inquiry.weighing.outcome(paper.result(1).outcome_id).name).to eq("delirium")
        expect([inquiry.conclusion, inquiry.plan.what]).to eq(["Offer them.", "Earplugs"])
        expect([inquiry.aim.to_h.values, inquiry.next_term]).to eq([[10, 30], 7])
      end

      it "writes it again in the present format without losing anything" do
        expect(described_class.load(described_class.dump(inquiry))).to eq(inquiry)
      end
    end
  end

  it "holds one of the present format among them" do
    expect(File).to exist("#{folder}/#{Hobrin::Store::Upgrades::FORMAT}/inquiry.json")
  end

  it "refuses in one line what a newer Hobrin wrote" do
    data = JSON.parse(File.read("#{folder}/1/inquiry.json")).merge("format" => 99)
    expect { described_class.load(JSON.generate(data)) }
      .to raise_error(Hobrin::StateError,
                      /\AThis inquiry was written by a newer Hobrin \(format 99.*\z/)
  end
end

RSpec.describe Hobrin::Store::Upgrades do
  it "leads a document over every step from its own format to the present one" do
    steps = { 1 => ->(data) { { aim: data[:goal] } }, 2 => ->(data) { { aim: data[:aim] * 2 } } }
    led = ->(data) { described_class.call(data, steps:, format: 3) }
    expect(led[{ format: 1, goal: 4 }]).to eq(format: 3, aim: 8)
    expect(led[{ format: 2, aim: 4 }]).to eq(format: 3, aim: 8)
    expect(led[{ format: 3, aim: 4 }]).to eq(format: 3, aim: 4)
  end

  it "has a step for every format before the present one" do
    expect(described_class::STEPS.keys).to eq((1...described_class::FORMAT).to_a)
  end
end

RSpec.describe Hobrin::Store::ExpressionDocument::Facts do
  it "keeps the facts of a trail line as values, expressions among them" do
    text = File.read(File.expand_path("../fixtures/documents/1/facts.json", __dir__))
    facts = described_class.load(text)
    expect(facts.values_at(:letter, :by, :on, :nothing)).to eq(["I", -1, true, nil])
    expect(facts[:leaves].map(&:class)).to eq([Hobrin::Strategy::TextTerm, Hobrin::Strategy::Proximity,
                                               Hobrin::Strategy::Heading, Hobrin::Strategy::Author,
                                               Hobrin::Strategy::Journal, Hobrin::Strategy::TextTerm])
    expect(facts[:moves].first[:facts][:leaf].from_year).to eq(2016)
    expect(described_class.load(described_class.dump(facts))).to eq(facts)
  end
end
