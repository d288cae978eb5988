# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      module People
        # What others may do with an inquiry.
        class Sharing < Page
          CHOICES = { **Hobrin::People::Standing::GIVEN, owns: "owns it in my place" }.freeze
          private_constant :CHOICES

          attr_reader :id, :question

          def initialize(context:, id:, errors:)
            super(errors:)
            @id = id
            @shared = Services::ShareInquiry.new(context).read(id)
            @twice = Services::ReadTwice.new(context, id)
            @question = Services::ReadInquiry.new(context).call(id).question.text
          end

          def owner = @shared.owner&.name
          def ward = @shared.ward&.name

          # The names of the two who read its papers, or none.
          def readers = @twice.readers.map(&:name)
          def second_choices = @shared.people.keys.map { |person| [person.id, person.name, false] }

          # Array of [id, name, whether as a librarian, choices].
          def rows
            @shared.people.map do |person, may|
              librarian = person.librarian?(@shared.ward.id)
              [person.id, person.name, librarian, CHOICES.map { |value, name| [value, name, value == may] }]
            end
          end
        end
      end
    end
  end
end
