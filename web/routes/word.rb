# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Word: terms added and changed, blocks joined; offers while typing.
      module Word
        KEYS = Question::Frame::KEYS
        private_constant :KEYS

        def self.registered(app)
          app.get("/inquiries/:id/word") { show :word }

          app.get("/inquiries/:id/offers") do
            inquiry = Services::ReadInquiry.new(context).call(inquiry_id).inquiry
            block = inquiry.block(fields.one_of(:block, KEYS) || halt(404))
            typed = fields.text(:typed)
            way = fields.one_of(:way, Thesaurus::LookUp::WAYS) || :ranked
            offers, reading = Services::OfferTerms.new(context).call(typed, block, way:)
            erb :offers, layout: false, locals: { offers:, reading:, block:, way:, typed:, id: inquiry_id }
          end

          changes(app)
        end

        def self.changes(app)
          app.post("/inquiries/:id/terms") do
            change(:word) { Adding.new(Services::AddTerms.new(context, seen:), inquiry_id, fields).call }
          end

          app.post("/inquiries/:id/terms/:term") do
            change(:word) do
              Word.change(Services::ChangeTerm.new(context, seen:), inquiry_id, fields)
              # A term that was put aside needs its card no more.
              { stay: { "open" => %w[cross_out remove].include?(fields.text(:do)) ? "" : fields.text(:open) } }
            end
          end

          app.post("/inquiries/:id/blocks/:key") do
            step = fields.one_of(:from, %i[narrow]) || :word
            change(step) { Word.place(Services::ChangeBlock.new(context, seen:, step:), inquiry_id, fields) }
          end
        end

        # How a block is joined, or, on the cascade, switched and moved.
        def self.place(service, id, fields)
          case fields.text(:do)
          when "switch" then service.switch(id, fields.text(:key))
          when "up" then service.move_up(id, fields.text(:key))
          else service.join(id, fields.text(:key), joins(fields))
          end
        end

        def self.joins(fields)
          fields.one_of(:joins, Strategy::Block::JOINS.keys) or
            raise InputError, { joins: "Choose how this block is joined." }
        end

        # What one press of a button changes of a term.
        def self.change(service, id, fields)
          term = [id, fields.number(:term)]
          case fields.text(:do)
          when "cross_out" then service.cross_out(*term, fields.text(:reason))
          when "take_back" then service.take_back(*term)
          when "take_away" then service.take_away(*term)
          when "remove" then service.remove(*term)
          when "up" then service.move(*term, -1)
          when "down" then service.move(*term, 1)
          when "move" then service.move_to(*term, fields.text(:to))
          when "reword" then reword(service, term, fields)
          else fields.some_text(:turn) && service.turn(*term, fields.text(:turn))
          end
        end

        def self.reword(service, term, fields)
          near = { distance: fields.number(:distance), ordered: fields.checked?(:ordered),
                   split: fields.number(:split) || 1 }
          service.reword(*term, text: fields.text(:text), fields: fields.list(:in).map(&:to_sym) & Strategy::Words::FIELDS.keys,
                                near: fields.text(:as) == "near" ? near : nil)
        end
        private_class_method :changes, :reword
      end
    end
  end
end
