# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Word: terms added, changed, crossed out; offers while typing.
      module Word
        def self.registered(app)
          app.get("/inquiries/:id/word") { show :word }

          app.get("/inquiries/:id/offers") do
            inquiry = Services::ReadInquiry.new(context).call(inquiry_id).inquiry
            block = inquiry.block(fields.one_of(:block, Question::Frame::KEYS) || halt(404))
            offers, reading = Services::OfferTerms.new(context).call(fields.text(:typed), block)
            erb :offers, layout: false, locals: { offers:, reading:, block: }
          end

          app.post("/inquiries/:id/terms") { change(:word) { Word.add(Services::AddTerms.new(context), inquiry_id, fields) } }

          app.post("/inquiries/:id/terms/:term") do
            change(:word) { Word.change(Services::ChangeTerm.new(context), inquiry_id, fields) }
          end
        end

        def self.add(service, id, fields)
          key = fields.text(:block)
          if fields.some_text(:heading) then service.heading(id, key, fields.text(:heading))
          elsif fields.some_text(:words) then service.words(id, key, fields.text(:words))
          else service.call(id, key, fields.text(:typed))
          end
        end

        def self.change(service, id, fields)
          term = [id, fields.text(:block), fields.number(:term)]
          case fields.text(:do)
          when "cross_out" then service.cross_out(*term, fields.text(:reason))
          when "take_back" then service.take_back(*term)
          when "remove" then service.remove(*term)
          when "heading" then service.heading(*term, narrower: fields.checked?(:narrower), main: fields.checked?(:main))
          when "fields" then service.fields(*term, fields.list(:in).map(&:to_sym) & Strategy::Words::FIELDS.keys)
          end
        end
      end
    end
  end
end
