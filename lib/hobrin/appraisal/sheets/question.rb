# frozen_string_literal: true

module Hobrin
  module Appraisal
    module Sheets
      # One question of a sheet, put so that "yes" speaks for the paper.
      #
      # key :: Symbol; group :: key of GROUPS: where error comes in; text :: the question
      # cue :: Regexp of words by which a text tells the answer; light :: whether a "no" is of some
      #   concern only, since it often cannot be otherwise
      class Question < Value
        attributes :key, :group, :text, :cue, :light

        # Up to so many sentences are shown for a question.
        MOST = 2
        private_constant :MOST

        # The sentences of a passage that may answer it, those with most of its words first.
        # passage :: CloseReading::Passage. Gives an Array of CloseReading::Passage::Sentence.
        def sentences(passage)
          found = passage.sentences.map { |sentence| [sentence, sentence.matches(cue).size] }
          found.reject { |_, words| words.zero? }.sort_by { |sentence, words| [-words, sentence.from] }
               .first(MOST).map(&:first)
        end
      end
    end
  end
end
