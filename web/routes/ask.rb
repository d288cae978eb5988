# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Ask: the sentence, its marks, the frame, the kind of question, and limits that the sentence
      # mentions.
      module Ask
        def self.registered(app)
          app.get("/inquiries/:id/ask") { show :ask }
          app.post("/inquiries/:id/ask") { change :ask, Forms::Ask::QuestionForm }
        end
      end
    end
  end
end
