# frozen_string_literal: true

RSpec.describe Hobrin::Question do
  let(:text) { "In adults, does sleep help sleep in adults at night?" }

  it "marks the place that was selected when the same words stand twice" do
    question = described_class.ask(text).marked("P", "adults", near: 36).marked("O", "sleep",
                                                                                near: 26)
    expect(question.marks.map { |element, phrase| [element.key, phrase.from] })
      .to eq([["O", 27], ["P", 36]])
  end

  it "lets a new mark take the place of what it overlaps" do
    question = described_class.ask(text).marked("P", "adults").marked("I", "adults, does")
    expect(question.element("P")).to be_blank
    expect(question.element("I").name).to eq("adults, does")
  end

  it "asks for a selection when nothing, or something else, is selected" do
    ["", "  ", "children"].each do |selected|
      expect do
        described_class.ask(text).marked("P",
                                         selected)
      end.to raise_error(Hobrin::InputError, /Select some words/)
    end
  end

  it "keeps every mark on its words through any edit, or drops it with them" do
    random = Random.new(2011)
    words = %w[adults sleep night earplugs délirium the of]
    300.times do
      sentence = Array.new(random.rand(3..9)) { words.sample(random:) }.join(" ")
      wanted = sentence.split.sample(random:)
      marked = described_class.ask(sentence).marked("P", wanted, near: random.rand(sentence.size))
      from, length = random.rand(sentence.size), random.rand(0..6)
      edited = sentence.dup.tap { |copy| copy[from, length] = ["", " new ", "x"].sample(random:) }
      next if edited.strip.empty?

      before = marked.marks.first.last
      marks = marked.reworded(edited).marks
      expect(marks.map { |_, phrase| edited[phrase.from, phrase.text.size] })
        .to eq(marks.map { |_, phrase| phrase.text })
      if before.to <= from || before.from >= from + length
        expect(marks.map { |_, phrase| phrase.text })
          .to eq([wanted])
      end
      within = before.from < from && from + length < before.to
      kept = edited[before.from...(before.to + edited.size - sentence.size)]
      expect(marks.size).to eq(1) if within && kept == kept.strip
    end
  end

  it "refuses the empty and the enormous, and makes one paragraph of the rest" do
    expect { described_class.ask(" \n ") }.to raise_error(Hobrin::InputError, /Write the question/)
    expect { described_class.ask("x" * 501) }.to raise_error(Hobrin::InputError, /501 characters/)
    expect(described_class.ask("one\r\ntwo\u0007three").text).to eq("one two three")
  end

  it "searches only what is marked and meant to be searched" do
    question = described_class.ask(text).marked("P", "adults").marked("C", "night")
    expect(question.searched.map(&:key)).to eq(["P"])
  end
end
