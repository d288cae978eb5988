# frozen_string_literal: true

module Hobrin
  module Records
    # The trade's ten age groups and what each means.
    module AgeGroups
      MEANINGS = {
        "newborn" => "birth to 1 month", "infant" => "1 to 23 months", "preschool" => "2 to 5 years",
        "child" => "6 to 12 years", "adolescent" => "13 to 18 years", "young adult" => "19 to 24 years",
        "adult" => "19 to 44 years", "middle aged" => "45 to 64 years", "aged" => "65 years and over",
        "80 and over" => "80 years and over"
      }.freeze

      ALL = MEANINGS.keys.freeze

      # The groups that the words "adult, 19 and over" take in.
      ADULTS = ["young adult", "adult", "middle aged", "aged", "80 and over"].freeze
    end
  end
end
