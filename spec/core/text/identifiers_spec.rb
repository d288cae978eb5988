# frozen_string_literal: true

# The texts are ours; the second half was looked at once, when the patterns were done with the first.
RSpec.describe Hobrin::Text::Identifiers do
  today = Date.new(2026, 11, 30)
  texts = YAML.load_file(File.expand_path("../../fixtures/identifiers.yml", __dir__), symbolize_names: true)

  def kinds(text) = described_class.in(text, today: Date.new(2026, 11, 30)).map { |one| one.kind.to_s }.uniq

  { worked_on: [48, 0], held_out: [48, 1] }.each do |half, (found, alarms)|
    it "finds what tells who a patient is in the half that was #{half}" do
      with, without = texts.fetch(half).partition { |one| one[:kinds].any? }
      expect([with.size, without.size]).to eq([50, 50])
      expect(with.count { |one| (one[:kinds] - kinds(one[:text])).empty? }).to be >= found
      expect(without.count { |one| kinds(one[:text]).any? }).to be <= alarms
    end
  end

  it "raises a false alarm in fewer than one in a hundred questions" do
    questions = YAML.load_file(File.expand_path("../../fixtures/questions.yml", __dir__)).values.flatten
    asked = questions.map { |one| one.is_a?(Hash) ? one["text"].to_s : one.to_s }
    expect(asked.count { |text| kinds(text).any? }).to be <= asked.size / 100
  end

  it "takes a number of ten digits for one of a service by its check digit alone" do
    expect(kinds("943 476 5919")).to eq(["number"])
    (0..8).each { |last| expect(kinds("943 476 591#{last}")).to eq([]) }
  end

  it "takes a whole date for one of birth when it is more than a year ago" do
    expect([kinds("12/03/1947"), kinds("01.01.2024"), kinds("01.01.2025"), kinds("30/11/2026")]).to eq([["birth"], ["birth"], [], []])
  end

  it "leaves a text without them that can be read, and finds nothing in it again" do
    texts.values.flatten.select { |one| one[:kinds].any? }.each do |one|
      left = described_class.without(one[:text], today:)
      expect([one[:text], described_class.in(left, today:)]).to eq([one[:text], []])
    end
    text = "Mrs Holloway (born 4 May 1938), in bed 12, cannot sleep."
    expect(described_class.without(text, today:)).to eq("the patient, cannot sleep.")
  end
end
