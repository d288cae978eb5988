# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Trail
        # Which lines of the trail are shown: those of one step, or of one person, or all.
        class LineFilter
          # A choice: path :: of the trail with it; size :: lines that it leaves
          class Choice < Value
            attributes :name, :path, :size, :chosen
          end

          # page :: Trail; lines :: Array of Hobrin::Trail::Line
          def initialize(page, lines)
            @page = page
            @all = lines
            @step = page.fields.one_of(:step, Inquiry::STEPS)
            @who = page.fields.some_text(:who)
          end

          def lines = @lines ||= @all.select { |line| shows?(line) }
          def shows?(line) = (@step.nil? || line.step == @step) && (@who.nil? || line.who == @who)

          # The parameters that keep it.
          def given = { step: @step, who: @who }.compact

          # All, then each step that has lines.
          def steps
            there = Inquiry::STEPS.select { |step| @all.any? { |line| line.step == step } }
            [choice("All", nil, :step), *there.map { |step| choice(Progress::NAMES.fetch(step), step, :step) }]
          end

          # Everybody, then each person; none while there is but one.
          def people
            people = @all.map(&:who).uniq.sort
            people.size < 2 ? [] : [choice("Everybody", nil, :who), *people.map { |who| choice(who, who, :who) }]
          end

          private

          def choice(name, value, by)
            size = @all.count { |line| value.nil? || line.public_send(by) == value }
            Choice.new(name:, size:, path: @page.path(:trail, **given.except(by), **{ by => value }.compact),
                       chosen: given[by] == value)
          end
        end
      end
    end
  end
end
