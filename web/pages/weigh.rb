# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Weigh step.
      class Weigh < Step
        TABLE = { events: "had the outcome", total: "of" }.freeze

        def initialize(paper: nil, **rest)
          super(**rest)
          @paper = paper || fields.some_text(:paper)
        end

        def rows = @rows ||= Services::ReadBrief.new(@context).rows(inquiry)

        # The row being weighed: the one asked for, else the first not weighed yet.
        def open = rows.find { |row| row.record.id == @paper } || rows.find { |row| row.paper.nil? } || rows.first

        def design
          key = (errors.any? ? fields.some_text(:design) : nil) || open.paper&.design
          Appraisal::Design::ALL.find { |design| design.key == key } || Appraisal::Design.proposed(open.record)
        end

        def designs = Appraisal::Design::ALL
        def level = design && Appraisal::Level.of(kind: question.kind, design:, graded: graded.to_i)

        def answer(question)
          return open.paper&.answers&.[](question) if errors.empty?

          fields.nested(:answers).one_of(question, Appraisal::ANSWERS.keys)
        end

        def graded = errors.any? ? fields.text(:graded) : (open.paper&.graded || 0).to_s

        # What was typed and refused, or what is stored, for a text of the sheet.
        def text(name) = errors.any? ? fields.text(name) : open.paper&.public_send(name).to_s

        def cell(name) = errors.any? ? fields.text(name) : open.paper&.table&.public_send(name).to_s

        def weighed = rows.count(&:paper)
      end
    end
  end
end
