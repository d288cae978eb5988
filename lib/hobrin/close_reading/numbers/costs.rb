# frozen_string_literal: true

module Hobrin
  module CloseReading
    module Numbers
      # The cost of one against the cost of all: "cost 31 a person, 4,030 for all 130".
      class Costs < Check
        N = '(\d{1,3}(?:,\d{3})+|\d+)'
        PATTERN = /\bcost (?:[€$£] ?)?#{N} (?:a|per|each) (?:person|patient)?,? (?:and )?(?:[€$£] ?)?#{N} for all #{N}\b/
        private_constant :N, :PATTERN

        private

        def in_sentence(sentence)
          sentence.matches(PATTERN).filter_map do |match|
            each, all, people = match.captures.map { |text| text.delete(",").to_i }
            disagreement(:cost, sentence, match, "#{people} at #{each} are #{each * people}") unless each * people == all
          end
        end
      end
    end
  end
end
