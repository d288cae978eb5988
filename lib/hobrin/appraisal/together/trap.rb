# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Together
      # A reason for which a result must not be counted as it stands, and how that is mended.
      #
      # key :: key of WORDS; study :: the Study to mend; of :: the Records, or Studies, that it is
      #   about
      class Trap < Value
        attributes :key, :study, :of

        # What is wrong, in a sentence's end; what the press says that mends it.
        WORDS = {
          retracted: ["was retracted: nothing in it counts as evidence", "Take it out"],
          review: ["is a review whose studies are here: they would count twice",
                   "Take the review out"],
          may_include: ["is a review and may include studies that are here: they would count twice",
                        "Take the review out"],
          same_people: ["reports people who are here already", "Take the later report out"],
          again: ["gives the same people a second time", "Take this one out"],
          arm_twice: ["has one comparison group that would count twice", "Put its groups together"],
          swapped: ["has its two groups the other way round than the question", "Swap the two groups"],
          arms: ["compares other groups than the question does", "Take it out"],
          clusters: ["was randomised by cluster, and nothing allows for that yet: enter the clusters under its numbers",
                     "Take it out"],
          crossover: ["is a crossover trial, and nothing allows for the pairs yet: enter the correlation under its numbers",
                      "Take it out"],
          turned: ["seems to have a scale that runs the other way", "Turn its scale round"],
          changed: ["gives changes since the start, others give end values", "Take it out"],
          design: ["was not randomized, and trials are here", "Take it out"]
        }.freeze
        # What mends by changing the result; all others by taking it out.
        CHANGES = %i[arm_twice turned swapped].freeze

        def says = WORDS.fetch(key).first
        def mend = WORDS.fetch(key).last
        def open? = study.reported.aside.nil? && !study.reported.counted.include?(key)
      end
    end
  end
end
