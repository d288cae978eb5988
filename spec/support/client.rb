# frozen_string_literal: true

require "rack/test"

# A client without a browser: sends forms with the token of the page, as a person's browser would.
module Client
  include Rack::Test::Methods

  # A request waits for a PDF until it is read, however busy the machine is.
  def self.included(group)
    group.before do
      stub_const("Hobrin::Services::Screen::FullText::READING", Hobrin::Services::ReadLater.new(at_once: 2, patience: 120))
    end
  end

  def app = @app ||= Hobrin::Server.app(context, home:)

  def visit_page(path)
    header "Host", "127.0.0.1"
    get path
    @token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1] || @token
    last_response
  end

  # Posts a form, with the token unless told otherwise.
  def send_form(path, token: @token, **params)
    header "Host", "127.0.0.1"
    post path, { "authenticity_token" => token, **params.transform_keys(&:to_s) }.compact
    last_response
  end
end
