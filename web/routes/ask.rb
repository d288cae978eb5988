# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Ask: the sentence, its marks, the kind of question.
      module Ask
        USES = Question::Element::USES.keys
        private_constant :USES

        def self.registered(app)
          app.get("/inquiries/:id/ask") { show :ask }

          app.post("/inquiries/:id/ask") do
            change(:ask) do
              service = Services::WriteQuestion.new(context)
              service.call(inquiry_id, Ask.draft(fields), version: fields.number(:version)) do |question|
                Ask.mark(question, fields)
              end
              { next: fields.one_of(:next, Inquiry::STEPS) }
            end
          end
        end

        def self.draft(fields)
          letters = Question::Frame.letters
          Services::WriteQuestion::Draft.new(
            situation: fields.text(:situation), text: fields.text(:question), kind: fields.some_text(:kind),
            uses: letters.to_h { |letter| [letter, fields.one_of(:"use_#{letter}", USES)] }.compact,
            typed: letters.to_h { |letter| [letter, fields.text(:"typed_#{letter}")] }
          )
        end

        # The question with the mark that was pressed made, or one taken away.
        def self.mark(question, fields)
          letter = fields.one_of(:mark, Question::Frame.letters)
          return question.marked(letter, fields.text(:mark_text), near: fields.number(:mark_from).to_i) if letter

          letter, text = fields.text(:unmark).split(":", 2)
          text && question.element(letter) ? question.unmarked(letter, text) : question
        end
      end
    end
  end
end
