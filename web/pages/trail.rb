# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The trail of an inquiry; `line` is the one that is looked at, `with` the one it is compared with, each by its number
      # or its name; `again` runs the search again.
      class Trail < Step
        def title = "Trail: #{question.text}"
        def reader = @reader ||= Services::ReadTrail.new(@context)
        def lines = @lines ||= reader.call(id)

        # The points that are looked at: none, one, or two. Raises GoneError.
        def looked_at = @looked_at ||= point(:line)
        def other = @other ||= point(:with)
        def comparison = @comparison ||= (reader.compare(looked_at, other, inquiry.kept_ids) if looked_at && other)

        def note = errors[:note] ? fields.text(:note) : looked_at.line.note

        def named = @named ||= reader.named(id, inquiry)
        def address(line, **more) = "#{path(:trail)}?#{Rack::Utils.build_query(line:, **more)}"

        # The lines that one can be compared with: [name, what it says].
        def others
          [*inquiry.lines.map { |line| [line.name, line.rule] }, *lines.map { |line| [line.number.to_s, line.change] }]
            .reject { |name, _| name == looked_at.name }
        end

        # How the two lines that are compared can become one, in the notation of lines.
        def joinings
          one, other = looked_at.name, self.other.name
          { "Either" => "#{one} or #{other}", "Both" => "#{one} and #{other}", "Only #{one}" => "#{one} not #{other}",
            "Only #{other}" => "#{other} not #{one}" }
        end

        # A name that no line has yet.
        def fresh_name
          return fields.text(:name) if errors[:name] || errors[:notation]

          taken = inquiry.lines.map(&:name)
          (1..).lazy.map { |number| "line-#{number}" }.find { |name| !taken.include?(name) }
        end

        def notation = errors[:name] || errors[:notation] ? fields.text(:notation) : ""

        # The search run again over the library as it is now, nil while that was not asked for.
        def again = @again ||= (Services::RunAgain.new(@context).call(id) if fields.text(:again) == "yes")

        # Whether the library is another one than when the last line was counted.
        def library_moved? = reader.library_moved?(lines)

        private

        def point(name)
          text = fields.text(name)
          number = Integer(text, 10, exception: false)
          return reader.at(id, number) if number&.between?(1, lines.size)

          reader.at_name(id, inquiry, text) if inquiry.lines.any? { |line| line.name == text }
        end
      end
    end
  end
end
