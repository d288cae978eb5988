# frozen_string_literal: true

module Hobrin
  module Web
    # How a place declares its routes: each stands beside the forms that it takes, and says who may
    # use it. Admission asks before the route runs, so that nothing is done for who may not.
    #
    #   module Routes
    #     extend Routing
    #
    #     get("/inquiries/:id/word", needs: :reads) { show :word }
    #   end
    module Routing
      # open :: anybody; signed_in :: anybody who signed in; catalogue :: other machines, where they
      #   are allowed; library :: who keeps the library; runs :: administrators
      # reads, second, works, owns :: of the inquiry in the address, as People::Standing has them
      NEEDS = %i[open signed_in catalogue library runs reads second works owns].freeze

      # action :: a Proc that runs as a Sinatra route does
      class Route < Value
        attributes :verb, :path, :need, :action

        def address = "#{verb} #{path}"
      end

      # Array of Route, in the order in which they are tried.
      def routes = @routes ||= []

      # path :: as Sinatra reads it; needs :: one of NEEDS
      def get(path, needs:, &action) = declare("GET", path, needs, action)
      def post(path, needs:, &action) = declare("POST", path, needs, action)

      # Called by Sinatra's `register`.
      def registered(app)
        routes.each { |route| route.verb == "GET" ? app.get(route.path, &route.action) : app.post(route.path, &route.action) }
      end

      private

      def declare(verb, path, need, action)
        raise ArgumentError, "no such need: #{need}" unless NEEDS.include?(need)

        routes << Route.new(verb:, path:, need:, action:)
      end
    end
  end
end
