# frozen_string_literal: true

require "digest"

module Hobrin
  module Store
    # What is to be told afterwards of who came in, was refused, took something out or changed what
    # others may do. Lines are only added; each carries a fingerprint of itself and the one before,
    # so that one that is altered or missing is found. The log is checked from where it was checked
    # last; a month that has ended is sealed.
    class Audit < Base
      # at :: ISO 8601; who :: a name, or what was typed; what :: in a word; about :: more of it
      class Line < Value
        attributes :number, :at, :who, :what, :about, :before, :print
      end

      # A month that has ended. upto :: the number of its last line; lines :: how many it has; seal ::
      #   the fingerprint of all its lines and of the month before
      class Month < Value
        attributes :month, :upto, :lines, :print, :seal
      end

      FIRST = "0" * 64
      # What strangers can do as often as they like: so many lines an hour, and one for the others.
      FOLDED = ["wrong password", "wrong code", "wrong spare code", "refused", "new password asked for"].freeze
      MOST_AN_HOUR = 20
      PORTION = 5_000
      private_constant :FIRST, :FOLDED, :MOST_AN_HOUR, :PORTION

      # about :: "" for nothing more
      def add(at:, who:, what:, about: "")
        Database::Trouble.writing(@db) do
          unfold(at)
          write(at:, who:, what:, about:) unless folded?(what, at)
        end
      end

      # The last lines, the last first.
      def last(limit) = @db[:audit].reverse(:number).limit(limit).map { |row| Line.new(**row) }

      # The number of the first line that is not as it was written, or follows one that is missing;
      # nil when all are. Lines that were found so before are not looked at again, but for the last of
      # them.
      def broken_at
        number, print = @db[:audit_checks].order(:number).last&.values_at(:number, :print) || [0, FIRST]
        return number unless number.zero? || @db[:audit].where(number:).get(:print) == print

        broken, last = follow(number, print)
        checked(*last) if last && last.first > number
        broken
      end

      # The same from the first line on, with every month that was sealed. today :: of which the month
      #   has not ended (ISO 8601)
      def broken_anywhere(today:)
        broken, = follow(0, FIRST)
        return broken if broken

        seal(today)
        seals = FIRST
        months.each do |month|
          seals = seal_of(month, seals)
          return month.upto if seals != month.seal
        end
        broken_at
      end

      # The months that have ended, in order. Array of Month.
      def months = @db[:audit_months].order(:month).map { |row| Month.new(**row) }

      private

      def write(**line)
        line = { **line, before: @db[:audit].reverse(:number).get(:print) || FIRST }
        @db[:audit].insert(**line, print: print_of(**line))
      end

      # Counts what strangers do. Gives whether it gets no line of its own.
      def folded?(what, at)
        return false unless FOLDED.include?(what)

        key = { what:, hour: at[0, 13] }
        more = { count: Sequel[:audit_folds][:count] + 1 }
        @db[:audit_folds].insert_conflict(target: key.keys, update: more).insert(**key, count: 1)
        @db[:audit_folds].where(key).get(:count) > MOST_AN_HOUR
      end

      # One line for all that had none in the hours before.
      def unfold(at)
        over = @db[:audit_folds].where(Sequel[:hour] < at[0, 13])
        over.order(:hour, :what).all.each do |row|
          more = row[:count] - MOST_AN_HOUR
          write(at:, who: "several", what: row[:what], about: "#{more} more in the hour from #{row[:hour]}:00") if more.positive?
        end
        over.delete
      end

      # [the number of the first line that is not as it was written, [number, print] of the last that
      # is], from a line on.
      def follow(number, print)
        last = nil
        loop do
          rows = @db[:audit].where(Sequel[:number] > number).order(:number).limit(PORTION).all
          return [nil, last] if rows.empty?

          rows.each do |row|
            good = row[:before] == print && row[:print] == print_of(**row.slice(:at, :who, :what, :about, :before))
            return [row[:number], last] unless good

            last = row.values_at(:number, :print)
            number, print = last
          end
        end
      end

      def checked(number, print)
        Database::Trouble.writing(@db) do
          @db[:audit_checks].delete
          @db[:audit_checks].insert(number:, print:)
        end
      end

      # Seals the months that have ended since the last.
      def seal(today)
        done = months.last
        from = done ? done.upto : 0
        ended = @db[:audit].where(Sequel[:number] > from).where(Sequel[:at] < "#{today[0, 7]}-01")
        by_month = ended.order(:number).select_map(%i[number at print]).group_by { |_, at, _| at[0, 7] }
        by_month.sort.reduce(done&.seal || FIRST) do |before, (month, lines)|
          seal = Digest::SHA256.hexdigest("#{before}#{lines.map(&:last).join}")
          number, _, print = lines.last
          @db[:audit_months].insert_ignore.insert(month:, upto: number, lines: lines.size, print:, seal:)
          seal
        end
      end

      def seal_of(month, before)
        from = @db[:audit_months].where(Sequel[:month] < month.month).max(:upto) || 0
        prints = @db[:audit].where(number: (from + 1)..month.upto).order(:number).select_map(:print)
        Digest::SHA256.hexdigest("#{before}#{prints.join}")
      end

      def print_of(**line)
        Digest::SHA256.hexdigest(JSON.generate(line.values_at(:before, :at, :who, :what, :about)))
      end
    end
  end
end
