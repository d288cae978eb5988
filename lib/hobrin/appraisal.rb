# frozen_string_literal: true

module Hobrin
  # Weighing a kept paper: its design, its level of evidence, a few questions that fit the design,
  # and what its numbers say.
  module Appraisal
  end
end
