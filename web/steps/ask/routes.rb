# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Ask
        # Ask: the sentence, its marks, the frame, the kind of question, and limits that the sentence
        # mentions.
        module Routes
          extend Routing

          get("/inquiries/:id/ask", needs: :reads) { show :ask }
          post("/inquiries/:id/ask", needs: :works) { change :ask, QuestionForm }

          # The one form of Ask: what is written there, and the button that was pressed, if any.
          class QuestionForm < Form
            USES = Question::Element::USES.keys
            KEYS = Question::Frame::KEYS
            LIMITS = [*Strategy::Limit::NAMES, *Strategy::Dates::NAMES].freeze
            private_constant :USES, :KEYS, :LIMITS

            def edit
              Edits::Ask::WriteQuestion.new(draft:, press:, limit: fields.one_of(:stated, LIMITS))
            end

            # The phrase whose edge was moved stays open.
            def after(outcome)
              key, from = fields.text(:edge).split(":", 3)
              phrases = outcome.opened.question.element(key.to_s)&.marked || []
              phrase = phrases.min_by { |phrase| (phrase.from - from.to_i).abs }
              Form::After.new(step: fields.one_of(:next, Inquiry::STEPS),
                              stay: phrase ? { "phrase" => "#{key}:#{phrase.from}" } : {})
            end

            private

            def draft
              Edits::Ask::Draft.new(
                situation: written(:situation), text: written(:question), kind: fields.some_text(:kind),
                frame: fields.some_text(:use_frame) || fields.some_text(:frame),
                uses: KEYS.to_h { |key| [key, fields.one_of(:"use_#{key}", USES)] }.compact,
                typed: KEYS.to_h { |key| [key, fields.text(:"typed_#{key}")] }
              )
            end

            # A mark made, moved or taken away, a proposal taken or left; nil when the form was only
            # saved.
            def press
              key = fields.one_of(:mark, KEYS)
              return mark(key) if key
              return Edits::Ask::TakeProposals.new(wanted: fields.list(:take)) unless fields.list(:take).empty?

              name = %i[respell unmark edge leave instead].find do |button|
                fields.text(button).include?(":")
              end
              name && turn(name, *fields.text(name).split(":", 2))
            end

            def mark(key)
              Edits::Ask::Mark.new(key:, words: fields.text(:mark_text),
                                   near: fields.number(:mark_from).to_i)
            end

            def turn(name, key, rest)
              case name
              when :respell then Edits::Ask::Respell.new(from: whole(key), meant: rest)
              when :unmark then Edits::Ask::Unmark.new(key:, place: whole(rest) || rest)
              when :leave then Edits::Ask::LeaveProposal.new(key:, words: rest)
              when :instead
                Edits::Ask::ChangeUse.new(key:, use: USES.find { |use| use.to_s == rest })
              when :edge then edge(key, *rest.split(":"))
              end
            end

            def edge(key, from, edge = nil, by = nil)
              Edits::Ask::MoveEdge.new(key:, from: whole(from.to_s), by: by == "1" ? 1 : -1,
                                       edge: edge == "end" ? :end : :start)
            end

            def whole(text) = Integer(text, 10, exception: false)
          end
        end
      end
    end
  end
end
