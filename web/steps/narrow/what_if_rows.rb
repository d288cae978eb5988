# frozen_string_literal: true

require "digest"

module Hobrin
  module Web
    module Steps
      module Narrow
        # The what-ifs in the order in which they bring the aim nearer, and the way to the aim.
        class WhatIfRows
          include Formatting

          MOST_OFFERED = 7
          MOST_OF_A_KIND = 2
          # Kinds of moves that a reader would take for one.
          LIKE = { flag: :limit, limit_wider: :limit, excluded_off: :block_off }.freeze
          private_constant :MOST_OFFERED, :MOST_OF_A_KIND, :LIKE

          # all :: Array of Narrowing::WhatIfs::WhatIf; rows :: those that are shown, as Row
          # way :: the way to the aim, nil where it was not asked for
          attr_reader :all, :rows, :way

          # page :: Page; finder :: Services::Narrow::WhatIfs
          def initialize(page, finder)
            @page = page
            @all = finder.call
            @rows = shown.map { |what_if| Row.new(page, what_if, finder) }
            @way = finder.way if way_shown?
            freeze
          end

          def empty? = all.empty?

          # The address with all of them, nil when they are shown.
          def all_path = (@page.path(show: "all") if all.size > rows.size)

          def inside? = @page.inquiry.aim.standing(@page.opened.final) == :inside
          def must_find? = @page.inquiry.must_find.any?

          # The way to the aim, when it was asked for.
          def way_path = @page.path(show: "way")
          def way_shown? = @page.showing?("way")

          def way_words
            reached = Book.t("narrow.what_ifs.#{way.inside ? "reaches" : "nearest"}", papers: count_of(way.size, "paper"))
            [reached, (Book.t("narrow.what_ifs.must_find_lost", lost: way.lost) if must_find?)]
          end

          private

          # All, or the nearest to the aim with no more than two of a kind, so that there is a
          # choice.
          def shown
            return all if @page.showing?("all")

            seen = Hash.new(0)
            all.select do |what_if|
              kind = what_if.move.kind
              (seen[LIKE.fetch(kind, kind)] += 1) <= MOST_OF_A_KIND
            end.first(MOST_OFFERED)
          end

          # One what-if: what it would leave, bring and take, and what becomes of the papers that must
          # be found.
          class Row
            include Formatting

            # The papers that would come or go: says :: how many of how many are shown
            class Papers < Value
              attributes :says, :records
            end

            # What it would bring and take, while it is open: Array of Papers.
            attr_reader :papers

            # page :: Page; what_if :: Narrowing::WhatIfs::WhatIf; finder :: Services::Narrow::WhatIfs
            def initialize(page, what_if, finder)
              @page = page
              @what_if = what_if
              @papers = open? ? read_papers(finder) : []
              freeze
            end

            # By which a press and an address name it.
            def name = @what_if.name

            # For the markup, where a name must be one word.
            def id = "what-if-#{Digest::SHA1.hexdigest(name)[0, 12]}"

            def wording = @what_if.wording
            def title = wording[0].upcase + wording[1..]
            def size = @what_if.size
            def added = @what_if.added.empty? ? "" : signed(@what_if.added.size)
            def removed = @what_if.removed.empty? ? "" : signed(-@what_if.removed.size)

            # Whether its papers are shown.
            def open? = @page.fields.text(:what_if) == name
            def path = open? ? @page.path : @page.path(what_if: name)

            # "1 of 3 lost", "2 back", "none lost"; "" while no paper must be found.
            def must_find
              known = @page.inquiry.must_find.size
              return "" if known.zero?

              regained, lost = @what_if.regained.size, @what_if.lost.size
              said = [(Book.t("narrow.what_ifs.regained", regained:) if regained.positive?),
                      (Book.t("narrow.what_ifs.lost_of", lost:, known:) if lost.positive?)].compact
              said.empty? ? Book.t("narrow.what_ifs.none_lost") : said.join(", ")
            end

            private

            def read_papers(finder)
              sets = { papers_gained: @what_if.added, papers_lost: @what_if.removed }
              sets.zip(finder.papers(@what_if)).filter_map do |(key, set), records|
                shown = set.size > records.size ? "#{key}_newest" : key
                Papers.new(says: Book.t("narrow.what_ifs.#{shown}", count: set.size), records:) if records.any?
              end
            end
          end
        end
      end
    end
  end
end
