# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The trail of an inquiry; `line` is the one that is looked at, `with` the one it is compared
      # with, each by its number or its name; `again` runs the search again; `step` and `who` leave
      # only some of its lines.
      class Trail < Step
        LOGS = { "txt" => "text", "csv" => "CSV", "json" => "JSON" }.freeze
        private_constant :LOGS

        # A named line: rule :: what it is made of; papers :: what it finds now
        class Named < Value
          attributes :name, :rule, :papers, :path
        end

        def title = "Trail: #{question.text}"
        def reader = @reader ||= Services::Trails::Read.new(@context)
        def lines = @lines ||= reader.call(id)

        # How many papers are left now, where the library has changed since the last line; else nil.
        def left_now = (opened.final if lines.any? && lines.first.count_after != opened.final)

        def logs = LOGS.map { |ending, name| [path("log.#{ending}"), name] }

        def filter = @filter ||= LineFilter.new(self, lines)
        def picture = Picture.new(self, lines.reverse, filter)
        def folds = Folds.new(self, filter.lines).call

        # The points that are looked at: none, one, or two. Raises GoneError.
        def looked_at = @looked_at ||= point(:line)
        def other = @other ||= point(:with)
        def card = PointCard.new(self, looked_at, other)

        def comparison
          @comparison ||= (reader.compare(looked_at, other, inquiry.kept_ids) if looked_at && other)
        end

        # The address of a line that is looked at; the filter stays.
        def path_to(line, **more) = path(key, line:, **more, **filter.given)
        def open?(line) = looked_at&.name == line.number.to_s

        def named
          reader.named(opened.saved).map do |one|
            Named.new(name: one.line.name, rule: one.line.rule, papers: one.size,
                      path: path_to(one.line.name))
          end
        end

        # A name that no line has yet, or what was typed and refused.
        def fresh_name
          return fields.text(:name) if errors[:name] || errors[:notation]

          taken = inquiry.lines.map(&:name)
          (1..).lazy.map { |number| "line-#{number}" }.find { |name| !taken.include?(name) }
        end

        def notation = errors[:name] || errors[:notation] ? fields.text(:notation) : ""

        # The search run again over the library as it is now, nil while that was not asked for.
        def again
          @again ||= (AgainCard.new(self, Services::Trails::RunAgain.new(@context).call(id)) if again?)
        end

        def again_hint
          return "The library has changed since the last line was counted." if reader.library_moved?(lines)

          "Over the library as it is now: what is new, and which counts moved."
        end

        private

        def again? = fields.text(:again) == "yes"

        def point(name)
          text = fields.text(name)
          number = Integer(text, 10, exception: false)
          return reader.at(id, number) if number&.between?(1, lines.size)

          reader.at_name(opened.saved, text) if inquiry.lines.any? { |line| line.name == text }
        end
      end
    end
  end
end
