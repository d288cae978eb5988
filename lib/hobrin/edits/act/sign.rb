# frozen_string_literal: true

module Hobrin
  module Edits
    module Act
      # Signs the brief off as it stands.
      #
      # name :: of who signs; gaps :: sentences of what does not fit or is still open, see
      #   Brief::SignOffCheck; reason :: why it is signed all the same
      class Sign < Edit
        STEP = :act
        LONGEST = { signer: 120, reason: 500 }.freeze
        attributes :name, :reason, :gaps
        private_constant :LONGEST

        def initialize(name:, reason: "", gaps: [])
          super
        end

        # A brief that changed since it was read must be read again before it is signed.
        def about(inquiry) = inquiry

        # Raises InputError (:signer, :reason).
        def call(inquiry, surroundings)
          signer, why = [name, reason].map { |text| text.gsub(/[[:space:]]+/, " ").strip }
          check(inquiry, signer, why)
          signature = Brief::Acting::Signature.new(name: signer, on: surroundings.today, line: surroundings.trail.size + 1,
                                                   gaps:, reason: gaps.empty? ? "" : why)
          acting = inquiry.acting.with(signed: [*inquiry.acting.signed, signature])
          kind, facts = gaps.empty? ? [:brief_signed, {}] : [:brief_signed_despite, { gaps: gaps.size, reason: why }]
          Change.new(inquiry: inquiry.with(acting:), kind:, facts: { name: signer, version: acting.signed.size, **facts })
        end

        private

        def check(inquiry, signer, why)
          errors = { signer:, reason: why }.select { |field, text| text.size > LONGEST.fetch(field) }
          errors = errors.to_h { |field, _| [field, "Keep this to #{LONGEST.fetch(field)} characters."] }
          errors[:signer] = "Enter your name." if signer.empty?
          errors[:signer] = "Write the conclusion before you sign." if inquiry.conclusion.empty?
          errors[:reason] = "Give a reason for signing although something is open." if gaps.any? && why.empty?
          raise InputError, errors unless errors.empty?
        end
      end
    end
  end
end
