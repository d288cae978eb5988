# frozen_string_literal: true

require "rack/deflater"
require "rack/protection"
require "rack/session"
require "sinatra/base"

module Hobrin
  module Web
    # The web application: puts the routes of each step together and says what every answer carries.
    # `App.build` makes one for a context, so that a process may serve several homes.
    class App < Sinatra::Base
      TOO_OLD = Book.t("common.errors.expired")
      # Denying is not the default, which would drop the session and go on.
      PROTECTION = { use: %i[authenticity_token], except: %i[remote_token], reaction: :deny,
                     message: TOO_OLD }.freeze
      # The inquiry that an address is about.
      ABOUT = %r{\A/inquiries/(\d{1,15})(?:/|\z)}
      # Pages are packed for their way. That gives no secret away: the token in them is masked anew for each.
      PACKED = %w[text/html text/plain text/csv text/xml application/json image/svg+xml].freeze
      WORTH_PACKING = ->(_env, _status, headers, _body) { headers["content-length"].to_i > 1_000 }
      private_constant :TOO_OLD, :PROTECTION, :ABOUT, :PACKED, :WORTH_PACKING

      set :root, __dir__
      set :views, __dir__
      set :static, false
      set :erb, escape_html: true
      set :reload_templates, false
      set :show_exceptions, false
      set :raise_errors, false
      set :logging, false
      set :dump_errors, false
      # Sessions and protection stand before the application, in `build`, since they differ from
      # home to home.
      set :sessions, false
      set :protection, false
      set :host_authorization, {}

      helpers Formatting, Helpers::Texts, Helpers::Rendering, Helpers::Alone, Helpers::Forms, Helpers::Files, Helpers::Identifiers,
              Helpers::Sharing, Helpers::Here, People::Helpers, Pictures, Steps::Terms::Overlap::Pictures,
              Steps::Appraise::Pictures::Pooled, Steps::Appraise::Pictures::OfOutcomes, Steps::Act::Pictures::Charts,
              Steps::Act::Pictures::Flow, Steps::Trail::Picture::Svg

      # context :: Services::Context; session_secret :: signs the cookies; hosts :: names that it answers to
      # Gives a Rack application.
      # shared :: what SigningIn::Gate takes, where people sign in; nil where this machine alone may come
      # log :: what a line for each request is written to, nil for nowhere
      def self.build(context:, session_secret:, hosts:, shared: nil, log: nil)
        application = new!(context:)
        Assets.load
        secure = shared.to_h[:origin].to_s.start_with?("https:")
        Rack::Builder.app do
          use Guards::Log, out: log
          use Rack::Deflater, include: PACKED, if: WORTH_PACKING
          use Guards::AtHome unless shared && shared[:required]
          use Guards::Encryption if secure
          use Guards::Patience
          use Guards::RequestBounds
          use Assets
          use Rack::Protection::HostAuthorization, permitted_hosts: hosts, logging: false
          use Rack::Session::Cookie, key: "hobrin", secret: session_secret, httponly: true,
                                     secure:, same_site: :lax
          use Rack::Protection, PROTECTION
          use SigningIn::Gate, context:, secret: session_secret, **shared if shared
          run application
        end
      end

      def initialize(app = nil, context:)
        super(app)
        @home_context = context
      end

      before do
        context
        headers Security::HEADERS
        halt 400, Security::BAD_TEXT unless Security.readable?(params)
        not_found unless Security.readable?(Security.address(request.path_info))
        halt 400, Security::TOO_MUCH unless Lengths.sensible?(params)
        halt 400, Security::TOO_MUCH if request.get? && Lengths.excess(params)
      end

      # Before the routes, so that nothing is done for who may not.
      register Admission
      register(*Rules::PLACES)
      register Failures

      # Patience must not be taken for a fault of the page.
      error(Deadline::Passed) { raise env["sinatra.error"] }

      private

      # Templates stand beside their page: "terms/page" in web/steps/terms, "home/page" in web/home.
      def find_template(views, name, engine, &)
        super(File.join(views, "steps"), name, engine, &)
        super
      end

      # The library as it is at this request, and who it is from.
      def context
        @context ||= begin
          person = env[SigningIn::PERSON]&.then { |id| Services::Accounts::Read.new(@home_context).person(id) }
          mine = person ? @home_context.pinned.as(person) : @home_context.pinned
          id = request.path_info[ABOUT, 1]
          id ? mine.about(id.to_i) : mine
        end
      end
    end
  end
end
