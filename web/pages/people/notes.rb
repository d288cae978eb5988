# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      module People
        # Notes to each other about an inquiry.
        class Notes < Page
          # A note as it is shown; about :: what it is about, path :: where that is, or nil
          class Row < Value
            attributes :id, :about, :path, :said, :open, :settled
          end

          STEPS = { "paper" => "sift", "term" => "word", "limit" => "narrow" }.freeze
          private_constant :STEPS

          attr_reader :id, :question, :kind, :key

          def initialize(context:, id:, fields:, errors:)
            super(errors:)
            @id = id
            @talk = Services::Notes.new(context, id)
            @fields = fields
            @kind, @key = about
            @name = @talk.name(kind, key)
            @question = Services::Inquiries::Read.new(context).call(id).question.text
          end

          # What the new note is about, in words.
          def about_words
            kind == "inquiry" ? "this inquiry" : "#{Services::Notes::KINDS.fetch(kind).downcase} “#{@name}”"
          end

          def typed = errors.any? ? @fields.text(:text) : ""
          def rows = @talk.strands.map { |strand| row(strand) }

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
