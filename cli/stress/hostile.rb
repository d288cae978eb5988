# frozen_string_literal: true

require "rack/mock"

module Hobrin
  module Cli
    module Stress
      # Ten thousand requests that no page sends, at addresses that there are and that there are
      # not.
      class Hostile
        VALUES = ["", "a\0b", "\xFF\xFE", "-1", "9" * 400, "𝒳👵🏽½", "é " * 500, "a(" * 5_000, "\"?*(" * 50, "0.5",
                  "' OR 1=1 --", "<script>alert(1)</script>", "../../etc/passwd", "%00", "{{7*7}}", "1e309", "NaN",
                  "2026-02-30", "; drop table inquiries", "$(id)", "\r\nSet-Cookie: a=b", "1", "P", "yes"].freeze
        NAMES = %w[do paper verdict reason note question text typed block source there most outcome measure numbers from
                   to seen show order part rung find open line way title rule name login password ward role person
                   ability second marks lines steps values value archive file token key style].freeze
        SHAPES = [->(value) { value }, ->(value) { [value, value] }, ->(value) { { "a" => value } },
                  ->(value) { { "a" => { "b" => [value] } } }].freeze
        private_constant :VALUES, :NAMES, :SHAPES

        def initialize(home, count: 10_000, seed: 3)
          @home = home
          @count = count
          @random = Random.new(seed)
        end

        # Gives an Array of lines.
        def call
          require_relative "../../config/server"
          context = Boot.context(home: @home)
          @browser = Rack::MockRequest.new(Server.app(context, home: @home))
          statuses = Array.new(@count) { status }
          bad = statuses.select { |_, status| status >= 500 }
          ["#{@count} hostile requests: #{statuses.map { |_, status| "#{status / 100}xx" }.tally.sort.to_h}.",
           *bad.tally.first(20).map { |(address, status), times| "#{status} at #{address}, #{times} times" }]
        end

        private

        def status
          verb, path = pick(Web::Rules.addresses).split(" ", 2)
          path = path.gsub(/:\w+/) { pick(VALUES + (["1"] * 30) + %w[2 P age csv]) }
          env = { "HTTP_HOST" => "localhost", "REMOTE_ADDR" => "127.0.0.1", params: }
          env["HTTP_HX_REQUEST"] = "true" if @random.rand(3).zero?
          env = env.merge(token) if verb == "POST" && @random.rand(10).positive?
          answer = @browser.request(verb, Rack::Utils.escape_path(path.b), env)
          ["#{verb} #{path[0, 160].scrub.inspect}", answer.status]
        rescue URI::InvalidURIError
          [path, 400]
        end

        def params
          Array.new(@random.rand(1..5)) { [pick(NAMES), pick(SHAPES).call(pick(VALUES))] }.to_h
        end

        # The token of a page, as a browser would send it.
        def token
          @token ||= begin
            page = @browser.get("/", "HTTP_HOST" => "localhost", "REMOTE_ADDR" => "127.0.0.1")
            { "HTTP_COOKIE" => page["set-cookie"].to_s[/[^;]+/],
              "HTTP_X_CSRF_TOKEN" => page.body[/name="authenticity_token" value="([^"]+)"/, 1] }
          end
        end

        def pick(list) = list.sample(random: @random)
      end
    end
  end
end
