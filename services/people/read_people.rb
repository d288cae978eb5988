# frozen_string_literal: true

module Hobrin
  module Services
    # Who works here: for who runs this Hobrin.
    class ReadPeople
      # people, closed :: Arrays of People::Person; wards :: Array of People::Ward; invitations ::
      #   Array
      #   of Store::Invitations::Invitation that wait; guarded :: ids of those with a second step
      # log :: the last lines, Array of Store::Audit::Line; broken_at :: number of the first line
      #   that is not as it was written, or nil
      class Overview < Value
        attributes :people, :closed, :wards, :invitations, :guarded, :log, :broken_at
      end

      LINES = 60
      private_constant :LINES

      MOST_LINES = 20_000
      private_constant :MOST_LINES

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

      # Gives an Overview.
      def call
        directory = @context.directory
        Overview.new(people: directory.accounts.all, closed: directory.accounts.closed, wards: directory.wards.all,
                     invitations: directory.invitations.waiting(at: @context.now),
                     guarded: directory.accounts.with_second_step,
                     log: directory.audit.last(LINES), broken_at: directory.audit.broken_at)
      end
    end
  end
end
