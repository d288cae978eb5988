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

        FIELDS = Book.names("library.duplicates.field", %i[title authors journal published pages doi id])
        private_constant :FIELDS

        # linked :: Array of Pair; parted :: of those that were said to be two papers; next_path :: where the list goes
        # on, nil at its end
        attr_reader :linked, :parted, :next_path

        # fields :: Fields, where `after` is the number after which the list goes on
        def initialize(context:, fields:)
          super()
          @sample = context.snapshot.sample?
          settling = Services::Library::SettleDuplicates.new(context)
          after = fields.number(:after)
          found = settling.linked(after: after.is_a?(Integer) ? after : 0)
          @next_path = "/library/doubles?after=#{found.last.number}" if found.size == Services::Library::SettleDuplicates::MOST
          @linked = found.map { |pair| row(pair, Book.t("library.duplicates.mark_different"), { do: "part", number: pair.number }) }
          @parted = settling.parted.map do |pair|
            row(pair, Book.t("library.duplicates.mark_same"), { do: "join", first: pair.first, number: pair.number })
          end
          freeze
        end

        def sample? = @sample

        private

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
