# frozen_string_literal: true

RSpec.describe Hobrin::Edits::Ask::WriteQuestion, :sample do
  it "writes typed phrases beside marked ones and reads out what changed" do
    draft = Hobrin::Edits::Ask::Draft.new(
      situation: inquiry.question.situation, text: inquiry.question.text.sub("In adults", "In frail adults"),
      kind: "harm", uses: { "O" => :reading },
      typed: { "P" => "step-down unit; adults in intensive care; step-down unit " }
    )
    edit(Hobrin::Edits::Ask::WriteQuestion.new(draft:))
    question = inquiry.question
    phrases = question.element("P").phrases.map { |phrase| [phrase.text, phrase.from] }
    expect(phrases).to eq([["adults in intensive care", 9], ["step-down unit", nil]])
    expect(question.searched.map(&:key)).to eq(%w[P I])
    expect(last_line.change)
      .to eq("Reworded the question; question type: Harm or cause; P: adults in intensive care or step-down unit; " \
             "O: for screening only")
  end
end
