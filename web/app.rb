# frozen_string_literal: true

require "sinatra/base"

module Hobrin
  module Web
    # The web application: puts the routes of each step together and says what every answer carries.
    #
    # Settings: `context` (Services::Context), `session_secret`, and `host_authorization` with the host
    # names that it answers to.
    class App < Sinatra::Base
      set :root, __dir__
      set :views, File.join(__dir__, "views")
      set :public_folder, File.join(__dir__, "public")
      set :static, true
      set :static_cache_control, [:public, { max_age: 3600 }]
      set :erb, escape_html: true
      set :reload_templates, false
      set :show_exceptions, false
      set :raise_errors, false
      set :logging, false
      set :dump_errors, false
      set :sessions, key: "hobrin", httponly: true, same_site: :lax
      # Denying is not the default, which would drop the session and go on.
      set :protection, use: %i[authenticity_token], except: %i[remote_token], reaction: :deny,
                       message: "This page is too old to send from. Load it again, then repeat what you did."
      set :context, nil

      use RequestSize

      helpers Showing, Words, Pictures, OverlapPictures

      before do
        headers Security::HEADERS
        halt 400, Security::BAD_TEXT unless Security.readable?(params)
      end

      register Routes::Home, Routes::Ask, Routes::Word, Routes::Narrow, Routes::Sift, Routes::Weigh, Routes::Act, Routes::Trail
      register Failures
    end
  end
end
