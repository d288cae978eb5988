# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Trail
        # What is open beside the trail.
        module Cards
          # The card of the line that is looked at, and of the one it is compared with.
          class PointCard
            include Formatting

            LONGEST_NAME = 70
            private_constant :LONGEST_NAME

            # Papers that only one of two lines finds.
            class Only < Value
              attributes :says, :records
            end

            # page :: Trail; point :: Services::Trails::Read::Point; other :: another one, or nil
            def initialize(page, point, other)
              @page = page
              @point = point
              @other = other
              freeze
            end

            def name = @point.name
            def line? = !@point.line.nil?
            def title = Book.t("trail.point.#{line? ? "after_line" : "line"}", line: name, change: @point.says)
            def papers = count_of(@point.papers.size, "paper")
            def close_path = @page.path(:trail, **@page.filter.given)
            # The note that stands there, and what is in the field: that one, or what was refused.
            def note_there = @point.line.note
            def note = @page.errors[:note] ? @page.fields.text(:note) : @point.line.note

            # What is to be said of the count, "" for nothing.
            def remark
              moved = Book.t("trail.point.moved", papers: @point.line.count_after) if @point.moved?
              ["#{moved}.", (Book.t("trail.point.no_search") if @point.cql.empty?)].compact.join(" ")
            end

            # The lines that it can be compared with, for a select.
            def others
              named = @page.inquiry.lines.map { |line| [line.name, line.rule] }
              all = named + @page.lines.map { |line| [line.number.to_s, line.change] }
              all.reject { |other, _| other == name }
                 .map do |other, says|
                [other, "#{other}: #{says[0, LONGEST_NAME]}",
                 other == @other&.name]
              end
            end

            def compared? = !@page.comparison.nil?

            # How the two can become one: [in words, in the notation of lines].
            def joinings
              { Book.t("trail.comparison.either") => "#{name} or #{@other.name}",
                Book.t("trail.comparison.both") => "#{name} and #{@other.name}",
                Book.t("trail.comparison.only", line: name) => "#{name} not #{@other.name}",
                Book.t("trail.comparison.only", line: @other.name) => "#{@other.name} not #{name}" }
            end

            # The two names, for the picture; its circles, nil where there are none to draw.
            def names = [name, @other.name]
            def circles = comparison.circles

            # What only the one finds, what both, what only the other: [papers, in words].
            def shares
              sizes, both = comparison.overlap.sizes, comparison.overlap.all
              [[sizes.first - both, Book.t("trail.comparison.only_after", line: name)], [both, Book.t("trail.comparison.in_both")],
               [sizes.last - both, Book.t("trail.comparison.only_after", line: @other.name)]]
            end

            # What the kept papers that each finds say of those that both missed; nil while none was
            # kept.
            def missed
              kept, all = comparison.kept, comparison.kept_in_all
              return cannot_tell(kept) unless all

              estimate, low, high = [all.estimate, all.low, all.high].map { |bound| decimal(bound, 0) }
              Book.t("trail.comparison.missed", **found_by(kept), estimate:, low:, high:, missed: decimal(comparison.missed, 0))
            end

            def only
              compared = @page.comparison
              { name => compared.only_one,
                @other.name => compared.only_other }.filter_map do |one, records|
                Only.new(says: Book.t("trail.comparison.only_after_newest", line: one), records:) if records.any?
              end
            end

            # What keeps the card open when a paper of it is pressed.
            def keep = { line: name, with: @other&.name }.compact

            # The papers of a named line, which no step shows; none while it is compared.
            def records = @other ? [] : @point.records

            def cut
              (Book.t("trail.comparison.newest", papers: records.size) if records.any? && @point.papers.size > records.size)
            end

            def searched? = !@point.cql.empty?
            def lines = @point.lines
            def cql = @point.cql
            def search_open? = line? && @other.nil?

            def search_title
              lines.any? ? Book.t("trail.comparison.lines_and_cql") : Book.t("trail.comparison.cql")
            end

            private

            def comparison = @page.comparison.comparison

            # Searches that find much the same say nothing of what both missed.
            def cannot_tell(kept)
              return if kept.sizes.sum.zero?

              Book.t("trail.comparison.cannot_estimate", **found_by(kept))
            end

            def found_by(kept)
              { one: name, found_by_one: kept.sizes.first, other: @other.name, found_by_other: kept.sizes.last, both: kept.all }
            end
          end

          # What running the search again found.
          class AgainCard
            include Formatting

            FEW = 12
            private_constant :FEW

            # Lines whose counts moved: rows :: Array of Hobrin::Trail::Rerun::Moved; open :: whether
            #   they are few
            class Moved < Value
              attributes :title, :rows, :open
            end

            # page :: Trail; outcome :: Services::Trails::RunAgain::Outcome
            def initialize(page, outcome)
              @page = page
              @outcome = outcome
              freeze
            end

            def now = count_of(rerun.now, "paper")
            def close_path = @page.path(:trail)
            def form_path = @page.path(:again)

            # Where the pooled values of the last signed version stand beside those of now; nil while
            # none is signed.
            def signed_path = (@page.path(:act, show: "versions") if @page.inquiry.acting.signed.any?)

            # What other catalogues gave when they were asked last: Array of [name, records, day].
            def elsewhere
              @page.inquiry.elsewhere.map do |search|
                [search.source, count_of(search.count, "record"), day(search.on)]
              end
            end

            def elsewhere_path = @page.path(:narrow, show: "elsewhere")

            def before
              base = @outcome.base
              Book.t("trail.again.at_line", papers: rerun.before, line: base.number, time: day_and_time(base.at))
            end

            # What is new, and what changed among the others.
            def remark
              reindexed = rerun.reindexed
              changed = Book.t("trail.again.reindexed", papers: signed(reindexed)) if reindexed != 0
              [fresh, changed].compact.join(" ")
            end

            def records = @outcome.records
            def cut = (Book.t("trail.again.newest", papers: records.size) if rerun.fresh.size > records.size)

            def moved
              { moved_search: rerun.lines, moved_trail: @outcome.trail }.filter_map do |key, rows|
                title = Book.t("trail.again.#{key}")
                Moved.new(title:, rows:, open: rows.size <= FEW) if rows.any?
              end
            end

            private

            def rerun = @outcome.rerun

            def fresh
              return Book.t("trail.again.library_rebuilt") unless rerun.known

              return Book.t("trail.again.fresh", count: rerun.fresh.size) unless rerun.fresh.empty?

              @outcome.changed? ? Book.t("trail.again.none_new") : Book.t("trail.again.unchanged")
            end
          end
        end
      end
    end
  end
end
