# frozen_string_literal: true

module Hobrin
  module Appraisal
    module Checklists
      # The sheets of studies that compare groups or follow people. Each row: key, group, question,
      # cue, and :light where a "no" is of some concern only.
      module Studies
        ALL = {
          trial: ["Randomized trial", "In the spirit of RoB 2 (2019).", [
            [:allocation, :alike,
             "Was allocation random, and concealed until people were assigned?", Cues::CHANCE],
            [:alike, :alike, "Were the groups similar at baseline?", Cues::ALIKE],
            [:unaware, :apart,
             "Were participants and staff blinded, or was blinding unlikely to matter?",
             Cues::UNAWARE, :light],
            [:as_meant, :apart, "Was the intervention delivered as planned, without other differences in care?",
             Cues::LOST, :light],
            [:blinded, :measured, "Were the outcome assessors blinded to the group?",
             Cues::UNAWARE],
            [:followed, :lost, "Was follow-up nearly complete?", Cues::LOST],
            [:as_assigned, :lost, "Were all participants analysed in the group they were allocated to?",
             Cues::COUNTED],
            [:told, :told, "Were all the planned outcomes reported?", Cues::TOLD]
          ]],
          comparison: ["Non-randomised comparison", "In the spirit of ROBINS-I (2016).", [
            [:same_source, :in, "Were both groups drawn from the same population over the same period?",
             Cues::PEOPLE],
            [:chosen, :alike,
             "Was assignment to a group unrelated to prognosis?", Cues::CHANCE],
            [:alike, :alike, "Were confounders controlled for, by design or analysis?", Cues::ALIKE],
            [:as_meant, :apart, "Apart from the intervention, did both groups receive the same care?", Cues::LOST,
             :light],
            [:blinded, :measured,
             "Was the outcome assessed in the same way in both groups, by blinded assessors?", Cues::UNAWARE],
            [:followed, :lost, "Was follow-up nearly complete in both groups?", Cues::LOST],
            [:told, :told, "Were all the planned outcomes reported?", Cues::TOLD]
          ]],
          cohort: ["Cohort or case-control study", "In the spirit of the Newcastle–Ottawa scale.", [
            [:joined, :in,
             "Did participants enter at a similar stage, with cases and controls from the same source?",
             Cues::TIME],
            [:exposed, :in, "Was exposure ascertained reliably?", Cues::MEASURED],
            [:alike, :alike, "Were confounders controlled for, by design or analysis?", Cues::ALIKE],
            [:measured, :measured, "Was the outcome measured in the same way in everyone?", Cues::MEASURED],
            [:followed, :lost, "Was follow-up long and complete enough (or the response rate high enough)?",
             Cues::LOST],
            [:told, :told, "Are all the outcomes you would expect reported?", Cues::TOLD]
          ]],
          diagnosis: ["Diagnostic accuracy study", "In the spirit of QUADAS-2 (2011).", [
            [:spectrum, :in,
             "Were consecutive (or random) patients enrolled in whom the test would be used?",
             Cues::PEOPLE],
            [:reference, :measured, "Does the reference standard identify the condition correctly?",
             Cues::TEST],
            [:same_reference, :measured, "Did everyone receive the same reference standard?", Cues::TEST],
            [:blinded, :apart, "Was each test interpreted without knowledge of the other?", Cues::UNAWARE],
            [:cut, :measured, "Was the threshold for a positive result set in advance?", Cues::TEST],
            [:timing, :lost, "Was the interval between the two tests short enough?",
             Cues::TIME],
            [:all_counted, :lost, "Were all tested patients included in the analysis?", Cues::COUNTED],
            [:repeatable, :told, "Is the test described in enough detail to repeat it?", Cues::TEST]
          ]],
          prognosis: ["Prognostic study", "In the spirit of QUIPS (2013).", [
            [:joined, :in, "Were participants enrolled at a common, early point?", Cues::TIME],
            [:typical, :in, "Are the participants representative?", Cues::PEOPLE],
            [:factor, :alike, "Were prognostic factors recorded for everyone?", Cues::ALIKE],
            [:measured, :measured, "Was the outcome measured in the same way in everyone?", Cues::MEASURED],
            [:followed, :lost, "Was follow-up long and complete enough?", Cues::LOST],
            [:told, :told, "Are results reported for all participants?", Cues::COUNTED]
          ]],
          rule: ["Prediction rule", "In the spirit of PROBAST (2019).", [
            [:spectrum, :in, "Were these patients in whom the rule would be used?", Cues::PEOPLE],
            [:factors, :measured, "Were the predictors measured in the same way in everyone?",
             Cues::MEASURED],
            [:apart, :apart, "Was the outcome assessed without knowledge of the predictors?",
             Cues::UNAWARE],
            [:enough, :told, "Were there enough events for the number of predictors?", Cues::COUNTED],
            [:elsewhere, :told, "Was the rule validated in a different population?",
             Cues::RULE],
            [:agrees, :told, "Is calibration reported as well as discrimination?",
             Cues::RULE],
            [:followed, :lost, "Was follow-up nearly complete?", Cues::LOST]
          ]],
          before_after: ["Before-and-after study", "In the spirit of the EPOC criteria.", [
            [:same_people, :in, "Were the people before and after comparable?", Cues::ALIKE],
            [:sudden, :alike, "Was the change free of other changes at the same time?", Cues::TIME],
            [:trend, :alike, "Were there enough measurements to show the existing trend?",
             Cues::TIME],
            [:measured, :measured, "Was the outcome measured in the same way before and after?",
             Cues::MEASURED],
            [:all_counted, :lost, "Were all eligible people in both periods included?", Cues::COUNTED],
            [:told, :told, "Is the intervention described, and how fully it was delivered?", Cues::TOLD]
          ]]
        }.freeze
      end
    end
  end
end
