# frozen_string_literal: true

module Hobrin
  module Appraisal
    module Checklists
      # The sheets of all that is no comparison of groups, and of what others have put together.
      module Others
        ALL = {
          review: ["Systematic review", "In the spirit of AMSTAR 2 (2017) and ROBIS (2016).", [
            [:question, :in, "Does it ask one clear question, set down beforehand?", Cues::TOLD],
            [:search, :in, "Does it say which databases were searched, and how?", Cues::SEARCH],
            [:two_readers, :in, "Did two people choose the studies and take out their numbers?",
             Cues::JUDGED],
            [:judged, :measured, "Was the soundness of each study judged?", Cues::JUDGED],
            [:consistent, :alike, "Do the studies agree, or is it explained why not?", Cues::AGREE],
            [:put_together, :alike, "Were only studies put together that belong together?",
             Cues::AGREE],
            [:unpublished, :lost, "Was thought given to results that were never published?",
             Cues::TOLD],
            [:told, :told, "Does the conclusion rest on what was found, and on how sure it is?",
             Cues::JUDGED]
          ]],
          guideline: ["Guideline", "In the spirit of AGREE II (2010).", [
            [:evidence, :in, "Was the evidence searched for and graded?", Cues::SEARCH],
            [:people, :in, "Did patients and those who do the work take part?", Cues::PANEL],
            [:linked, :measured,
             "Does each recommendation name what it rests on, and how strong it is?", Cues::PANEL],
            [:harms, :alike, "Were harms and burdens weighed beside benefits?", Cues::PANEL],
            [:current, :lost, "Is it recent enough to lean on?", Cues::TIME],
            [:own_interest, :told, "Is it told who paid, and what interests the panel has?",
             Cues::TOLD, :light]
          ]],
          qualitative: ["Experience study", "In the spirit of the CASP and JBI questions for qualitative research.", [
            [:method, :in, "Does the method fit the question?", Cues::METHOD],
            [:people, :in, "Were people chosen in a way that makes sense?", Cues::PEOPLE],
            [:setting, :measured, "Were words gathered so that people could speak freely?",
             Cues::METHOD],
            [:researcher, :apart, "Does the researcher say where they stand?", Cues::METHOD,
             :light],
            [:analysis, :measured, "Can you follow from words said to findings?", Cues::METHOD],
            [:voices, :told, "Do you hear the people themselves, those who disagree too?",
             Cues::METHOD]
          ]],
          economic: ["Economic evaluation", "In the spirit of the CHEC list (2005).", [
            [:options, :in, "Are all options named that one would choose between?", Cues::COST],
            [:view, :in, "Is it told whose costs are counted, and for how long?", Cues::COST],
            [:effect, :measured, "Does the effect come from sound studies?", Cues::AGREE],
            [:counted, :measured, "Were the costs that matter counted, and priced as they are?",
             Cues::COST],
            [:varied, :alike, "Was it tried what changes when the numbers are other ones?",
             Cues::COST],
            [:told, :told, "Is what one more unit of good costs told?", Cues::COST]
          ]],
          series: ["Case report or series", "In the spirit of the JBI questions for case series.", [
            [:clear, :in, "Is it clear who was taken in, and whether all were?", Cues::PEOPLE],
            [:condition, :measured, "Was the condition found in a sure way, the same in all?",
             Cues::MEASURED],
            [:what_done, :measured, "Is it clear what was done, and when?", Cues::TIME],
            [:outcome, :lost, "Is it told of each what became of them?", Cues::LOST],
            [:other_causes, :alike, "Were other causes thought of?", Cues::ALIKE]
          ]],
          survey: ["Survey", "In the spirit of the AXIS questions (2016).", [
            [:asked, :in, "Were those asked like those one wants to know of?", Cues::PEOPLE],
            [:answered, :lost, "Did enough of them answer, and were the others like them?",
             Cues::LOST],
            [:questions, :measured, "Were the questions tried out, and not leading?",
             Cues::MEASURED],
            [:size, :in, "Were enough asked for the shares that are told?", Cues::COUNTED],
            [:told, :told, "Are all answers told, with those who did not know?", Cues::COUNTED]
          ]],
          any: ["Any other paper", "Our own questions.", [
            [:clear, :in, "Is it clear what was done, and to whom?", Cues::PEOPLE],
            [:measured, :measured, "Was the outcome measured in a way you trust?", Cues::MEASURED],
            [:told, :told, "Is it told what it rests on?", Cues::TOLD]
          ]]
        }.freeze
      end
    end
  end
end
