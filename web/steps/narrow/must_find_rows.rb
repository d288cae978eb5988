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
          def found = "#{@known.count(&:found)} of #{@known.size} still in"

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
            { moves: moves.map(&:name), says: moves.map(&:wording).join(", then "), difference: }
          end

          # "lost by “Adults, 19 and over” and “2016 to 2026”"
          def lost_by(one)
            return "nothing is searched" if one.steps.empty?

            rows = one.steps.map { |step| @page.rows.find { |row| row.step.equal?(step) } }
            "lost by #{rows.map { |row| "“#{row.short_label}”" }.join(" and ")}"
          end

          def found_line(rates)
            by_hand = " #{count_of(rates.by_hand, "paper")} added manually not counted." if rates.by_hand.positive?
            "Sensitivity to your must-find papers: #{rates.found} of #{rates.known}, " \
              "#{percent(rates.sensitivity)}.#{by_hand}"
          end

          def precision_line(rates)
            papers = count_of(rates.read, "paper")
            kept = "Of #{papers} screened, #{rates.kept} included: precision #{percent(rates.precision)}"
            needed = rates.number_needed_to_read
            needed = "; #{decimal(needed, 1)} screened for each one included" if needed
            added = " #{count_of(@page.brought_in, "paper")} added manually not counted." if @page.brought_in.positive?
            "#{kept}#{needed}.#{added}"
          end

          # "19 % (95 % interval 9 to 35 %)"
          def percent(share)
            estimate, low, high = [share.estimate, share.low, share.high].map do |bound|
              hundredths(bound)
            end
            "#{estimate} % (95 % interval #{low} to #{high} %)"
          end
        end
      end
    end
  end
end
