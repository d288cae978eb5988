# frozen_string_literal: true

module Hobrin
  module Store
    class Inquiries
      # Takes a text out of everything that is kept of an inquiry, for good: of every state and line of its
      # trail, its signed versions, what two people decided and appraised, and notes. Each letter of it
      # becomes a mark, so that the places of what stands beside it stay right.
      class Forgetting < Base
        MARK = "█"
        # What is not written by a person in words: ids, tags and the like.
        NAMES = %w[record from found included must_find records id key verdict is kind frame use design reviewed form typed
                   measure model on at day number outcome format operator previous_operator].freeze
        # Tables with columns of JSON, and of plain text.
        JSON_COLUMNS = { trail: %i[state changes facts], signed_briefs: %i[report], sheets: %i[sheet] }.freeze
        TEXT_COLUMNS = { trail: %i[note], readings: %i[note], notes: %i[text name] }.freeze
        private_constant :MARK, :NAMES, :JSON_COLUMNS, :TEXT_COLUMNS

        # text :: as it was written, in whatever case. Gives in how many places it stood.
        def call(inquiry_id, text)
          @pattern = /#{Regexp.escape(text)}/i
          @count = 0
          leaving_nothing do
            Database::Trouble.writing(@db) do
              JSON_COLUMNS.each { |table, columns| clear(table, columns, inquiry_id) { |value| json(value) } }
              TEXT_COLUMNS.each { |table, columns| clear(table, columns, inquiry_id) { |value| marked(value) } }
              own(inquiry_id)
            end
          end
          @count
        end

        private

        # What is written over is not left on the disk either.
        def leaving_nothing
          return yield unless @db.database_type == :sqlite

          @db.synchronize do
            @db.run("PRAGMA secure_delete = ON")
            yield
            @db.run("PRAGMA wal_checkpoint(TRUNCATE)")
          end
        end

        def clear(table, columns, inquiry_id)
          rows = @db[table].where(inquiry_id:)
          key = @db.schema(table).filter_map { |name, facts| name if facts[:primary_key] }
          rows.select(*key, *columns).all.each do |row|
            changed = columns.to_h { |column| [column, row[column] && yield(row[column])] }.reject { |name, value| row[name] == value }
            @db[table].where(row.slice(*key)).update(changed) if changed.any?
          end
        end

        # The row of the inquiry itself.
        def own(id)
          row = @db[:inquiries].where(id:).select(:state, :outline).first or return
          changed = row.to_h { |column, value| [column, value.to_s.empty? ? value : json(value)] }
          @db[:inquiries].where(id:).update(changed)
        end

        def json(text)
          return text if text.empty?

          JSON.generate(within(JSON.parse(text), nil))
        end

        def within(value, name)
          case value
          when String then NAMES.include?(name) ? value : marked(value)
          when Array then value.map { |part| within(part, name) }
          when Hash then value["is"].is_a?(String) ? searched(value) : value.to_h { |key, one| [key, within(one, key)] }
          else value
          end
        end

        # A term must stay one that can be searched.
        def searched(leaf)
          leaf.to_h do |key, value|
            next [key, value.map { |part| part.is_a?(Hash) ? searched(part) : part }] if value.is_a?(Array) && key == "parts"

            [key, value.is_a?(String) && !NAMES.include?(key) ? marked(value, "x") : within(value, key)]
          end
        end

        def marked(text, mark = MARK)
          text.gsub(@pattern) do |found|
            @count += 1
            mark * found.size
          end
        end
      end
    end
  end
end
