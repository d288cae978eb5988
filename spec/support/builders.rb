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
    filter = Hobrin::Strategy::Filters::Filter.new(kind: "treatment", width:)
    nothing = { sensitivity: nil, specificity: nil, source: "", searched: "", here: "",
                changed: "", note: "" }
    Hobrin::Strategy::Filters::PublishedFilter.new(filter:, tree:, **nothing, **facts)
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

# Outcomes, results and papers in few words.
module WeighingHelp
  A = Hobrin::Appraisal

  def an_outcome(**rest) = A::Outcome.new(id: 1, name: "Delirium", **rest)

  # numbers :: in the order of the form's fields
  def a_result(*numbers, form: "counts", number: 1, **rest)
    typed = A::Reported::Form.fetch(form).names.zip(numbers.map(&:to_s)).to_h
    A::Reported.new(number:, outcome_id: 1, form:, typed:, **rest)
  end

  # An entry of Together: a record, its paper and the result.
  def an_entry(id, reported, design: "randomized_trial", concern: nil, near: nil, **record)
    answers = concern ? { followed: A::Paper::Answer.new(says: { low: :yes, some: :mostly, high: :no }.fetch(concern)) } : {}
    paper = A::Paper.new(record_id: id, design:, answers:, applies: near ? { people: near } : {},
                         reported: [reported])
    [a_record(id:, title: id, **record), paper, reported]
  end

  def trial(id, cells, **rest) = an_entry(id, a_result(*cells), **rest)
  def together(outcome, *entries, same: {}) = A::Synthesis.new(outcome, entries, same:).call

  # Trials of one true ratio: as many as asked for, of the same size.
  def trials(count, cells, **rest) = Array.new(count) { |place| trial("t#{place}", cells, **rest) }
end
