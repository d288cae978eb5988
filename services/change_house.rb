# frozen_string_literal: true

module Hobrin
  module Services
    # Changes what all inquiries share: the library's link resolver, filters that were written here,
    # full texts. It takes a librarian, is written to the log, and can be undone.
    class ChangeHouse < Service
      LAST = 12
      RESOLVER = "resolver"
      private_constant :LAST, :RESOLVER

      def initialize(context)
        super
        @changes = context.house_changes
      end

      # Whether who is here may change what all share.
      def may?
        Permit.new(@context).library
        true
      rescue RefusedError
        false
      end

      # typed :: the address of the link resolver, "" for none. Raises InputError (:resolver).
      def resolver(typed)
        address = Exchange::OpenUrl.base(typed)
        was = @context.settings[RESOLVER]
        change(RESOLVER, "", was) { @context.settings.put(RESOLVER, address) } unless was == address
      end

      # terms :: CQL, nil to take the filter off
      def filter(title, terms)
        was = @context.own_filters.all.find { |filter| filter.title == title }&.terms
        change("filter", title, was) { put_filter(title, terms) } unless was == terms
      end

      # Writes a change down. ward_id :: of a full text that one ward keeps. The block makes the change,
      # and is given the number of the change. Gives what it gives. Raises RefusedError.
      def change(kind, key, was, ward_id: nil)
        Permit.new(@context).library unless ward_id
        id = @changes.add(kind, key, was:, ward_id:, at: @context.clock.now, who: @context.user.name)
        @context.audit.note("changed for #{ward_id ? "the ward" : "all"}", "#{kind} #{key}".strip[0, 300])
        yield id
      end

      # The last changes, the last first: Array of Store::House::Changes::Change.
      def last = @changes.last(LAST)

      # Raises RefusedError, GoneError for one that was undone already.
      def undo(id)
        Permit.new(@context).library
        one = @changes.find(id)
        case one.kind
        when RESOLVER then @context.settings.put(RESOLVER, one.was.to_s)
        when "filter" then put_filter(one.key, one.was)
        when "pdf" then @context.papers.put_back(one.key, id, ward_id: one.ward_id)
        end
        @changes.undone(id, at: @context.clock.now, by: @context.user.name)
        @context.audit.note("undone for all", "#{one.kind} #{one.key}".strip[0, 300])
      end

      private

      def put_filter(title, terms)
        filters = @context.own_filters
        return filters.keep(title, terms, at: @context.clock.now) if terms

        filters.remove(title) if filters.kept?(title)
      end
    end
  end
end
