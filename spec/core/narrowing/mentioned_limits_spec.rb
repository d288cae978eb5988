# frozen_string_literal: true

RSpec.describe Hobrin::Narrowing::MentionedLimits do
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
      stated = described_class.new(Date.new(2026, 11,
                                            23)).call("What helps #{text}?")
      expect(stated.map do |one|
        [one.leaf.name,
         *(one.leaf.respond_to?(:values) ? one.leaf.values : [one.leaf.from, one.leaf.to])]
      end).to eq(limits)
    end
  end
end
