# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Weigh step.
      class Weigh < Step
        MOVES = { "-1" => "one stronger", "0" => "as the table says", "1" => "one weaker" }.freeze
        GROUPS = { "With the intervention" => %i[events total],
                   "With the comparison" => %i[comparison_events comparison_total] }.freeze
        CELLS = { events: "had the outcome", total: "people in all" }.freeze
        private_constant :MOVES, :GROUPS, :CELLS

        # A kept paper in the list.
        class Title < Value
          attributes :record, :level, :path, :open
        end

        # One of the four numbers: name :: of its field; label :: in full
        class Cell < Value
          attributes :name, :label, :value
        end

        # Two counts that the abstract gives: says :: as they stand there; path :: takes them; taken ::
        #   whether they were
        class Offer < Value
          attributes :sentence, :says, :path, :taken
        end

        # A question of the sheet: answers :: Array of [answer, in words, whether it was given]
        class Item < Value
          attributes :key, :text, :answers
        end

        # paper :: id of the record to open, nil for the one that was asked for
        def initialize(paper: nil, **rest)
          super(**rest)
          @paper = paper || fields.some_text(:paper)
        end

        def rows = @rows ||= Services::ReadBrief.new(@context).rows(inquiry)
        def empty? = rows.empty?

        def together? = fields.text(:show) == "together"
        def together = @together ||= Together.new(self, @context)
        def path_together = path(key, show: "together")
        def path_to_sheet(record) = path(key, paper: record.id)

        def heading = count_of(rows.size, "kept paper")
        def weighed = rows.count(&:paper)

        def titles
          rows.map do |row|
            Title.new(record: row.record, level: row.level || "not weighed yet",
                      path: path(key, paper: row.record.id), open: row == open)
          end
        end

        # The row being weighed: the one asked for, else the first not weighed yet.
        def open
          @open ||= rows.find { |row| row.record.id == @paper } || rows.find do |row|
            row.paper.nil?
          end || rows.first
        end

        def record = open.record

        def design
          key = typed_or(:design, open.paper&.design)
          Appraisal::Design::ALL.find { |design| design.key == key } || Appraisal::Design.proposed(record)
        end

        def designs
          choose = design ? [] : [["", "Choose…", true]]
          choose + Appraisal::Design::ALL.map { |one| [one.key, one.name, one == design] }
        end

        # What a review may have reviewed: [key, name, whether it is chosen]; none for other
        # designs.
        def reviewable
          return [] unless design&.key == "systematic_review"

          chosen = reviewed&.key
          [["", "Choose…", chosen.nil?]] +
            Appraisal::Level.reviewable(question.kind).map { |one| [one.key, one.name, one.key == chosen] }
        end

        def level
          design && Appraisal::Level.of(record:, kind: question.kind, design:, reviewed:, answers:,
                                        graded: graded.to_i)
        end

        def level_for = kind && level.number ? " for #{kind.name.downcase}" : ""

        def moves = MOVES.map { |value, name| [value, name, value == graded] }

        # The questions of the sheet that fits the design; none while it is not chosen.
        def items
          return [] unless design

          Appraisal::Sheet.for(design).map do |key, text|
            given = answer(key)
            answers = Appraisal::ANSWERS.map { |value, name| [value, name, value == given] }
            Item.new(key:, text:, answers:)
          end
        end

        # The four numbers: [group, Array of Cell].
        def table
          GROUPS.map do |group, names|
            [group, names.zip(CELLS.values).map do |name, says|
              Cell.new(name:, label: "#{group}: #{says}", value: cell(name))
            end]
          end
        end

        # What the abstract offers for the four numbers. Array of Offer.
        def offers
          return [] if open.paper&.table && taken.nil?

          pairs.each_with_index.map do |pair, place|
            Offer.new(sentence: pair.sentence.text, says: [pair.one, pair.two].map { |share| share.match[0] },
                      path: path(key, paper: record.id, take: place), taken: pair == taken)
          end
        end

        # What they come to; nil while there are none or they are refused.
        def effect = (EffectWords.new(open.effect) if open.effect && errors.empty?)

        # What was typed and refused, or what is stored, for a text of the sheet.
        def text(name) = typed_or(name, open.paper&.public_send(name).to_s)

        def dock_words
          kind ? "" : "Say on Ask what kind of question this is: the level depends on it."
        end

        private

        def reviewed
          key = typed_or(:reviewed, open.paper&.reviewed)
          Appraisal::Design::ALL.find { |one| one.key == key }
        end

        def answers = Appraisal::Sheet.for(design).keys.to_h { |key| [key, answer(key)] }.compact
        def graded = typed_or(:graded, (open.paper&.graded || 0).to_s)

        def cell(name)
          stored = open.paper&.table&.public_send(name).to_s
          offered = taken && taken.numbers[Statistics::TwoByTwo.attribute_names.index(name)].to_s
          typed_or(name, offered || stored)
        end

        def pairs
          @pairs ||= CloseReading::Passage.new(record.abstract).sentences.flat_map do |sentence|
            CloseReading::Pair.all_in(sentence)
          end.select(&:possible?)
        end

        # The pair whose numbers were asked for, nil for none.
        def taken
          place = fields.number(:take)
          pairs[place] if place.is_a?(Integer) && place.between?(0, pairs.size)
        end

        def answer(key)
          return open.paper&.answers&.[](key) unless refused?(:answers)

          fields.nested(:answers).one_of(key, Appraisal::ANSWERS.keys)
        end
      end
    end
  end
end
