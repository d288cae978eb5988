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
             "Was it left to chance, out of sight, who was put in which group?", Cues::CHANCE],
            [:alike, :alike, "Were the groups alike at the start?", Cues::ALIKE],
            [:unaware, :apart,
             "Did people and carers not know the group, or could knowing change nothing?",
             Cues::UNAWARE, :light],
            [:as_meant, :apart, "Did people get what their group was to get, and little else?",
             Cues::LOST, :light],
            [:blinded, :measured, "Did those who judged the outcome not know the group?",
             Cues::UNAWARE],
            [:followed, :lost, "Were nearly all followed to the end?", Cues::LOST],
            [:as_assigned, :lost, "Was everyone counted in the group they were put in?",
             Cues::COUNTED],
            [:told, :told, "Is what is told what was planned to be measured?", Cues::TOLD]
          ]],
          comparison: ["Comparison without chance", "In the spirit of ROBINS-I (2016).", [
            [:same_source, :in, "Were both groups taken from the same people at the same time?",
             Cues::PEOPLE],
            [:chosen, :alike,
             "Was it something other than their state that put people in a group?", Cues::CHANCE],
            [:alike, :alike, "Were other differences between the groups dealt with?", Cues::ALIKE],
            [:as_meant, :apart, "Did both groups get the same care but for this?", Cues::LOST,
             :light],
            [:blinded, :measured,
             "Was the outcome judged in the same way, without knowing the group?", Cues::UNAWARE],
            [:followed, :lost, "Were nearly all of both groups followed to the end?", Cues::LOST],
            [:told, :told, "Is what is told what was planned to be measured?", Cues::TOLD]
          ]],
          cohort: ["Cohort or case-control study", "In the spirit of the Newcastle–Ottawa scale.", [
            [:joined, :in,
             "Did people join at a similar point, cases and others from the same place?",
             Cues::TIME],
            [:exposed, :in, "Is it sure who had it done to them and who had not?", Cues::MEASURED],
            [:alike, :alike, "Were other differences between the groups dealt with?", Cues::ALIKE],
            [:measured, :measured, "Was the outcome measured the same way in all?", Cues::MEASURED],
            [:followed, :lost, "Were nearly all followed long enough, or nearly all asked?",
             Cues::LOST],
            [:told, :told, "Are all outcomes told that one would expect?", Cues::TOLD]
          ]],
          diagnosis: ["Accuracy of a test", "In the spirit of QUADAS-2 (2011).", [
            [:spectrum, :in,
             "Were these the people in whom the test would be used, one after the other?",
             Cues::PEOPLE],
            [:reference, :measured, "Is the reference standard one that tells who has the condition?",
             Cues::TEST],
            [:same_reference, :measured, "Did everyone have the same reference standard?", Cues::TEST],
            [:blinded, :apart, "Was each test read without knowing the other?", Cues::UNAWARE],
            [:cut, :measured, "Was it fixed beforehand what counts as positive?", Cues::TEST],
            [:timing, :lost, "Were both tests done close together, before anything changed?",
             Cues::TIME],
            [:all_counted, :lost, "Are all who were tested in the counts?", Cues::COUNTED],
            [:repeatable, :told, "Is the test described so that you could do it?", Cues::TEST]
          ]],
          prognosis: ["Course of a condition", "In the spirit of QUIPS (2013).", [
            [:joined, :in, "Were people taken in at the same early point?", Cues::TIME],
            [:typical, :in, "Are they like those one meets, and not a chosen few?", Cues::PEOPLE],
            [:factor, :alike, "Was what may change the course noted in all?", Cues::ALIKE],
            [:measured, :measured, "Was the outcome measured the same way in all?", Cues::MEASURED],
            [:followed, :lost, "Were nearly all followed long enough?", Cues::LOST],
            [:told, :told, "Are numbers given for all, and not only for some?", Cues::COUNTED]
          ]],
          rule: ["Prediction rule", "In the spirit of PROBAST (2019).", [
            [:spectrum, :in, "Were these the people in whom the rule would be used?", Cues::PEOPLE],
            [:factors, :measured, "Was what goes into the rule measured the same way in all?",
             Cues::MEASURED],
            [:apart, :apart, "Was the outcome judged without knowing what goes into the rule?",
             Cues::UNAWARE],
            [:enough, :told, "Had enough people the outcome for so many parts?", Cues::COUNTED],
            [:elsewhere, :told, "Was the rule tried in other people than those it was made from?",
             Cues::RULE],
            [:agrees, :told, "Is it told how predicted and seen agree, not only who ranks higher?",
             Cues::RULE],
            [:followed, :lost, "Were nearly all followed to the end?", Cues::LOST]
          ]],
          before_after: ["Before and after", "In the spirit of the EPOC criteria.", [
            [:same_people, :in, "Were the people before and after alike?", Cues::ALIKE],
            [:sudden, :alike, "Was nothing else changed at that time?", Cues::TIME],
            [:trend, :alike, "Was it measured often enough to see where it was going anyway?",
             Cues::TIME],
            [:measured, :measured, "Was the outcome measured the same way before and after?",
             Cues::MEASURED],
            [:all_counted, :lost, "Were all people of both times counted?", Cues::COUNTED],
            [:told, :told, "Is it told what was done, and how much of it was done?", Cues::TOLD]
          ]]
        }.freeze
      end
    end
  end
end
