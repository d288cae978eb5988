# frozen_string_literal: true

RSpec.describe Hobrin::Text::Variants do
  # a word or phrase => other ways that must be among those tried, whatever else is
  { "oedema" => %w[edema], "pediatric" => %w[paediatric], "anaesthetised" => %w[anesthetized],
    "behavior" => %w[behaviour],
    "centre" => %w[center], "counseling" => %w[counselling], "haemorrhage" => %w[hemorrhage],
    "mobilization" => %w[mobilisation],
    "diarrhea" => %w[diarrhoea], "randomised" => %w[randomized], "tumor" => %w[tumour], "esophageal" => %w[oesophageal],
    "catheterisation" => %w[catheterization], "leukaemia" => %w[leukemia], "orthopaedic" => %w[orthopedic],
    "child" => %w[children], "diagnoses" => %w[diagnosis], "pressure ulcer" => ["pressure ulcers"],
    "ear plug" => %w[earplug] + ["ear plugs"], "earplug" => ["ear plug"], "eye mask" => %w[eyemask] }
    .each do |text, others|
    it "tries #{others.join(", ")} beside #{text}, and the other way round" do
      expect(described_class.new(text).call.map(&:text)).to include(*others)
      others.first(1).each { |other| expect(described_class.new(other).call.map(&:text)).to include(text) }
    end
  end
end
