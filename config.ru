# frozen_string_literal: true

# For any Rack server: serves the home that HOBRIN_HOME names, without loading sample data.
require_relative "config/server"

home = Hobrin::Boot.home
# With HOBRIN_SHARED=yes everybody signs in; otherwise this machine alone is answered.
shared = { required: true } if ENV["HOBRIN_SHARED"] == "yes"
run Hobrin::Server.app(Hobrin::Boot.context(home:), home:, shared:)
