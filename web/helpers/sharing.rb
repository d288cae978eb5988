# frozen_string_literal: true

module Hobrin
  module Web
    # Briefs at addresses of their own.
    module Sharing
      # A brief as whoever has its address reads it: nothing on the page leads anywhere else.
      def show_shared(token)
        @page = Pages::Shared.new(Services::ShareBrief.new(context).read(token))
        show_alone :"layout/shared", title: @page.title
      end

      # The address at which the brief of an inquiry can be read, or nil.
      def shared_address(id)
        token = Services::ShareBrief.new(context).token(id)
        token && "#{request.base_url}/shared/#{token}"
      end
    end
  end
end
