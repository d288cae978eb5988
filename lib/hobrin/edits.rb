# frozen_string_literal: true

module Hobrin
  # The changes that a person can make to an inquiry, each a small value: an Inquiry in, a Change
  # out. They know no store and no interface; Services::ApplyEdit is the only road on which they
  # reach an inquiry that is kept.
  #
  #   change = Edits::Terms::CrossOut.new(term_id: 4, reason: "too wide").call(inquiry, surroundings)
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
    # What all edits have in common. A subclass declares its attributes, says its STEP, and writes
    # `call`; one that changes something which is there already says what that is in `about`.
    class Edit < Value
      # Where the person is: one of Inquiry::STEPS, or nil to stay at the step of the inquiry.
      STEP = nil

      # What an edit is about that only adds.
      NOTHING = :nothing

      def step = self.class::STEP

      # The part of an inquiry that this is about. When another window changed that part since it
      # was seen, the edit is refused. NOTHING for an edit that only adds, which never stands in
      # another one's way.
      def about(_inquiry) = NOTHING

      # inquiry :: Inquiry; surroundings :: see Edits. Gives a Change.
      # Raises InputError for what the person can mend, GoneError for what is there no more.
      def call(_inquiry, _surroundings) = raise(NotImplementedError)
    end

    # What an edit made of an inquiry.
    #
    # inquiry :: the Inquiry after it; the same one when nothing was to be changed
    # kind    :: what was done, one of those that Wording knows
    # facts   :: Hash of what is to be told of it: texts, numbers, true and false, expressions, and
    #   lists and hashes of these. The trail keeps them; Wording says them.
    # step    :: where the change belongs, nil for the step of the edit
    # brings_back :: the number of the trail line whose state this brings back, nil for a change of
    #   its own; see Trail::History
    class Change < Value
      attributes :inquiry, :kind, :facts, :step, :brings_back

      def initialize(inquiry:, kind:, facts: {}, step: nil, brings_back: nil)
        @inquiry = inquiry
        @kind = kind
        @facts = facts.freeze
        @step = step
        @brings_back = brings_back
        freeze
      end
    end
  end
end
