# frozen_string_literal: true

module Hobrin
  module Store
    class Inquiries
      # The inquiry after each line of its trail. A line keeps what it changed (see Differences); every
      # EVERY lines, and where the format of documents changes, one keeps the whole.
      class TrailStates < Base
        EVERY = 50
        # Where differences take more than this share of the whole, the whole is kept.
        WORTH = 0.5
        private_constant :EVERY, :WORTH

        # What is written of a line that follows another: { state:, changes:, state_line: }, the last for
        # the row of the inquiry. row :: of the inquiry as it is before; nil for the first line.
        def of_line(row, number, inquiry)
          whole = InquiryDocument.dump(inquiry)
          full = { state: whole, changes: nil, state_line: number }
          before = row && row[:state_line] && number - row[:state_line] < EVERY && document(row)
          return full unless before && before["format"] == Upgrades::FORMAT

          changes = JSON.generate(Differences.between(before, JSON.parse(whole)))
          changes.bytesize > whole.bytesize * WORTH ? full : { state: "", changes:, state_line: row[:state_line] }
        end

        # The Inquiry of a row of inquiries.
        def inquiry(row) = load(document(row))

        # The same of many rows: Hash of id to Inquiry, with one statement for what changed.
        def inquiries(rows)
          lines = changes_of(rows).group_by { |line| line[:inquiry_id] }
          rows.to_h { |row| [row[:id], load(row[:state_line] ? put_together(lines.fetch(row[:id])) : parse(row[:state]))] }
        end

        # The Inquiry as it was after a line. Raises GoneError.
        def at(id, number)
          lines = trail(id).where(Sequel[:number] <= number)
          from = lines.exclude(state: "").max(:number) or raise GoneError, "line"
          found = lines.where(Sequel[:number] >= from).order(:number).select(:number, :state, :changes).all
          raise GoneError, "line" unless found.last[:number] == number

          load(put_together(found))
        end

        private

        def trail(id) = @db[:trail].where(inquiry_id: id)

        # As plain data.
        def document(row)
          return parse(row[:state]) unless row[:state_line]

          put_together(trail(row[:id]).where(Sequel[:number] >= row[:state_line]).order(:number)
                                      .select(:state, :changes).all)
        end

        def changes_of(rows)
          wanted = rows.select { |row| row[:state_line] }
          return [] if wanted.empty?

          @db[:trail].join(:inquiries, id: :inquiry_id)
                     .where(Sequel[:inquiries][:id] => wanted.map { |row| row[:id] })
                     .where(Sequel[:trail][:number] >= Sequel[:inquiries][:state_line])
                     .order(Sequel[:trail][:inquiry_id], Sequel[:trail][:number])
                     .select_map([Sequel[:trail][:inquiry_id], Sequel[:trail][:state], Sequel[:trail][:changes]])
                     .map { |inquiry_id, state, changes| { inquiry_id:, state:, changes: } }
        end

        # lines :: the first of which has the whole
        def put_together(lines)
          whole, *rest = lines
          rest.reduce(parse(whole[:state])) { |data, line| Differences.apply(data, parse(line[:changes])) }
        end

        def parse(text) = JSON.parse(text)
        def load(document) = InquiryDocument.load(JSON.generate(document))

        # What is different between two values that JSON can hold, as a value that JSON can hold, too.
        # Parts that are as they were are not repeated, also where a list was put in another order.
        #
        #   Differences.between({ "a" => [1, 2, 3] }, { "a" => [1, 3, 4] })
        #   # => [["list", ["a"], [[0, 1], [2, 1], { "new" => [4] }]]]
        #
        # Each is one of ["set", path, value], ["drop", path], ["list", path, parts]; a part of a list is
        # [from, count] of the list before, or { "new" => values }.
        module Differences
          class << self
            # before, after :: plain data with Strings for keys. Gives an Array.
            def between(before, after) = [].tap { |found| compare(before, after, [], found) }

            # Gives the data after. before :: is left as it is. Raises KeyError, TypeError for differences
            # that are not of it.
            def apply(before, differences)
              differences.reduce(before) { |data, (kind, path, value)| change(data, path, kind, value) }
            end

            private

            def compare(before, after, path, found)
              return if before == after

              if before.is_a?(Hash) && after.is_a?(Hash) then hashes(before, after, path, found)
              elsif before.is_a?(Array) && after.is_a?(Array) then lists(before, after, path, found)
              else found << ["set", path, after]
              end
            end

            def hashes(before, after, path, found)
              (before.keys - after.keys).each { |key| found << ["drop", [*path, key]] }
              after.each do |key, value|
                before.key?(key) ? compare(before[key], value, [*path, key], found) : found << ["set", [*path, key], value]
              end
            end

            def lists(before, after, path, found)
              changed = before.size == after.size ? after.each_index.reject { |place| before[place] == after[place] } : []
              inner = changed.one? && container?(before[changed.first]) && container?(after[changed.first])
              return compare(before[changed.first], after[changed.first], [*path, changed.first], found) if inner

              found << ["list", path, parts(before, after)]
            end

            def container?(value) = value.is_a?(Hash) || value.is_a?(Array)

            # The list after as runs of the one before and what is new.
            def parts(before, after)
              places = before.each_index.to_h { |place| [before[place], place] }
              after.each_with_object([]) do |value, parts|
                run = parts.last if parts.last.is_a?(Array)
                following = run && (run[0] + run[1])
                if run && following < before.size && before[following] == value then run[1] += 1
                elsif (place = places[value]) then parts << [place, 1]
                elsif parts.last.is_a?(Hash) then parts.last["new"] << value
                else parts << { "new" => [value] }
                end
              end
            end

            # Copies what lies on the path, and nothing else.
            def change(data, path, kind, value)
              return kind == "list" ? list(data, value) : value if path.empty?

              key, *rest = path
              copy = data.dup
              if rest.empty? && kind == "drop" then copy.delete(key)
              elsif rest.empty? && kind == "set" then copy[key] = value
              else copy[key] = change(data.fetch(key), rest, kind, value)
              end
              copy
            end

            def list(before, parts)
              parts.flat_map { |part| part.is_a?(Hash) ? part.fetch("new") : before[part[0], part[1]] }
            end
          end
        end
      end
    end
  end
end
