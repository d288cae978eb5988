# frozen_string_literal: true

require "rack/files"

module Hobrin
  module Web
    module Guards
      # Styles, scripts and fonts, before any session is opened: they need no cookie.
      class ShippedFiles
        HEADERS = { "cache-control" => "public, max-age=3600",
                    "x-content-type-options" => "nosniff" }.freeze
        private_constant :HEADERS

        def initialize(app, root:)
          @app = app
          @folders = Dir.children(root).map { |name| "/#{name}" }
          @files = Rack::Files.new(root, HEADERS)
        end

        def call(env)
          path = env["PATH_INFO"].to_s
          shipped = @folders.any? { |folder| path == folder || path.start_with?("#{folder}/") }
          shipped ? @files.call(env) : @app.call(env)
        end
      end
    end
  end
end
