# frozen_string_literal: true

module Hobrin
  module Web
    module People
      # What others may do with an inquiry.
      class Sharing < Page
        # Where what two do independently is compared.
        PATHS = { sift: "differences", weigh: "sheets" }.freeze
        private_constant :PATHS

        # A step that two do apart, or could: names :: of the two, or none
        class Twice < Value
          attributes :step, :names, :path

          def on? = names.any?
          def title = Book.t("people.access.dual.#{step}.title")
          def second = Book.t("people.access.dual.#{step}.second")
          def start = Book.t("people.access.dual.#{step}.start")
          def hint = Book.t("people.access.dual.#{step}.hint")
          def going_on = Book.t("people.access.dual.#{step}.going_on", people: Book.list(names))
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
            Twice.new(step:, names: service.new(context, id).readers.map(&:name), path: PATHS.fetch(step))
          end
          @question = Services::Inquiries::Read.new(context).call(id).question.text
          freeze
        end

        # Who owns it, in words.
        def owned
          owner = @shared.owner&.name
          return owner ? Book.t("people.access.owned_by", person: owner) : Book.t("people.access.owned_by_nobody") unless ward
          return Book.t("people.access.owned_and_read", person: owner, ward:) if owner

          Book.t("people.access.owned_by_ward", ward:)
        end

        def ward = @shared.ward&.name

        def second_choices = @shared.people.keys.map { |person| [person.id, person.name, false] }

        # Array of [id, name, whether as a librarian, choices].
        def rows
          @shared.people.map do |person, may|
            librarian = person.librarian?(@shared.ward.id)
            [person.id, person.name, librarian, choices(may)]
          end
        end

        # What a colleague may be given, for a select.
        def choices(may)
          given = Hobrin::People::Standing::GIVEN.merge(owns: Book.t("people.access.own"))
          given.map { |value, name| [value, name, value == may] }
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
            kind == "inquiry" ? Book.t("people.access.this_inquiry") : "#{Services::Notes::KINDS.fetch(kind).downcase} “#{@name}”"
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
            settled = Book.t("people.dual.resolved_by", person: first.settled_by, time: day_and_time(first.settled_at)) unless strand.open?
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
