# frozen_string_literal: true

# Changes inquiries as a person does, by the only road there is, in short words. Needs `context`.
module Editing
  Ask = Hobrin::Edits::Ask
  Trail = Hobrin::Edits::Trail

  # Gives a Services::ApplyEdit::Outcome.
  def edit(edit, id: 1, seen: nil) = Hobrin::Services::ApplyEdit.new(context, seen:).call(id, edit)

  def add_words(block, *texts, id: 1, seen: nil)
    edit(Hobrin::Edits::Additions::AddParts.words(block, *texts), id:, seen:)
  end

  def add_headings(block, *labels, id: 1) = edit(Hobrin::Edits::Additions::AddParts.headings(block, *labels), id:)
  def put(leaf, id: 1) = edit(Hobrin::Edits::Limits::Apply.new(leaf:), id:)
  def undo(id: 1, seen: nil) = edit(Trail::Undo.new, id:, seen:)
  def do_again(id: 1) = edit(Trail::Redo.new, id:)
  def try(*moves, id: 1) = edit(Hobrin::Edits::WhatIfs::Apply.new(names: moves.map(&:name)), id:)

  def mark(key, words, id: 1)
    question = inquiry(id).question
    draft = Ask::Draft.new(situation: question.situation, text: question.text)
    edit(Ask::WriteQuestion.new(draft:, press: Ask::Mark.new(key:, words:)), id:)
  end

  def decide(record_id, verdict, id: 1, **rest)
    edit(Hobrin::Edits::Screen::Decide.new(decision: Hobrin::Screening::Decision.new(record_id:, verdict:, **rest)),
         id:)
  end

  # An inquiry in which nothing is decided yet.
  def undecided(id)
    inquiry(id).decisions.each { |one| edit(Hobrin::Edits::Screen::WithdrawDecision.new(record_id: one.record_id), id:) }
  end

  def saved(id = 1) = context.inquiries.find(id)
  def inquiry(id = 1) = saved(id).inquiry
  def opened(id = 1) = Hobrin::Services::Inquiries::Read.new(context).call(id)
  def last_line(id = 1) = context.inquiries.trail(id).first
end
