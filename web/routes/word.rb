# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Word: terms added and changed, blocks joined; offers while typing.
      module Word
        def self.registered(app)
          app.get("/inquiries/:id/word") { show :word }

          app.get("/inquiries/:id/offers") do
            Lengths.check(params)
            offers = Pages::Offers.new(context:, id: inquiry_id, fields:)
            offers.known? || halt(404)
            part "word/offers", offers:
          end

          app.post("/inquiries/:id/terms") { change :word, Forms::Word::AdditionForm }
          app.post("/inquiries/:id/terms/:term") { change :word, Forms::Word::TermForm }
          app.post("/inquiries/:id/blocks/:key") { change :word, Forms::Word::BlockForm }
        end
      end
    end
  end
end
