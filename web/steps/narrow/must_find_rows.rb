# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Narrow
        # The papers that must be found: which are in, what lost the others, what brings them back;
        # and how the search does so far.
        class MustFindRows
          include Formatting

          # One paper: lost_by :: in words, nil when it is in; recovery :: names of the moves that
          #   bring it back and what they
          # say; difference :: papers more or fewer then; two_path :: where two changes are looked
          # for, nil where that is no use
          # none :: whether two were looked for in vain
          class Row < Value
            attributes :record, :lost_by, :moves, :says, :difference, :two_path, :none
          end

          # rows :: Array of Row; choices :: the papers that may be meant where words fit several, as Array of Record
          # rate_lines :: how the search does so far, in sentences
          attr_reader :rows, :choices, :rate_lines

          # page :: Page; finder :: Services::Narrow::WhatIfs; context :: Services::Context
          def initialize(page, finder, context)
            @page = page
            @known = finder.known(page.what_ifs.all)
            @rows = @known.map { |paper| row(paper, finder) }
            @choices = typed.empty? ? [] : Services::Terms::FindPapers.new(context).call(typed)
            @rate_lines = lines_of(Services::Narrow::Read.new(context, page.opened).rates)
            freeze
          end

          def empty? = @known.empty?
          def found = Book.t("narrow.must_find.found", found: @known.count(&:found), known: @known.size)

          # What was typed and refused.
          def typed = @page.errors[:known] ? @page.fields.text(:known) : ""

          # Whether there may be more of those that may be meant.
          def more_choices? = choices.size == Services::Terms::FindPapers::MOST

          private

          def lines_of(rates)
            [(found_line(rates) if rates.known.positive?),
             (precision_line(rates) if rates.read.positive?)].compact
          end

          # one :: Services::Narrow::WhatIfs::Known
          def row(one, finder)
            looking = @page.fields.text(:two) == one.record.id
            pair = looking && one.recovery.nil? ? finder.pair(one.record.id) : nil
            Row.new(record: one.record, lost_by: (lost_by(one) unless one.found), **recovery(one, pair),
                    two_path: (@page.path(two: one.record.id) if one.recovery.nil? && one.steps.any? && !looking),
                    none: looking && pair.nil?)
          end

          def recovery(one, pair)
            moves = one.recovery ? [one.recovery.move] : pair&.moves || []
            difference = if one.recovery then one.recovery.added.size
                         elsif pair then pair.size - @page.opened.final
                         end
            { moves: moves.map(&:name), says: moves.map(&:wording).join(Book.t("narrow.must_find.then")), difference: }
          end

          # "lost by “Adults, 19 and over” and “2016 to 2026”"
          def lost_by(one)
            return Book.t("narrow.must_find.no_search") if one.steps.empty?

            rows = one.steps.map { |step| @page.rows.find { |row| row.step.equal?(step) } }
            Book.t("narrow.must_find.lost_by", steps: rows.map { |row| "“#{row.short_label}”" }.join(" and "))
          end

          def found_line(rates)
            line = Book.t("narrow.must_find.sensitivity", found: rates.found, known: rates.known, percent: percent(rates.sensitivity))
            [line, not_counted(rates.by_hand)].compact.join(" ")
          end

          def precision_line(rates)
            facts = { count: rates.read, included: rates.kept, percent: percent(rates.precision) }
            needed = rates.number_needed_to_read
            line = if needed then Book.t("narrow.must_find.precision_and_needed", **facts, needed: decimal(needed, 1))
                   else Book.t("narrow.must_find.precision", **facts)
                   end
            [line, not_counted(@page.brought_in)].compact.join(" ")
          end

          def not_counted(papers)
            Book.t("narrow.must_find.not_counted", count: papers) if papers.positive?
          end

          # "19 % (95 % CI 9 to 35 %)"
          def percent(share)
            estimate, low, high = [share.estimate, share.low, share.high].map do |bound|
              hundredths(bound)
            end
            Book.t("narrow.must_find.percent", estimate:, low:, high:)
          end
        end
      end
    end
  end
end
