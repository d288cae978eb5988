# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      module People
        # One's own account: wards, password, second step, where one is signed in.
        class Account < Page
          attr_reader :notice

          # A place where one is signed in: here :: whether it is this one
          class Place < Value
            attributes :name, :begun, :used, :here
          end

          # session :: the name of the one of this request
          def initialize(context:, notice:, session:)
            super()
            @session = session
            @person = context.person
            @directory = context.directory
            @notice = notice
          end

          def name = @person.name
          def login = @person.login
          def runs? = @person.runs

          # Array of [name of a ward, role].
          def wards
            @directory.wards.all.filter_map do |ward|
              role = @person.wards[ward.id]
              [ward.name, Hobrin::People::Person::ROLES.fetch(role)] if role
            end
          end

          def second_step? = @directory.accounts.with_second_step.include?(@person.id)

          # Array of Place, last used first.
          def sessions
            @directory.accounts.sessions(@person.id).map do |session|
              Place.new(name: session.name, begun: when_of(session.begun), used: when_of(session.used),
                        here: session.name == @session)
            end
          end

          private

          def when_of(time) = day_and_time(time.strftime("%Y-%m-%dT%H:%M:%SZ"))
        end
      end
    end
  end
end
