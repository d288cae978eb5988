# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The what-ifs in the order in which they bring the aim nearer, and the way to the aim.
      class WhatIfRows
        MOST_OFFERED = 7
        MOST_OF_A_KIND = 2
        private_constant :MOST_OFFERED, :MOST_OF_A_KIND

        # page :: Narrow; reader :: Services::ReadWhatIfs
        def initialize(page, reader)
          @page = page
          @reader = reader
        end

        def all = @all ||= @reader.call(@page.inquiry)

        # The ones that are shown: all, or the nearest to the aim with no more than two of a kind, so that there is a choice.
        def shown
          return all if @page.showing?("all")

          seen = Hash.new(0)
          all.select { |one| (seen[one.what_if.move.kind] += 1) <= MOST_OF_A_KIND }.first(MOST_OFFERED)
        end

        # Whether the papers of one are open to view; those that would come and go: [Array of Record, Array of Record].
        def open?(offer) = @page.fields.number(:what_if) == offer.number
        def papers(offer) = @reader.papers(offer)

        # Services::ReadWhatIfs::Route, nil while it is not asked for or when there is none.
        def way = @way ||= (@reader.way(@page.inquiry) if @page.showing?("way"))

        # "1 of 3 lost", "2 back", "none lost"; "" while no paper must be found.
        def must_find_words(offer)
          known = @page.inquiry.must_find.size
          return "" if known.zero?

          back = "#{offer.what_if.regained.size} back" if offer.what_if.regained.size.positive?
          lost = "#{offer.lost.size} of #{known} lost" if offer.lost.size.positive?
          back || lost ? [back, lost].compact.join(", ") : "none lost"
        end
      end
    end
  end
end
