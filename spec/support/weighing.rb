# frozen_string_literal: true

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
    answers = concern ? { followed: A::Answer.new(says: { low: :yes, some: :mostly, high: :no }.fetch(concern)) } : {}
    paper = A::Paper.new(record_id: id, design:, answers:, applies: near ? { people: near } : {}, reported: [reported])
    [a_record(id:, title: id, **record), paper, reported]
  end

  def trial(id, cells, **rest) = an_entry(id, a_result(*cells), **rest)
  def together(outcome, *entries, same: {}) = A::Together.new(outcome, entries, same:).call

  # Trials of one true ratio: as many as asked for, of the same size.
  def trials(count, cells, **rest) = Array.new(count) { |place| trial("t#{place}", cells, **rest) }
end
