# frozen_string_literal: true

module Hobrin
  module Web
    # Briefs at addresses of their own.
    module Sharing
      # A brief as whoever has its address reads it: nothing on the page leads anywhere else.
      def show_shared(token)
        @page = Pages::Shared.new(Services::Act::ShareBrief.new(context).read(token))
        show_alone :"layout/shared", title: @page.title
      end

      # When a link may end: [days, name, whether it is chosen].
      def link_days
        [["", "never", true], *Services::Act::ShareBrief::DAYS.map { |days| [days, "after #{days} days", false] }]
      end

      # When a link ends and when it was opened last, in words. share :: Store::SharedBriefs::Share
      def link_facts(share)
        ends = share.ends_at ? "It ends on #{day(share.ends_at)}." : "It does not end by itself."
        used = share.used_at ? "Last opened on #{day_and_time(share.used_at)}." : "Nobody has opened it yet."
        "#{ends} #{used}"
      end

      # The address at which the brief of an inquiry can be read, or nil.
      def shared_address(id)
        token = Services::Act::ShareBrief.new(context).token(id)
        token && at_host("/shared/#{token}")
      end

      # A path of this Hobrin as an address with its host.
      def at_host(path) = "#{request.base_url}#{path}"
    end
  end
end
