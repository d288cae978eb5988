# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      module People
        # Where somebody who was asked to join does so.
        class Invitation < Page
          def initialize(invitation:, errors:, fields:)
            super(errors:)
            @invitation = invitation
            @fields = fields
          end

          def by = @invitation.made_by
          def name = @fields.sent?(:name) ? @fields.text(:name) : @invitation.name
          def login = @fields.text(:login)
          def shortest = Hobrin::People::Password::SHORTEST
        end
      end
    end
  end
end
