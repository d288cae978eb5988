# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Together
      # By what a study differs from others, in words.
      module Labels
        NONE = "not said"
        private_constant :NONE

        # study :: Study; by :: key of Pool::GROUPS; kind :: key of the kind of question, or nil
        def self.of(study, by, kind)
          case by
          when :design then Design.fetch(study.paper.design).name
          when :concern then Sheets::Concern::WORDS[study.paper.concern(kind)] || NONE
          when :people, :place then Applies::NEAR[study.paper.applies[by]] || NONE
          when :ages then study.record.ages.empty? ? NONE : study.record.ages.join(", ")
          else study.reported.group.empty? ? NONE : study.reported.group
          end
        end
      end
    end
  end
end
