# frozen_string_literal: true

# Values in plain words, with only what an example is about.
module Builders
  def a_record(id: "10.5555/one", title: "Earplugs at night", **rest)
    Hobrin::Records::Record.new(id:, title:, **rest)
  end

  def words(text, **rest) = Hobrin::Strategy::TextTerm.read(text, **rest)

  def a_heading(label, **rest) = Hobrin::Thesaurus::Heading.new(label:, **rest)

  # A study filter for treatment.
  def a_filter(width, tree, **facts)
    filter = Hobrin::Strategy::Filter.new(kind: "treatment", width:)
    nothing = { sensitivity: nil, specificity: nil, source: "", searched: "", here: "",
                changed: "", note: "" }
    Hobrin::Strategy::PublishedFilter.new(filter:, tree:, **nothing, **facts)
  end

  def a_set(*numbers) = Hobrin::Records::RecordSet.of(numbers)

  def a_table(events, total, comparison_events, comparison_total)
    Hobrin::Statistics::TwoByTwo.new(events:, total:, comparison_events:, comparison_total:)
  end

  # A home in a folder of its own, gone afterwards.
  def with_home
    Dir.mktmpdir { |folder| yield Hobrin::Boot.context(home: Pathname(folder), who: "a test", clock: FixedClock) }
  end

  # Every test lives on the same day.
  module FixedClock
    def self.now = Time.utc(2026, 11, 23, 9, 0, 0)
  end
end
