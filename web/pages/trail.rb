# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The trail of an inquiry; `line` is the one that is looked at, `with` the one it is compared with.
      class Trail < Step
        def title = "Trail: #{question.text}"
        def reader = @reader ||= Services::ReadTrail.new(@context)
        def lines = @lines ||= reader.call(id)

        # The points that are looked at: none, one, or two. Raises GoneError.
        def looked_at = @looked_at ||= point(:line)
        def other = @other ||= point(:with)
        def comparison = @comparison ||= (reader.compare(looked_at, other, inquiry.kept_ids) if looked_at && other)

        def note = errors[:note] ? fields.text(:note) : looked_at.line.note

        private

        def point(name)
          number = fields.number(name)
          reader.at(id, number) if number.is_a?(Integer) && number.between?(1, lines.size)
        end
      end
    end
  end
end
