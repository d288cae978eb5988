# frozen_string_literal: true

module Hobrin
  # The changes that a person can make to an inquiry, each a small value: an Inquiry in, a Change
  # out. They know no store and no interface; Services::ApplyEdit is the only road on which they
  # reach an inquiry that is kept.
  #
  #   change = Edits::Word::CrossOut.new(term_id: 4, reason: "too wide").call(inquiry, surroundings)
  #   change.inquiry # => the Inquiry with the term crossed out
  #   change.kind    # => :term_crossed_out
  #   change.facts   # => { letter: "P", label: "ward*", reason: "too wide" }
  #
  # What an edit may look at beside the inquiry comes as its surroundings, any object that answers
  #
  #   evaluator   :: Retrieval::Evaluator over the library as it is now, with its thesaurus and filters
  #   understanding :: Question::Understanding
  #   vocabulary  :: Strategy::Vocabulary; today :: Date
  #   paper(id)   :: the Records::Record with an id; raises GoneError
  #   find(typed) :: Array of Record for a DOI, an id, or words of a title; set(ids) :: RecordSet
  #   neighbours(ids) :: Hash of each id to the ids of the papers that it cites and is cited by;
  #   ids(set) :: of a RecordSet
  #   trail       :: of this inquiry: state_at(number), line(number), history, resolve(tree,
  #   inquiry)
  module Edits
  end
end
