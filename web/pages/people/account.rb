# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      module People
        # One's own account: wards, password, second step, where one is signed in.
        class Account < Page
          attr_reader :notice

          def initialize(context:, notice:)
            super()
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

          # Array of [begun, last used].
          def sessions = @directory.accounts.sessions(@person.id).map { |times| times.map { |time| when_of(time) } }

          private

          def when_of(time) = day_and_time(time.strftime("%Y-%m-%dT%H:%M:%SZ"))
        end
      end
    end
  end
end
