# frozen_string_literal: true

RSpec.describe Hobrin::Question::Frame do
  it "changes without anything lost, and back again" do
    marked = Hobrin::Question.ask("In adults, do earplugs, not masks, help sleep?").marked("P", "adults")
                             .marked("I", "earplugs").marked("C", "masks").marked("O", "sleep")
    marks = ->(question) { question.marks.map { |element, phrase| [element.key, phrase.text] } }
    described_class::ALL.each do |frame|
      framed = marked.framed(frame.key)
      expect(marks.call(framed)).to eq(marks.call(marked))
      expect(framed.elements.map(&:key).uniq.size).to eq(framed.elements.size)
      expect(framed.framed("pico")).to eq(marked)
      inquiry = Hobrin::Inquiry.new(question: framed)
      expect(Hobrin::Store::InquiryDocument.load(Hobrin::Store::InquiryDocument.dump(inquiry)))
        .to eq(inquiry)
    end
    expect(marked.framed("spider").element("C").slot.frame).to eq("pico")
    expect(marked.framed("spider").elements.map(&:letter)).to eq(%w[S PI D E R C])
  end

  it "has its letters in its name" do
    described_class::ALL.each do |frame|
      expect(frame.slots.map(&:letter).join.delete("^A-Z").chars.sort).to eq(spelled(frame))
    end
  end

  # SPIDER and ECLIPSE have a letter pair each: PI, SE.
  def spelled(frame) = frame.name.chars.sort
end
