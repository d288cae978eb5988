# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Act
        # Who signs the brief off, and why although something is open. The service does it, since it
        # keeps the brief as it was.
        class SignForm < Form
          def signer = fields.text(:signer)
          def reason = written(:reason)
          def after(_outcome) = After.new(said: "Signed off.", list: { "show" => "versions" })
        end
      end
    end
  end
end
