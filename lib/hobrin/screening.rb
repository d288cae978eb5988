# frozen_string_literal: true

module Hobrin
  # Reading titles and abstracts, and deciding for each paper.
  module Screening
  end
end
