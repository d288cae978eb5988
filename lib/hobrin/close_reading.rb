# frozen_string_literal: true

module Hobrin
  # Reading closely what a paper says of itself: its sentences, how it was made, and whether its
  # numbers fit together. Everything works on the text alone, an abstract or a full text.
  module CloseReading
  end
end
