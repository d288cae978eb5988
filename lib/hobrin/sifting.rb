# frozen_string_literal: true

module Hobrin
  # Reading titles and abstracts, and deciding for each paper.
  module Sifting
    # Why a paper is dropped, from the elements of the question outward. The key 1 to 8 picks one.
    REASONS = ["Other people", "Other intervention", "Other comparison", "Other outcome", "No study",
               "A double", "Cannot be had in full", "Another reason"].freeze
  end
end
