# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Act
        # Shall we? What speaks for and against a change, line by line, and what is decided.
        class Deliberation
          # A line: marks :: Array of [mark, in words, whether it is set]; hint :: what the
          #   findings say of it, or nothing
          class Line < Value
            attributes :key, :name, :marks, :text, :hint
          end

          # page :: Act
          def initialize(page)
            @page = page
            @acting = page.inquiry.acting
          end

          def lines = Brief::Acting::Consideration::ALL.map { |key, name| line(key, name) }

          # [key, name, whether it is chosen]
          def decisions
            chosen = @page.typed_or(:decision, @acting.decision)
            [["", "not decided yet", chosen.empty?]] +
              Brief::Acting::Consideration::DECISIONS.map { |key, name| [key, name, key == chosen] }
          end

          def decided = Brief::Acting::Consideration::DECISIONS[@acting.decision]

          private

          def line(key, name)
            stored = @acting.consideration(key)
            mark = @page.refused?(:marks) ? @page.fields.nested(:marks).text(key) : stored.mark.to_s
            text = @page.refused?(:lines) ? @page.fields.nested(:lines).text(key) : stored.line
            marks = Brief::Acting::Consideration::MARKS.map { |value, words| [value, words, value.to_s == mark] }
            Line.new(key:, name:, marks:, text:, hint: hint(key))
          end

          # Only what the evidence says is filled in; the rest is for people.
          def hint(key)
            case key
            when :benefit then words(:benefit)
            when :harm then words(:harm)
            when :certainty then findings.map { |row| certainty(row) }.join("; ")
            else ""
            end
          end

          def findings = @page.findings.rows.select(&:words)
          def words(side) = findings.select { |row| row.side == side }.map(&:words).join("; ")

          # What is neither a benefit nor a harm is said here.
          def certainty(row)
            "#{row.outcome.name}: #{row.certainty.word}#{" (#{row.words})" unless row.side}"
          end
        end
      end
    end
  end
end
