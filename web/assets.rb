# frozen_string_literal: true

require "digest"
require "zlib"

module Hobrin
  module Web
    # What ships with the application: one style sheet, one script, the fonts and the mark, read once
    # when the server starts. Each stands at an address that changes with its content, so that a
    # browser keeps it for a year and never asks again.
    #
    #   Assets.path("hobrin.css") # => "/assets/hobrin-5f3a91c07e2d.css"
    class Assets
      ROOT = File.join(__dir__, "public")
      FOLDER = "/assets/"
      STYLES = ["vendor/bootstrap/bootstrap.min.css",
                *%w[tokens frame home library people ask terms narrow trail screen appraise act small-window]
                  .map { |name| "css/#{name}.css" }].freeze
      # Rules for paper alone.
      PRINTED = "css/print.css"
      SCRIPTS = ["vendor/htmx.org/htmx.min.js",
                 *%w[marking queue saving drafts keys since years slider choosing bringing].map { |name| "js/#{name}.js" }].freeze
      # The fonts that every page shows at once.
      FIRST_FONTS = %w[atkinson-hyperlegible-latin-400-normal.woff2 atkinson-hyperlegible-latin-700-normal.woff2
                       source-serif-4-latin-400-normal.woff2 source-serif-4-latin-600-normal.woff2].freeze
      TYPES = { ".css" => "text/css; charset=utf-8", ".js" => "text/javascript; charset=utf-8", ".woff2" => "font/woff2",
                ".svg" => "image/svg+xml" }.freeze
      # Fonts are compressed already.
      PACKED = %w[.css .js .svg].freeze
      HEADERS = { "cache-control" => "public, max-age=31536000, immutable", "x-content-type-options" => "nosniff",
                  "vary" => "accept-encoding" }.freeze
      private_constant :ROOT, :FOLDER, :STYLES, :PRINTED, :SCRIPTS, :FIRST_FONTS, :TYPES, :PACKED, :HEADERS

      # body :: as it is; packed :: the same by gzip, nil where that saves nothing
      class Shipped < Value
        attributes :type, :body, :packed
      end

      class << self
        # Reads all of it now, so that nobody waits for it.
        def load = all

        # The address of a file by its name. Raises KeyError for one that does not ship.
        def path(name) = all.first.fetch(name)

        # Addresses of the fonts that a browser is to fetch before it has read the style sheet.
        def first_fonts = FIRST_FONTS.map { |name| path(name) }

        # The Shipped at an address, or nil.
        def at(address) = all.last[address]

        private

        # [Hash of name to address, Hash of address to Shipped]
        def all = @all ||= read.then { |files| [files.transform_values(&:first), files.values.to_h] }

        # Hash of name to [address, Shipped]. The style sheet names fonts by their addresses, so it comes last.
        def read
          fonts = Dir["#{ROOT}/vendor/*/*.woff2"].to_h { |path| entry(File.basename(path), File.binread(path)) }
          whole = { "hobrin.js" => joined(SCRIPTS), "mark.svg" => text("images/mark.svg"), "hobrin.css" => styles(fonts) }
          { **fonts, **whole.to_h { |name, body| entry(name, body) } }
        end

        def entry(name, body)
          ending = File.extname(name)
          address = "#{FOLDER}#{name.delete_suffix(ending)}-#{Digest::SHA256.hexdigest(body)[0, 12]}#{ending}"
          packed = Zlib.gzip(body, level: Zlib::BEST_COMPRESSION) if PACKED.include?(ending)
          [name, [address, Shipped.new(type: TYPES.fetch(ending), body: body.freeze, packed: packed.freeze)]]
        end

        def styles(fonts)
          sheet = "#{joined(STYLES)}\n@media print {\n#{text(PRINTED)}}\n"
          sheet.gsub(%r{url\("/vendor/[^"]*/([^/"]+)"\)}) { %(url("#{fonts.fetch(Regexp.last_match(1)).first}")) }
        end

        def joined(names) = names.map { |name| text(name) }.join("\n")
        def text(name) = File.read(File.join(ROOT, name), encoding: "UTF-8")
      end

      # Before any session is opened: what ships needs no cookie.
      def initialize(app)
        @app = app
      end

      def call(env)
        address = env["PATH_INFO"].to_s
        return @app.call(env) unless address.start_with?(FOLDER)

        file = Assets.at(address)
        return [404, { "content-type" => "text/plain" }, [Book.t("common.errors.no_file")]] unless file

        packed = file.packed && env["HTTP_ACCEPT_ENCODING"].to_s.match?(/\bgzip\b/)
        body = packed ? file.packed : file.body
        headers = { **HEADERS, "content-type" => file.type, "content-length" => body.bytesize.to_s }
        headers["content-encoding"] = "gzip" if packed
        [200, headers, env["REQUEST_METHOD"] == "HEAD" ? [] : [body]]
      end
    end
  end
end
