# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Ask
        # Why a phrase is proposed, in words.
        class Why
          CLASSES = {
            "people" => "people", "staff" => "people who care", "setting" => "a place of care",
            "condition" => "a complaint", "drug" => "a medicine", "device" => "a thing that is used",
            "procedure" => "something that is done", "test" => "a test",
            "outcome" => "something that may come about", "change" => "a word of change",
            "assess" => "a word of finding out", "tell" => "a word of telling",
            "money" => "a word of money", "time" => "a time", "number" => "a number",
            "quality" => "how people are", "nothing" => "what is done already, or nothing"
          }.freeze
          WORDS = { after: "after “%s”", before: "before “%s”", comparing: "set against something by “%s”",
                    begins: "in a sentence that begins with “%s”" }.freeze
          private_constant :CLASSES, :WORDS

          # proposal :: Question::Understanding::Proposal
          def initialize(proposal)
            @proposal = proposal
          end

          def to_s
            words = [*@proposal.reasons.map { |reason| told(reason) }, known].compact
            words.empty? ? "from the shape of the sentence" : words.join("; ")
          end

          private

          def told(reason)
            reason.what == :names ? CLASSES.fetch(reason.word) : format(WORDS.fetch(reason.what), reason.word)
          end

          def known
            "the thesaurus knows #{@proposal.headings.join(", ")}" if @proposal.headings.any?
          end
        end
      end
    end
  end
end
