# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Weigh
        # How sure an outcome is: what was proposed and why, what a person set, and what comes of
        # it.
        class Certainty
          STEPS = { 2 => "two up", 1 => "one up", 0 => "no step", -1 => "one down",
                    -2 => "two down" }.freeze
          private_constant :STEPS

          # A reason: proposed, said :: steps in words; choices :: of the select; by :: what a
          #   person wrote
          class Line < Value
            attributes :domain, :name, :proposed, :why, :said, :choices, :by
          end

          # part :: Outcome, or Test
          def initialize(part)
            @part = part
            @certainty = part.page.reading.certainty(part.pool)
          end

          def any? = !@certainty.nil?
          def level = @certainty.level
          def word = @certainty.word

          def start
            "#{@certainty.start_why} " \
              "#{"Steps up count only from low, and only where nothing leads down." if @certainty.start == 2}"
          end

          def lines
            @certainty.lines.map do |line|
              Line.new(domain: line.domain, name: Appraisal::Certainty::DOMAINS.fetch(line.domain),
                       proposed: STEPS.fetch(line.proposed),
                       why: line.why, said: said(line), choices: choices(line), by: by(line))
            end
          end

          # The domain at which something was refused, or nil.
          def refused = (@part.page.fields.text(:domain) if @part.page.errors.any?)

          private

          def said(line)
            steps = STEPS.fetch(line.steps)
            return steps if line.steps.zero? || @certainty.counts?(line)

            "#{steps}, not counted: #{@certainty.start == 4 ? "it starts high" : "something is rated down"}"
          end

          def by(line)
            line.domain.to_s == refused ? @part.page.fields.text(:why) : line.judgement&.why.to_s
          end

          def choices(line)
            typed = @part.page.fields.text(:steps) if line.domain.to_s == refused
            chosen = typed || line.judgement&.steps.to_s
            steps = line.up? ? [0, 1, 2] : [0, -1, -2]
            [["", "as proposed", chosen.empty?]] + steps.map { |step| [step, STEPS.fetch(step), step.to_s == chosen] }
          end
        end
      end
    end
  end
end
