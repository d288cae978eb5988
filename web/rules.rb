# frozen_string_literal: true

require "mustermann"

module Hobrin
  module Web
    # Who may ask for what, as the routes of all places declare it (see Routing). An address that none
    # declares is refused to everybody.
    module Rules
      PLACES = [Home::Routes, Library::Routes, Steps::Ask::Routes, Steps::Terms::Routes, Steps::Narrow::Routes,
                Steps::Screen::Routes, Steps::Appraise::Routes, Steps::Act::Routes, Steps::Trail::Routes,
                Library::Routes::Protocols, People::Routes, People::TogetherRoutes].freeze
      ROUTES = PLACES.flat_map(&:routes).freeze

      # Each route with its path as a pattern.
      PATTERNS = ROUTES.map { |route| [route, Mustermann.new(route.path, type: :sinatra)] }.freeze
      private_constant :ROUTES, :PATTERNS

      class << self
        # Array of "VERB /path", of all addresses that have a rule.
        def addresses = ROUTES.map(&:address)

        # What a request needs: [need, Hash of what stands in the address], or nil where there is no
        # rule.
        def of(verb, path) = found(verb, path)&.then { |route, given| [route.need, given] }

        # The address as its route has it, such as "/inquiries/:id/ask", or nil.
        def address(verb, path) = found(verb, path)&.first&.path

        private

        # The most exact address counts, which is the one with the fewest names in it.
        def found(verb, path)
          verb = "GET" if verb == "HEAD"
          all = PATTERNS.filter_map do |route, pattern|
            given = route.verb == verb && pattern.params(path)
            [route, given] if given
          end
          all.min_by { |_, given| given.size }
        end
      end
    end
  end
end
