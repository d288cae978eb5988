# frozen_string_literal: true

RSpec.describe Hobrin::Question::Marks::Edges do
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
