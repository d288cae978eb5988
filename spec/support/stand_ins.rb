# frozen_string_literal: true

# What an edit may look at beside the inquiry, made of plain values: papers in a hash.
class HandSurroundings
  attr_reader :evaluator, :vocabulary, :trail

  def initialize(evaluator:, vocabulary:, papers:, trail:)
    @evaluator = evaluator
    @vocabulary = vocabulary
    @papers = papers.to_h { |record| [record.id, record] }
    @trail = trail
  end

  def independent = []
  def today = Date.new(2026, 11, 23)
  def paper(id) = @papers[id] || raise(Hobrin::GoneError, "paper")

  def find(typed)
    @papers.values.select { |record| record.title.downcase.include?(typed.downcase) }
  end
end

# A trail that was kept by hand.
class HandTrail
  LINE = { at: "", who: "", step: :word, kind: :term_sent, count_before: 0, count_after: 0,
           facts: { label: "a", letter: "P" }, library_version: "", note: "", brings_back: nil }.freeze

  def initialize(states) = @states = states
  def size = @states.size
  def state_at(number) = @states[number - 1] || raise(Hobrin::GoneError, "line")
  def history = Hobrin::Trail::History.new(@states.each_index.map { |place| [place + 1, nil] })
  def resolve(tree, _inquiry) = tree
  def line(number) = Hobrin::Trail::Line.new(number:, **LINE)
end

# The index of a library without papers: every set is empty.
class NoIndex
  def values(_name) = ["A Journal"]
  def sets(_name) = {}
  def occurs?(_word) = false
  def not_indexed = Hobrin::Records::RecordSet.empty
  def method_missing(*) = not_indexed
  def respond_to_missing?(*) = true
end
