# frozen_string_literal: true

require "yaml"

RSpec.describe Hobrin::CloseReading::Offers do
  sentences = YAML.safe_load_file(File.expand_path("../../fixtures/offers.yml", __dir__))
  arms = Hobrin::CloseReading::Arms.new(intervention: "earplugs", comparison: "usual care")

  def offer(text, form, arms)
    described_class.all_in(Hobrin::CloseReading::Passage.new(text), [form], arms:).first
  end

  # What is offered of a sentence: its numbers, "ask", or nil for nothing.
  def offered(text, form, arms)
    one = offer(text, form, arms) or return
    return "ask" unless one.settled
    return one.typed.transform_keys(&:to_s) if form == "estimate"

    one.typed.values_at(*Hobrin::Appraisal::Reported::Form.fetch(form).names).map { |number| number.include?(".") ? number.to_f : number.to_i }
  end

  # Ours; see the head of the file for what is held out.
  it "reads the numbers of sentences as abstracts print them, each group as the one it is" do
    wrong = sentences.each_with_index.filter_map do |row, place|
      found = offered(row["text"], row["form"], arms)
      [place.odd? ? "held out" : "looked at", row["text"], row["gives"], found] if found != row["gives"]
    end
    expect(sentences.size).to be >= 40
    expect(wrong).to eq([])
  end
end
