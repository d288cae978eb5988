# frozen_string_literal: true

require "rack/mock"

module Hobrin
  module Tools
    module Stress
      # Ten thousand requests that no page sends, at addresses that there are and that there are
      # not, those of signing in among them: at a desk, as nobody, and as somebody who signed in.
      class Hostile
        VALUES = ["", "a\0b", "\xFF\xFE", "-1", "9" * 400, "𝒳👵🏽½", "é " * 500, "a(" * 5_000, "\"?*(" * 50, "0.5",
                  "' OR 1=1 --", "<script>alert(1)</script>", "../../etc/passwd", "%00", "{{7*7}}", "1e309", "NaN",
                  "2026-02-30", "; drop table inquiries", "$(id)", "\r\nSet-Cookie: a=b", "1", "P", "yes"].freeze
        NAMES = %w[do paper verdict reason note question text typed block source there most outcome measure numbers from
                   to seen show order part rung find open line way title rule name login password ward role person
                   ability second marks lines steps values value archive file token key style without forget inquiry days
                   upload at size otp recovery-code new-password password-confirm remember session situation from page
                   otp_secret otp_raw_secret].freeze
        SIGNING_IN = ["/sign-in", "/sign-out", "/forgotten", "/new-password", "/second-step", "/second-steps", "/be/:id",
                      "/recovery-code", "/account/password", "/account/second-step", "/account/second-step/off",
                      "/account/recovery-codes", "/account/sessions"].freeze
        PERSON = ["hostile", "a quiet night please"].freeze
        SHAPES = [->(value) { value }, ->(value) { [value, value] }, ->(value) { { "a" => value } },
                  ->(value) { { "a" => { "b" => [value] } } }].freeze
        private_constant :VALUES, :NAMES, :SHAPES, :SIGNING_IN, :PERSON

        def initialize(home, count: 10_000, seed: 3)
          @home = home
          @count = count
          @random = Random.new(seed)
        end

        # Gives an Array of lines.
        def call
          require_relative "../../config/server"
          context = Boot.context(home: @home)
          join(context)
          @apps = apps(context)
          @addresses = Web::Rules.addresses + (SIGNING_IN.flat_map { |path| ["GET #{path}", "POST #{path}"] } * 3)
          statuses = Array.new(@count) do |turn|
            # Some requests sign out, or change who one is.
            @visitors = visitors if (turn % 250).zero?
            status
          end
          bad = statuses.select { |_, status| status >= 500 }
          ["#{@count} hostile requests: #{statuses.map { |_, status| "#{status / 100}xx" }.tally.sort.to_h}.",
           *bad.tally.first(20).map { |(address, status), times| "#{status} at #{address}, #{times} times" }]
        end

        private

        def status
          @browser, signed_in = pick(@visitors)
          verb, path = pick(@addresses).split(" ", 2)
          path = path.gsub(/:\w+/) { pick(VALUES + (["1"] * 30) + %w[2 P age csv]) }
          env = { "HTTP_HOST" => "localhost", "REMOTE_ADDR" => "127.0.0.1", params: }
          env["HTTP_HX_REQUEST"] = "true" if @random.rand(3).zero?
          env = env.merge(signed_in || (verb == "POST" && @random.rand(10).positive? ? token : {}))
          answer = @browser.request(verb, Rack::Utils.escape_path(path.b), env)
          ["#{verb} #{path[0, 160].scrub.inspect}", answer.status]
        rescue URI::InvalidURIError
          [path, 400]
        end

        def params
          Array.new(@random.rand(1..5)) { [pick(NAMES), pick(SHAPES).call(pick(VALUES))] }.to_h
        end

        def join(context)
          login, password = PERSON
          ward = context.directory.wards.named("Hostile")
          Services::Accounts::Add.new(context).call(name: login, login:, password:, runs: true, ward_id: ward.id, role: :librarian)
        end

        # At a desk, and where everybody signs in.
        def apps(context)
          post = Outside::Post.new(folder: @home.join("outbox"))
          [nil, { required: true, post: }].map { |shared| Rack::MockRequest.new(Server.app(context, home: @home, shared:)) }
        end

        # [what answers, what a request carries of signing in], of each who comes.
        def visitors
          desk, shared = @apps
          [[desk, nil], [shared, nil], [shared, signed_in(shared, *PERSON)]]
        end

        # From another address, which no wrong password comes from.
        def signed_in(browser, login, password)
          here = { "HTTP_HOST" => "localhost", "REMOTE_ADDR" => "127.0.0.2" }
          page = browser.get("/sign-in", here)
          token = page.body[/name="authenticity_token" value="([^"]+)"/, 1]
          answer = browser.post("/sign-in", { **here, "HTTP_COOKIE" => page["set-cookie"].to_s[/hobrin=[^;]+/],
                                                      params: { login:, password:, authenticity_token: token } })
          cookie = Array(answer["set-cookie"]).join("\n")[/hobrin=[^;]+/]
          page = browser.get("/", { **here, "HTTP_COOKIE" => cookie.to_s })
          { "HTTP_COOKIE" => cookie.to_s, "HTTP_X_CSRF_TOKEN" => page.body[/name="authenticity_token" value="([^"]+)"/, 1] }
        end

        # The token of a page, as a browser would send it.
        def token
          @tokens ||= {}
          @tokens[@browser] ||= begin
            here = { "HTTP_HOST" => "localhost", "REMOTE_ADDR" => "127.0.0.1" }
            page = %w[/ /sign-in].map { |path| @browser.get(path, here) }.find { |one| one.status == 200 }
            { "HTTP_COOKIE" => page["set-cookie"].to_s[/[^;]+/],
              "HTTP_X_CSRF_TOKEN" => page.body[/name="authenticity_token" value="([^"]+)"/, 1] }
          end
        end

        def pick(list) = list.sample(random: @random)
      end
    end
  end
end
