# frozen_string_literal: true

module Hobrin
  module Web
    # What every answer carries so that nothing foreign runs in the page, and what a request may
    # hold.
    module Security
      POLICY = {
        "default-src" => "'none'", "script-src" => "'self'", "style-src" => "'self'", "font-src" => "'self'",
        "img-src" => "'self' data:", "connect-src" => "'self'", "form-action" => "'self'", "base-uri" => "'none'",
        "frame-ancestors" => "'none'"
      }.map { |directive, source| "#{directive} #{source}" }.join("; ").freeze

      HEADERS = { "content-security-policy" => POLICY, "referrer-policy" => "same-origin",
                  "x-content-type-options" => "nosniff", "cache-control" => "no-store" }.freeze

      TOO_MUCH = Book.t("common.errors.too_large")
      BAD_TEXT = Book.t("common.errors.not_text")

      # An address as the routes will read it.
      def self.address(path) = URI::DEFAULT_PARSER.unescape(path).force_encoding(Encoding::UTF_8)

      # Whether all names and values of the parameters are valid UTF-8 without NUL.
      def self.readable?(value)
        case value
        when String then value.valid_encoding? && !value.include?("\0")
        when Hash then value.all? { |name, part| readable?(name.to_s) && readable?(part) }
        when Array then value.all? { |part| readable?(part) }
        else true
        end
      end
    end
  end
end
