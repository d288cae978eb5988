# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Narrow
        # The what-ifs in the order in which they bring the aim nearer, and the way to the aim.
        class WhatIfRows
          include Formatting

          MOST_OFFERED = 7
          MOST_OF_A_KIND = 2
          # Kinds of moves that a reader would take for one.
          LIKE = { flag: :limit, limit_wider: :limit, excluded_off: :block_off }.freeze
          private_constant :MOST_OFFERED, :MOST_OF_A_KIND, :LIKE

          # page :: Narrow
          def initialize(page)
            @page = page
          end

          # Array of Narrowing::WhatIfs::WhatIf.
          def all = @all ||= @page.what_if_reader.call

          def empty? = all.empty?
          def rows = shown.map { |what_if| WhatIfRow.new(@page, what_if) }

          # The address with all of them, nil when they are shown.
          def all_path = (@page.path(show: "all") if all.size > shown.size)

          def inside? = @page.inquiry.aim.standing(@page.opened.final) == :inside
          def must_find? = @page.inquiry.must_find.any?

          # The way to the aim, when it was asked for.
          def way_path = @page.path(show: "way")
          def way_shown? = @page.showing?("way")
          def way = @way ||= (@page.what_if_reader.way if way_shown?)

          def way_words
            lost = ", #{way.lost} must-find lost" if must_find?
            ["#{way.inside ? "Into the aim" : "Nearest"}: #{count_of(way.size, "paper")}", lost]
          end

          private

          # All, or the nearest to the aim with no more than two of a kind, so that there is a
          # choice.
          def shown
            return all if @page.showing?("all")

            seen = Hash.new(0)
            all.select do |one|
              kind = one.move.kind
              (seen[LIKE.fetch(kind, kind)] += 1) <= MOST_OF_A_KIND
            end.first(MOST_OFFERED)
          end
        end
      end
    end
  end
end
