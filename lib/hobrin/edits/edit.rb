# frozen_string_literal: true

module Hobrin
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
  end
end
