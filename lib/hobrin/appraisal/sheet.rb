# frozen_string_literal: true

module Hobrin
  module Appraisal
    # The few questions asked of a paper, by its design. Each is put so that "yes" speaks for the
    # study (common practice, no source: what the trade's checklists have in common).
    module Sheet
      QUESTIONS = {
        trial: { allocation: "Was it left to chance, out of sight, who was put in which group?",
                 alike: "Were the groups alike at the start?",
                 blinded: "Did those who judged the outcome not know the group?",
                 followed: "Were nearly all followed to the end?",
                 as_assigned: "Was everyone counted in the group they were put in?" },
        review: { question: "Does it ask one clear question?",
                  search: "Does it say which databases were searched, and how?",
                  judged: "Was the quality of each study judged?",
                  consistent: "Do the studies agree, or is it explained why not?",
                  unpublished: "Was thought given to results that were never published?" },
        diagnosis: { spectrum: "Were these the people in whom the test would be used?",
                     reference: "Did everyone have the same good reference standard?",
                     blinded: "Was each test read without knowing the other?",
                     repeatable: "Is the test described so that you could do it?" },
        cohort: { joined: "Did people join at a similar point?",
                  alike: "Were other differences between the groups dealt with?",
                  measured: "Was the outcome measured the same way in all?",
                  followed: "Were nearly all followed long enough?" },
        qualitative: { method: "Does the method fit the question?",
                       people: "Were people chosen in a way that makes sense?",
                       researcher: "Does the researcher say where they stand?",
                       analysis: "Can you follow from words said to findings?" },
        guideline: { evidence: "Was the evidence searched for and graded?",
                     people: "Did patients and those who do the work take part?",
                     current: "Is it recent enough to lean on?" },
        any: { clear: "Is it clear what was done, and to whom?",
               measured: "Was the outcome measured in a way you trust?",
               applies: "Are these people like yours?" }
      }.freeze

      # design :: a Design. Gives a Hash of question key to question.
      def self.for(design) = QUESTIONS.fetch(design.sheet)
    end
  end
end
