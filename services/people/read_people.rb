# frozen_string_literal: true

module Hobrin
  module Services
    # Who works here: for who runs this Hobrin.
    class ReadPeople
      # people, closed :: Arrays of People::Person; wards :: Array of People::Ward; invitations :: Array
      #   of Store::Invitations::Invitation that wait; guarded :: ids of those with a second step
      # unowned :: Hash of ward id to how many of its inquiries nobody owns
      # log :: the last lines, Array of Store::Audit::Line; broken_at :: number of the first line
      #   that is not as it was written, or nil
      class Overview < Value
        attributes :people, :closed, :wards, :invitations, :guarded, :unowned, :log, :broken_at
      end

      LINES = 60
      private_constant :LINES

      MOST_LINES = 20_000
      NOTICED_DAYS = 30
      private_constant :MOST_LINES, :NOTICED_DAYS

      def initialize(context)
        @context = context
      end

      # Gives a Download: the log as a sheet, the last line first.
      def log
        rows = @context.directory.audit.last(MOST_LINES).map do |line|
          line.to_h.values_at(:number, :at, :who, :what, :about, :print)
        end
        sheet = Exchange::Tables::Sheet.new(name: "Log", columns: %w[Line When Who What About Fingerprint], rows:)
        Download.new(name: "hobrin-people-log.csv", type: Exchange::Tables::Csv::TYPE, body: Exchange::Tables::Csv.call(sheet))
      end

      # What the wards of who signed in are told: Array of [name of the ward, Store::Wards::Notice].
      def notices
        return [] unless @context.person

        wards = @context.person.wards.keys

        names = @context.directory.wards.all.to_h { |ward| [ward.id, ward.name] }
        @context.directory.wards.notices(wards, since: @context.days_ago(NOTICED_DAYS))
                .map { |notice| [names[notice.ward_id], notice] }
      end

      # Gives an Overview.
      def call
        directory = @context.directory
        Overview.new(people: directory.accounts.all, closed: directory.accounts.closed, wards: directory.wards.all,
                     invitations: directory.invitations.waiting(at: @context.now),
                     guarded: directory.accounts.with_second_step, unowned: @context.standings.without_owner,
                     log: directory.audit.last(LINES), broken_at: directory.audit.broken_at)
      end
    end
  end
end
