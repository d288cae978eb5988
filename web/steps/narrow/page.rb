# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Narrow
        # The Narrow step: the cascade, and beside it what could be put on, what would change and the
        # papers that must be found. What is open on it is named by `opened`, `what_if`, `two` and
        # `show`.
        class Page < StepPage
          KEY = :narrow

          # rows :: the steps of the cascade as StepRow, in order; open_row :: the one whose removals are shown, or nil
          attr_reader :rows, :open_row

          # limits :: LimitChoices; filters :: FilterChoices; what_ifs :: WhatIfRows; must_find :: MustFindRows
          # taken_away :: StepRow::TakenAway, nil while no step is open; elsewhere :: OtherCatalogues, nil while closed
          attr_reader :limits, :filters, :what_ifs, :must_find, :taken_away, :elsewhere

          # unstated :: for each limit that took away papers that say nothing it could go by, a sentence that says so
          # included :: the papers that were added manually
          attr_reader :unstated, :included

          # What the check of the search found: Hash of the name of a group to Array of Check::Finding; and the reviews
          # by colleagues. nil while the check is closed.
          attr_reader :findings, :reviews

          # context :: Services::Context
          def initialize(context:, **rest)
            super(**rest)
            @outlook = Services::Narrow::ReadOutlook.new(context).call(opened)
            steps = opened.cascade.steps
            @rows = steps.each_with_index.map { |step, place| StepRow.new(self, step, steps, place) }
            @open_row = rows.find { |row| row.name == fields.text(:opened) }
            read(context) unless empty?
            freeze
          end

          def showing?(part) = fields.text(:show) == part
          def empty? = rows.empty?
          def largest = rows.map(&:size).max || 1

          # How many of the papers that were added manually the search does not find without that.
          def brought_in = opened.final - opened.cascade.steps.last.size

          # How many of them citation searching found.
          def added_words
            threaded = inquiry.threaded_ids.size
            return Book.t("narrow.page.added_manually") if threaded.zero?

            Book.t("narrow.page.added_manually_and_by_citations", citations: threaded)
          end

          def aim = TargetScale.new(self)

          # "12 papers: you can read them all", "53 papers above your aim of 20 to 40"
          def standing_behind_count = "#{":" if @outlook.standing == :few} #{standing_words(@outlook)}"

          # The next sensible thing to do, by where the count stands.
          def advice
            on = inquiry.limits.count(&:on)
            standing = @outlook.standing
            todo = case standing
                   when :few, :inside, :above then standing
                   else on.zero? ? :none_without_limits : :none
                   end
            "#{capital(standing_words(@outlook))}. #{Book.t("narrow.page.advice.#{todo}")}".strip
          end

          private

          def read(context)
            reader = Services::Narrow::Read.new(context, opened)
            finder = Services::Narrow::WhatIfs.new(context, opened)
            @limits = LimitChoices.new(self, reader)
            @filters = FilterChoices.new(self, Services::Narrow::ReadFilters.new(context, opened))
            @what_ifs = WhatIfRows.new(self, finder)
            @must_find = MustFindRows.new(self, finder, context)
            @taken_away = StepRow::TakenAway.new(self, open_row, reader) if open_row
            @elsewhere = OtherCatalogues.new(self, context) if showing?("elsewhere")
            @unstated = reader.silences.map { |silence| row_of(silence.step).unstated(silence) }
            @included = reader.included
            return unless showing?("check")

            @findings = reader.findings.group_by { |finding| Check::GROUPS.fetch(finding.group) }
            @reviews = Reviews.new(self, reader.reviews)
          end

          def row_of(step) = rows.find { |row| row.step.equal?(step) }

          # The count against the aim.
          class TargetScale
            include Formatting

            # A usual aim: value :: what a press sends
            class Usual < Value
              attributes :value, :words, :chosen
            end

            # page :: Narrow
            def initialize(page)
              @page = page
            end

            def aim = @page.inquiry.aim
            def papers = @page.opened.final
            def top = [@page.largest, aim.to * 2].max
            def from = @page.typed_or(:aim_from, aim.from)
            def to = @page.typed_or(:aim_to, aim.to)

            def usual
              Narrowing::Target::USUAL.map do |name, (from, to)|
                Usual.new(value: name, words: Book.t("narrow.target.usual.#{name}", from:, to:),
                          chosen: [aim.from, aim.to] == [from, to])
              end
            end
          end

          # The papers of each year, and the years that the dates let through.
          class Years
            include Formatting

            # page :: Page; dates :: Strategy::Dates that are on or off, or nil; per_year :: Narrowing::Previews::PerYear
            def initialize(page, dates, per_year)
              @page = page
              @dates = dates
              @per_year = per_year
              freeze
            end

            def counts = @per_year.counts
            def first = counts.keys.first
            def last = counts.keys.last

            def span
              [@dates&.from_year&.clamp(first, last) || first,
               @dates&.to_year&.clamp(first, last) || last]
            end

            # The two handles: [side, year, name].
            def handles = [[:from, span.first, Book.t("narrow.limits.from_year")], [:to, span.last, Book.t("narrow.limits.to_year")]]

            def words = counts.map { |year, papers| "#{year}: #{papers}" }.join(", ")

            # Years as typed, or as the limit has them.
            def from_year = @page.typed_or(:from_year, @dates&.from_year)
            def to_year = @page.typed_or(:to_year, @dates&.to_year)

            # What dates lose for a reason of their own, nil for nothing.
            def undated
              lost = @per_year.undated
              return if lost.zero?

              them = lost == 1 ? "it" : "them"
              Book.t("narrow.limits.without_year", papers: count_of(lost, "paper"), lost: them)
            end
          end
        end
      end
    end
  end
end
