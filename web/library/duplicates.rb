# frozen_string_literal: true

module Hobrin
  module Web
    module Library
      # Papers that several records stand for, side by side.
      class Duplicates < Web::Page
        # A pair: lines :: Array of [what, of the first, of the other, whether they differ]; press ::
        #   what the button says; fields :: Hash that its form carries along
        class Pair < Value
          attributes :title, :lines, :press, :fields
        end

        FIELDS = { title: "Title", authors: "Authors", journal: "Journal", published: "Published", pages: "Pages",
                   doi: "DOI", id: "Id" }.freeze
        private_constant :FIELDS

        # fields :: Fields, where `after` is the number after which the list goes on
        def initialize(context:, fields:)
          super()
          @context = context
          @settling = Services::Library::SettleDuplicates.new(context)
          @after = fields.number(:after).then { |number| number.is_a?(Integer) ? number : 0 }
        end

        def sample? = @context.snapshot.sample?

        def linked
          found.map { |pair| row(pair, "They are two papers", { do: "part", number: pair.number }) }
        end

        def parted
          @settling.parted.map do |pair|
            row(pair, "They are the same after all",
                { do: "join", first: pair.first, number: pair.number })
          end
        end

        # Where the list goes on; nil at its end.
        def next_path = ("/library/doubles?after=#{found.last.number}" if found.size == Services::Library::SettleDuplicates::MOST)

        private

        def found = @found ||= @settling.linked(after: @after)

        def row(pair, press, fields)
          lines = FIELDS.map do |field, name|
            one, other = [pair.one, pair.other].map { |record| told(record, field) }
            [name, one, other, Text::Tokens.line(one) != Text::Tokens.line(other)]
          end
          Pair.new(title: pair.one.title, lines:, press:, fields:)
        end

        def told(record, field)
          field == :authors ? record.authors.map(&:short).join(", ") : record.public_send(field).to_s
        end
      end
    end
  end
end
