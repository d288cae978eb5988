# frozen_string_literal: true

RSpec.describe Hobrin::CloseReading::MadeAs::UnitOfAllocation do
  include Builders

  # Ours.
  sentences = {
    "A stepped-wedge cluster randomised trial in eleven units." => :cluster, "Eleven units were randomised." => :cluster,
    "Twelve care homes were randomly allocated to either." => :cluster, "Patients were randomised by ward." => :cluster,
    "A cluster-randomized trial." => :cluster, "A randomised crossover trial in volunteers." => :crossover,
    "In a cross-over design each slept with both." => :crossover,
    "Adults in one of four intensive care units were randomly assigned to earplugs." => nil,
    "Children in a children's ward were randomly assigned, by a computer." => nil,
    "Patients from six hospitals were randomised." => nil, "Six patients crossed over to the other group." => nil,
    "Symptoms came in clusters." => nil, "Crossover from placebo was allowed." => nil
  }

  it "sees whole clusters that were randomised, and people who had both in turn" do
    found = sentences.keys.to_h { |text| [text, described_class.of(a_record(id: "x", title: "A trial", abstract: "Methods: #{text}"))] }
    expect(found).to eq(sentences)
  end
end
