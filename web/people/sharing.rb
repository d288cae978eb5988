# frozen_string_literal: true

module Hobrin
  module Web
    module People
      # What others may do with an inquiry.
      class Sharing < Page
        CHOICES = { **Hobrin::People::Standing::GIVEN, owns: "owns it in my place" }.freeze
        # What is said of each step that can be done twice.
        SAID = {
          sift: { title: "Dual screening", does: "screen its papers", sees: "decides",
                  path: "differences", press: "Start dual screening", second: "Second reviewer",
                  begins: "You and one other decide on every paper, each without seeing the " \
                          "other. What you agree on holds at once; where you differ, you " \
                          "settle it together. Papers that are decided already stay outside: " \
                          "their decisions hold, and are hidden from the second reader." },
          weigh: { title: "Dual appraisal", does: "appraise its papers", sees: "answers",
                   path: "sheets", press: "Start dual appraisal", second: "Second appraiser",
                   begins: "You and one other fill in a sheet for every kept paper, each " \
                           "without seeing the other. When both are done with a paper, what " \
                           "you judged alike holds, and the rest is settled point by point. " \
                           "Papers that are appraised already stay outside, hidden from the " \
                           "other; numbers for outcomes are written down together." }
        }.freeze
        private_constant :CHOICES, :SAID

        # A step that two do apart, or could: names :: of the two, or none
        class Twice < Value
          attributes :step, :names, :title, :does, :sees, :path, :press, :second, :begins

          def on? = names.any?
          def field = "second-#{step}"
        end

        # twice :: what can be done twice, as Array of Twice
        attr_reader :id, :question, :said, :twice

        def initialize(context:, id:, errors:, said: nil)
          super(errors:)
          @id = id
          @said = said
          @shared = Services::Sharing::ShareInquiry.new(context).read(id)
          services = { sift: Services::Screen::DualScreening, weigh: Services::Appraise::DualAppraisal }
          @twice = services.map do |step, service|
            Twice.new(step:, names: service.new(context, id).readers.map(&:name), **SAID.fetch(step))
          end
          @question = Services::Inquiries::Read.new(context).call(id).question.text
          freeze
        end

        # Who owns it, in words.
        def owned
          return "#{@shared.owner&.name || "Nobody"} owns it." unless ward
          return "#{@shared.owner.name} owns it; everybody on #{ward} reads it." if @shared.owner

          "#{ward} owns it: its librarians act as the owner, and can hand it over. Everybody on #{ward} reads it."
        end

        def ward = @shared.ward&.name

        def second_choices = @shared.people.keys.map { |person| [person.id, person.name, false] }

        # Array of [id, name, whether as a librarian, choices].
        def rows
          @shared.people.map do |person, may|
            librarian = person.librarian?(@shared.ward.id)
            [person.id, person.name, librarian, CHOICES.map { |value, name| [value, name, value == may] }]
          end
        end

        # Notes to each other about an inquiry.
        class Notes < Page
          # A note as it is shown; about :: what it is about, path :: where that is, or nil
          class Row < Value
            attributes :id, :about, :path, :said, :open, :settled
          end

          STEPS = { "paper" => "sift", "term" => "word", "limit" => "narrow" }.freeze
          private_constant :STEPS

          # rows :: Array of Row
          attr_reader :id, :question, :kind, :key, :rows

          def initialize(context:, id:, fields:, errors:)
            super(errors:)
            @id = id
            @fields = fields
            @kind, @key = about
            talk = Services::Notes.new(context, id)
            @name = talk.name(kind, key)
            @rows = talk.strands.map { |strand| row(strand) }
            @question = Services::Inquiries::Read.new(context).call(id).question.text
            freeze
          end

          # What the new note is about, in words.
          def about_words
            kind == "inquiry" ? "this inquiry" : "#{Services::Notes::KINDS.fetch(kind).downcase} “#{@name}”"
          end

          def typed = errors.any? ? @fields.text(:text) : ""

          private

          def about
            kind = Services::Notes::KINDS.key?(@fields.text(:kind)) ? @fields.text(:kind) : "inquiry"
            [kind, kind == "inquiry" ? "" : @fields.text(:key)]
          end

          def row(strand)
            first = strand.first
            said = [first, *strand.answers].map { |note| [note.who, day_and_time(note.at), note.text] }
            settled = "settled by #{first.settled_by}, #{day_and_time(first.settled_at)}" unless strand.open?
            Row.new(id: first.id, about: named(first), path: path(first), said:, open: strand.open?, settled:)
          end

          def named(note)
            kind = Services::Notes::KINDS.fetch(note.kind)
            note.kind == "inquiry" ? kind : "#{kind}: #{note.name}"
          end

          def path(note)
            step = STEPS[note.kind] or return
            query = note.kind == "paper" ? "?#{Rack::Utils.build_query("paper" => note.key)}" : ""
            "/inquiries/#{id}/#{step}#{query}"
          end
        end
      end
    end
  end
end
