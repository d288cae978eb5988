# frozen_string_literal: true

module Hobrin
  module Trail
    # One line of the trail.
    #
    # number :: from 1, and so the version of the inquiry after it; at :: ISO 8601 text; who :: name
    #   of the desk
    # step   :: one of Inquiry::STEPS; kind, facts :: what was done, see Edits::Change; note :: "" for none
    # count_before, count_after :: papers left; library_version :: of the library they were counted in
    # brings_back :: the number of the line whose state it brought back, or nil
    class Line < Value
      attributes :number, :at, :who, :step, :kind, :facts, :count_before, :count_after, :library_version, :note,
                 :brings_back

      # What was done, in words.
      def change = Edits::Wording.of(kind, facts)
    end
  end
end
