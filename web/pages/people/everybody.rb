# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      module People
        # People and wards, for who runs this Hobrin.
        class Everybody < Page
          # A person: places :: Array of [People::Ward, role or nil]
          class Row < Value
            attributes :id, :name, :login, :runs, :guarded, :places
          end

          ROLES = { nil => "not here", member: "member", librarian: "librarian" }.freeze
          MOST_LINES = 12
          private_constant :ROLES, :MOST_LINES

          # The address for somebody who was just asked, nil for none.
          attr_reader :invited, :said

          # said :: what is to be told on the page, nil for nothing
          def initialize(context:, errors:, invited:, said: nil)
            super(errors:)
            @said = said
            @overview = Services::Accounts::Read.new(context).call
            @invited = invited
          end

          def rows
            @overview.people.map do |person|
              Row.new(**person.to_h.slice(:id, :name, :login, :runs), guarded: @overview.guarded.include?(person.id),
                                                                      places: wards.map { |ward| [ward, person.wards[ward.id]] })
            end
          end

          def closed = @overview.closed
          def wards = @overview.wards
          def roles(chosen) = ROLES.map { |value, name| [value, name, value == chosen] }

          def role_choices
            Hobrin::People::Person::ROLES.map { |value, name| [value, name, value == :member] }
          end

          def ward_choices = wards.map { |ward| [ward.id, ward.name, false] }

          def invitations
            @overview.invitations.map { |one| [one.id, one.name, one.made_by, day_and_time(one.ends_at)] }
          end

          # Wards some of whose inquiries nobody owns: [ward, how many, choices of people].
          def unowned
            wards.filter_map do |ward|
              count = @overview.unowned[ward.id] or next
              people = @overview.people.select { |person| person.in?(ward.id) }
              [ward, count == 1 ? "1 inquiry has" : "#{number(count)} inquiries have",
               people.map { |person| [person.id, person.name, false] }]
            end
          end

          def log
            @overview.log.first(MOST_LINES).map do |line|
              [day_and_time(line.at), line.who, line.what, line.about]
            end
          end

          # What is wrong with the log, or nil.
          def broken
            at = @overview.broken_at
            at && "Line #{at} of the log is not as it was written, or the one before it is missing."
          end
        end
      end
    end
  end
end
