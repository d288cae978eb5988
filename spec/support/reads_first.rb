# frozen_string_literal: true

require "sequel"

# A page reads all that it shows, and is frozen, before a template draws it. So while one runs no statement may reach
# a database, and nothing that a page holds may still be changed. It holds for every page that any spec opens.
module ReadsFirst
  class ReadLate < StandardError; end

  def self.drawing? = Thread.current[:hobrin_drawing]

  # Stands before the application's own `draw`.
  module Drawing
    def draw(template, **locals)
      # A part within a template was looked at with it.
      return super if ReadsFirst.drawing?

      begin
        Thread.current[:hobrin_drawing] = true
        unfrozen = ReadsFirst.unfrozen(locals[:page])
        raise ReadLate, "#{template}: #{unfrozen.join(", ")} can still be changed" if unfrozen.any?

        super
      ensure
        Thread.current[:hobrin_drawing] = false
      end
    end
  end

  # Stands before every statement of every database.
  module Statements
    def log_connection_yield(sql, ...)
      raise ReadLate, "a template asks: #{sql[0, 200]}" if ReadsFirst.drawing?

      super
    end
  end

  # The objects of the web that are reached from a page and not frozen, by their class.
  def self.unfrozen(page, seen = {}.compare_by_identity)
    return [] if page.nil? || seen.key?(page) || !page.class.name.start_with?("Hobrin::Web::")

    seen[page] = true
    held = page.instance_variables.flat_map { |name| [*page.instance_variable_get(name)] }
    [*(page.class.name unless page.frozen?), *held.flat_map { |part| unfrozen(part, seen) }]
  end

  Hobrin::Web::App.prepend(Drawing)
  Sequel::Database.prepend(Statements)
end
