# frozen_string_literal: true

# For any Rack server: serves the home that HOBRIN_HOME names, without loading sample data.
require_relative "config/server"

home = Hobrin::Boot.home
run Hobrin::Server.app(Hobrin::Boot.context(home:), home:)
