# frozen_string_literal: true

module Hobrin
  class Check
    # What each kind of finding says, why it matters, and what mending does. %{…} is filled in by
    # who finds it.
    module Texts
      # group :: one of GROUPS; says :: what was found; why :: why it matters; press :: what mending
      #   does, nil when only
      # the person can
      class Text < Value
        attributes :group, :says, :why, :press
      end

      ALL = {
        # The question in blocks
        empty: [:question, "%{block} has no name in use",
                "An empty block takes no part in the search, though Ask says it is searched.", "Leave %{block} out"],
        alone: [:question, "Only %{block} is joined",
                "One block is a topic, not a question: join what would be done, or to what end.", nil],
        usual: [:question, "“%{name}” is searched", "%{rule}", "Keep it for reading"],
        # AND, OR, NOT and nearness
        twice: [:joins, "“%{name}” is in %{block} and in %{other}",
                "A paper with it passes both blocks at once: AND thins out less than it seems to.",
                "Cross it out in %{other}"],
        nothing_left: [:joins, "The blocks have no paper in common",
                       "Each finds papers, but none is in all of them.", "Leave %{block} out"],
        takes_much: [:joins, "NOT %{block} takes away more than it leaves",
                     "NOT also loses papers that are about both things.", "Leave %{block} out"],
        # Headings
        gone: [:headings, "%{name} is no heading any more", "It only finds papers that were indexed before.",
               "Cross it out"],
        replaced: [:headings, "Indexers no longer use %{name}", "Newer papers carry %{instead} in its place.",
                   "Add %{instead}"],
        covered: [:headings, "%{name} is inside %{above} already",
                  "%{above} is searched with what is narrower, so this adds nothing.", "Cross it out"],
        not_below: [:headings, "%{name} is searched without its %{below} narrower",
                    "Indexers choose the narrowest heading that fits: those papers are missed.", "Take them in"],
        main: [:headings, "%{name} as a main topic only", "Papers that treat it beside something else are lost.",
               "Search it anywhere"],
        aspects: [:headings, "%{name} under %{size} aspects",
                  "So many are nearly the whole heading, but for papers whose indexer gave none.", "Any aspect"],
        unused: [:headings, "%{name} finds nothing", "No paper of this library carries it.",
                 "Cross it out"],
        missing: [:headings, "“%{name}” has a heading: %{heading}",
                  "Words alone miss papers that say it otherwise and have the heading.", "Add %{heading}"],
        # Words of the text
        without_words: [:words, "%{block} has headings only",
                        "Papers too new to be indexed have no headings: only words find them.",
                        "Add the words “%{name}”"],
        wild: [:words, "“%{name}” takes in %{size} spellings",
               "A short stem brings in words that mean something else.", "Cross it out"],
        no_use: [:words, "“%{words}” is no use as a search word", "Reason: %{reason}.",
                 "Cross it out"],
        titles: [:words, "“%{name}” is looked for in titles only", "Most papers say it in the abstract.",
                 "Look anywhere in the text"],
        # Spelling and lines
        slip: [:spelling, "“%{name}” finds nothing", "No paper has it there. Is it a slip?",
               "Search “%{near}”"],
        nothing: [:spelling, "No paper here has %{names}",
                  "Other catalogues may have such papers, and so may a later import. They stay in the search.",
                  "Cross out what finds nothing"],
        found_nothing: [:spelling, "Crossed out, since no paper here had it: %{names}",
                        "Restored, they are searched in other catalogues too. Papers found here now: %{size}.",
                        "Restore all of them"],
        other_way: [:spelling, "“%{way}” is missing beside “%{name}”", "It would add %{adds}.",
                    "Add “%{way}”"],
        # Limits and filters
        language: [:limits, "The language limit is not the last one",
                   "Language is no measure of quality: at the end it shows what it alone loses.",
                   "Move it to the end"],
        full_text: [:limits, "Only papers with free full text", "What is free is not what is best.",
                    "Switch it off"],
        silent: [:limits, "%{quiet} of the %{removed} papers that “%{name}” took away say nothing of it",
                 "Most of them are only not indexed yet.", "Switch it off"],
        both: [:limits, "A study filter and a limit to study types are both on",
               "They do the same work twice, and lose papers whose types were never written down.",
               "Switch the study types off"],
        contrary: [:limits, "The question says %{question}, the limit %{name}",
                   "The two have nothing in common.", "Limit as the question says"]
      }.transform_values { |row| Text.new(**Text.attribute_names.zip(row).to_h) }.freeze

      # The Text of a kind, filled in. words :: Hash of what stands between %{ and }
      def self.of(kind, words)
        text = ALL.fetch(kind)
        said = text.to_h.slice(:says, :why, :press).compact
        text.with(**said.transform_values { |template| format(template, words) })
      end
    end
  end
end
