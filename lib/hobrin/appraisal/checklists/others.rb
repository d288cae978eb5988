# frozen_string_literal: true

module Hobrin
  module Appraisal
    module Checklists
      # The sheets of all that is no comparison of groups, and of what others have put together.
      module Others
        ALL = {
          review: ["Systematic review", "In the spirit of AMSTAR 2 (2017) and ROBIS (2016).", [
            [:question, :in, "Is there one clear question, specified in a protocol?", Cues::TOLD],
            [:search, :in, "Are the databases and search strategies reported?", Cues::SEARCH],
            [:two_readers, :in, "Did two people select studies and extract data independently?",
             Cues::JUDGED],
            [:judged, :measured, "Was the risk of bias of each study assessed?", Cues::JUDGED],
            [:consistent, :alike, "Are the studies consistent, or is the heterogeneity explained?", Cues::AGREE],
            [:put_together, :alike, "Were only studies that are similar enough pooled?",
             Cues::AGREE],
            [:unpublished, :lost, "Was publication bias considered?",
             Cues::TOLD],
            [:told, :told, "Does the conclusion reflect the findings and their certainty?",
             Cues::JUDGED]
          ]],
          guideline: ["Guideline", "In the spirit of AGREE II (2010).", [
            [:evidence, :in, "Was the evidence searched for systematically and graded?", Cues::SEARCH],
            [:people, :in, "Were patients and front-line staff involved?", Cues::PANEL],
            [:linked, :measured,
             "Does each recommendation state its evidence and its strength?", Cues::PANEL],
            [:harms, :alike, "Were harms and burdens weighed against benefits?", Cues::PANEL],
            [:current, :lost, "Is it up to date?", Cues::TIME],
            [:own_interest, :told, "Are funding and conflicts of interest declared?",
             Cues::TOLD, :light]
          ]],
          qualitative: ["Qualitative study", "In the spirit of the CASP and JBI questions for qualitative research.", [
            [:method, :in, "Is the method appropriate to the question?", Cues::METHOD],
            [:people, :in, "Was the sampling appropriate?", Cues::PEOPLE],
            [:setting, :measured, "Were data collected in a way that let people speak freely?",
             Cues::METHOD],
            [:researcher, :apart, "Do the researchers reflect on their own role?", Cues::METHOD,
             :light],
            [:analysis, :measured, "Can you follow how the findings were derived from the data?", Cues::METHOD],
            [:voices, :told, "Are participants' own words reported, including dissenting views?",
             Cues::METHOD]
          ]],
          economic: ["Economic evaluation", "In the spirit of the CHEC list (2005).", [
            [:options, :in, "Are all relevant alternatives compared?", Cues::COST],
            [:view, :in, "Are the perspective and the time horizon stated?", Cues::COST],
            [:effect, :measured, "Is the effectiveness based on sound evidence?", Cues::AGREE],
            [:counted, :measured, "Were all important costs included and valued credibly?",
             Cues::COST],
            [:varied, :alike, "Was a sensitivity analysis done?",
             Cues::COST],
            [:told, :told, "Is the incremental cost-effectiveness ratio reported?", Cues::COST]
          ]],
          series: ["Case report or series", "In the spirit of the JBI questions for case series.", [
            [:clear, :in, "Are the inclusion criteria clear, and was everyone eligible included?", Cues::PEOPLE],
            [:condition, :measured, "Was the condition diagnosed by a valid, consistent method?",
             Cues::MEASURED],
            [:what_done, :measured, "Is it clear what was done and when?", Cues::TIME],
            [:outcome, :lost, "Is the outcome of every case reported?", Cues::LOST],
            [:other_causes, :alike, "Were other explanations considered?", Cues::ALIKE]
          ]],
          survey: ["Survey", "In the spirit of the AXIS questions (2016).", [
            [:asked, :in, "Is the sample representative of the target population?", Cues::PEOPLE],
            [:answered, :lost, "Was the response rate adequate, and were non-responders similar?",
             Cues::LOST],
            [:questions, :measured, "Were the questions piloted and neutral?",
             Cues::MEASURED],
            [:size, :in, "Was the sample large enough for the percentages reported?", Cues::COUNTED],
            [:told, :told, "Are all responses reported, including \"don't know\"?", Cues::COUNTED]
          ]],
          any: ["Any other paper", "Our own questions.", [
            [:clear, :in, "Is it clear what was done and to whom?", Cues::PEOPLE],
            [:measured, :measured, "Was the outcome measured reliably?", Cues::MEASURED],
            [:told, :told, "Are the sources and evidence stated?", Cues::TOLD]
          ]]
        }.freeze
      end
    end
  end
end
