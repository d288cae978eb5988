# frozen_string_literal: true

require "openssl"
require "securerandom"

module Hobrin
  module Web
    module SigningIn
      # Tells a browser in which somebody signed in before, by a cookie that lets nobody in: its tries
      # are counted by themselves, so that strangers cannot keep anybody out.
      class Browsers
        COOKIE = "hobrin_known"
        DAYS = 180
        # A browser on a ward is used by many.
        MOST = 8
        FORM = /\A(\h{32})((?:\.\h{32})+)\z/
        private_constant :COOKIE, :DAYS, :MOST, :FORM

        # The name of this browser, or nil.
        attr_reader :id

        def initialize(request, response, secret:)
          @request = request
          @response = response
          @secret = secret
          match = FORM.match(request.cookies[COOKIE].to_s)
          @id = match && match[1]
          @marks = match ? match[2].split(".").drop(1).first(MOST) : []
        end

        # Whether somebody signed in here with this before.
        def known?(login)
          return false unless id

          mark = mark(login)
          @marks.any? { |one| Rack::Utils.secure_compare(one, mark) }
        end

        # Keeps in mind that somebody signed in here.
        def know(login)
          return if known?(login)

          @id ||= SecureRandom.hex(16)
          @marks = [mark(login), *@marks].first(MOST)
          Rack::Utils.set_cookie_header!(@response.headers, COOKIE, {
            value: [id, *@marks].join("."), path: "/", httponly: true, same_site: :lax,
            secure: @request.ssl?, max_age: DAYS * 86_400
          })
        end

        private

        def mark(login) = OpenSSL::HMAC.hexdigest("SHA256", @secret, "known #{id} #{login.to_s.strip.downcase}")[0, 32]
      end
    end
  end
end
