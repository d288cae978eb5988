# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Ask: the sentence, its marks, the frame, the kind of question, and limits that the sentence states.
      module Ask
        USES = Question::Element::USES.keys
        KEYS = Question::Frame::KEYS
        private_constant :USES, :KEYS

        def self.registered(app)
          app.helpers Stating
          app.get("/inquiries/:id/ask") { show :ask }

          app.post("/inquiries/:id/ask") do
            change(:ask) do
              saved = Services::WriteQuestion.new(context, seen:).call(inquiry_id, Ask.draft(fields)) do |question|
                Ask.press(question, fields, Services::TakeProposals.new(context))
              end
              put_stated(fields.text(:stated), fields.text(:question))
              { next: fields.one_of(:next, Inquiry::STEPS), stay: Ask.staying_open(saved.inquiry.question, fields) }
            end
          end
        end

        # Puts on the limit that the sentence states and whose button was pressed.
        module Stating
          def put_stated(name, text)
            stated = Narrowing::StatedLimits.new(context.today).call(text).find { |one| one.leaf.name.to_s == name }
            Services::ChangeLimits.new(context, seen:, step: :ask).put(inquiry_id, stated.leaf) if stated
          end
        end

        def self.draft(fields)
          Services::WriteQuestion::Draft.new(
            situation: fields.text(:situation), text: fields.text(:question), kind: fields.some_text(:kind),
            frame: fields.some_text(:frame),
            uses: KEYS.to_h { |key| [key, fields.one_of(:"use_#{key}", USES)] }.compact,
            typed: KEYS.to_h { |key| [key, fields.text(:"typed_#{key}")] }
          )
        end

        # The question after the button that was pressed, if any: a mark made, moved or taken away, a proposal taken
        # or left.
        def self.press(question, fields, proposals)
          key = fields.one_of(:mark, KEYS)
          return question.marked(key, fields.text(:mark_text), near: fields.number(:mark_from).to_i) if key
          return proposals.call(question, fields.list(:take)) unless fields.list(:take).empty?

          %i[unmark edge leave instead].reduce(question) do |written, name|
            key, place, *rest = fields.text(name).split(":", 4)
            place && written.element(key) ? turn(written, name, key, place, rest) : written
          end
        end

        # The phrase whose edge was moved stays open.
        def self.staying_open(question, fields)
          key, from = fields.text(:edge).split(":", 3)
          phrase = question.element(key.to_s)&.marked&.min_by { |one| (one.from - from.to_i).abs }
          phrase ? { "phrase" => "#{key}:#{phrase.from}" } : {}
        end

        def self.turn(question, name, key, place, rest)
          from = Integer(place, 10, exception: false)
          case name
          when :unmark then question.unmarked(key, from || place)
          when :leave then question.declining(key, [place, *rest].join(":"))
          when :instead then question.with_use(key, USES.find { |use| use.to_s == place })
          when :edge then question.with_edge(key, from, rest.first == "end" ? :end : :start, rest.last == "1" ? 1 : -1)
          end
        end
        private_class_method :turn
      end
    end
  end
end
