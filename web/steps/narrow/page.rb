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

          def reader = @reader ||= Services::Narrow::Read.new(@context, opened)
          def what_if_reader = @what_if_reader ||= Services::Narrow::WhatIfs.new(@context, opened)

          def limits = @limits ||= LimitChoices.new(self)

          def filters
            @filters ||= FilterChoices.new(self, Services::Narrow::ReadFilters.new(@context, opened))
          end

          def what_ifs = @what_ifs ||= WhatIfRows.new(self)
          def must_find = @must_find ||= MustFindRows.new(self)

          # Papers that fit a DOI, an id or words of a title.
          def papers_named(typed) = Services::Terms::FindPapers.new(@context).call(typed)
          def showing?(part) = fields.text(:show) == part

          # The search in other catalogues, nil while that is closed.
          def elsewhere = showing?("elsewhere") ? @elsewhere ||= OtherCatalogues.new(self, @context) : nil

          # The steps of the cascade, in order.
          def rows
            @rows ||= begin
              steps = opened.cascade.steps
              steps.each_with_index.map { |step, place| StepRow.new(self, step, steps, place) }
            end
          end

          def empty? = rows.empty?
          def largest = rows.map(&:size).max || 1

          # The step whose removals are shown, nil for none.
          def open_row = @open_row ||= rows.find { |row| row.name == fields.text(:opened) }

          def taken_away = @taken_away ||= StepRow::TakenAway.new(self, open_row)

          # For each limit that took away papers that say nothing it could go by, a sentence that says
          # so.
          def unstated
            reader.silences.map do |silence|
              rows.find { |row| row.step.equal?(silence.step) }.unstated(silence)
            end
          end

          # The papers that were added manually, and how many of them the search does not find without
          # that.
          def included = @included ||= reader.included
          def brought_in = opened.final - opened.cascade.steps.last.size

          # How many of them citation searching found.
          def added_words
            threaded = inquiry.threaded_ids.size
            ["the search alone does not find them", ("#{threaded} of them by citation searching" if threaded.positive?)].compact.join("; ")
          end

          def aim = TargetScale.new(self)

          # What the check of the search found: Hash of the name of a group to Array of
          # Check::Finding; nil while it is closed.
          def findings
            return unless showing?("check")

            @findings ||= reader.findings.group_by { |finding| Check::GROUPS.fetch(finding.group) }
          end

          # "12 papers: you can read them all", "53 papers above your aim of 20 to 40"
          def standing_behind_count = "#{":" if outlook.standing == :few} #{standing_words}"

          def reviews = Reviews.new(self, reader.reviews)

          # The next sensible thing to do, by where the count stands.
          def advice
            on = inquiry.limits.count(&:on)
            todo = case outlook.standing
                   when :few then ""
                   when :inside then "Read them."
                   when :above then "Put a limit on: the numbers beside each say what it would leave."
                   else on.zero? ? "Give the blocks more names at Word." : "Switch a limit off, or add names at Word."
                   end
            "#{capital(standing_words)}. #{todo}".strip
          end

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
                Usual.new(value: name, words: "#{name} #{number(from)}–#{number(to)}",
                          chosen: [aim.from, aim.to] == [from, to])
              end
            end
          end

          # The papers of each year, and the years that the dates let through.
          class Years
            include Formatting

            # page :: Narrow; dates :: Strategy::Dates that are on or off, or nil
            def initialize(page, dates)
              @page = page
              @dates = dates
            end

            def counts = per_year.counts
            def first = counts.keys.first
            def last = counts.keys.last

            def span
              [@dates&.from_year&.clamp(first, last) || first,
               @dates&.to_year&.clamp(first, last) || last]
            end

            # The two handles: [side, year, name].
            def handles = [[:from, span.first, "From year"], [:to, span.last, "To year"]]

            def words = counts.map { |year, papers| "#{year}: #{papers}" }.join(", ")

            # Years as typed, or as the limit has them.
            def from_year = @page.typed_or(:from_year, @dates&.from_year)
            def to_year = @page.typed_or(:to_year, @dates&.to_year)

            # What dates lose for a reason of their own, nil for nothing.
            def undated
              lost = per_year.undated
              return if lost.zero?

              them = lost == 1 ? "it" : "them"
              "#{count_of(lost, "paper")} without a year: any limit by date loses #{them}."
            end

            private

            def per_year = @per_year ||= @page.reader.per_year
          end
        end
      end
    end
  end
end
