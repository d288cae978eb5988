# frozen_string_literal: true

module Hobrin
  # Something cannot be written just now, through no fault of the person: the disk is full, another
  # program holds the file. What was typed is still in the page.
  class UnavailableError < Error; end
end
