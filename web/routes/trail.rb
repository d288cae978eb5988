# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # The trail.
      module Trail
        def self.registered(app)
          app.get("/inquiries/:id/trail") { show :trail }
        end
      end
    end
  end
end
