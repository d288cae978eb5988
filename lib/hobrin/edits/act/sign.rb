# frozen_string_literal: true

module Hobrin
  module Edits
    module Act
      # Signs the brief off as it stands. name :: of who signs
      class Sign < Edit
        STEP = :act
        LONGEST = 120
        attributes :name
        private_constant :LONGEST

        # A brief that changed since it was read must be read again before it is signed.
        def about(inquiry) = inquiry

        # Raises InputError (:signer).
        def call(inquiry, surroundings)
          signer = name.gsub(/[[:space:]]+/, " ").strip
          refuse("Write who signs.") if signer.empty?
          refuse("Keep the name to #{LONGEST} characters.") if signer.size > LONGEST
          refuse("Write what the evidence says before it is signed.") if inquiry.conclusion.empty?

          signature = Brief::Acting::Signature.new(name: signer, on: surroundings.today,
                                                   line: surroundings.trail.size + 1)
          acting = inquiry.acting.with(signed: [*inquiry.acting.signed, signature])
          Change.new(inquiry: inquiry.with(acting:), kind: :brief_signed,
                     facts: { name: signer, version: acting.signed.size })
        end

        private

        def refuse(words) = raise(InputError, { signer: words })
      end
    end
  end
end
