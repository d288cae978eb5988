# frozen_string_literal: true

require "base64"
require "openssl"

module Hobrin
  module Exchange
    module Archive
      # The signature of an archive: Ed25519 (RFC 8032, by OpenSSL) over the fingerprint of all its
      # seals. Seals alone tell that something was changed; whoever remade all of them is told only
      # by the key.
      module Signature
        ALGORITHM = "Ed25519"

        class << self
          # seals :: Hash as Seal.parts gives it; key :: OpenSSL::PKey of Ed25519. Gives a Hash.
          def of(seals, key)
            { "algorithm" => ALGORITHM, "key" => public_key(key),
              "value" => Base64.strict_encode64(key.sign(nil, Seal.of(seals))) }
          end

          # The public half of a key as text: its DER in Base64.
          def public_key(key) = Base64.strict_encode64(key.public_to_der)

          # signature :: Hash as `of` gives it, or anything that a file may hold. Whether it fits.
          def fits?(signature, seals)
            return false unless signature.is_a?(Hash) && signature["algorithm"] == ALGORITHM

            key = OpenSSL::PKey.read(Base64.strict_decode64(signature["key"].to_s))
            key.oid == "ED25519" && key.verify(nil, Base64.strict_decode64(signature["value"].to_s), Seal.of(seals))
          rescue OpenSSL::PKey::PKeyError, ArgumentError, NoMethodError
            false
          end

          # A short name for a public key, to be read out: SHA-256 of it in groups of four.
          def fingerprint(public_key)
            Digest::SHA256.hexdigest(public_key.to_s)[0, 32].scan(/.{4}/).join(" ")
          end
        end
      end
    end
  end
end
