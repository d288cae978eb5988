# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Sift
        # Citations followed round by round, as lists and as a picture.
        class Threads
          # A round: heading :: in words; papers :: Array of Found
          class Round < Value
            attributes :heading, :papers, :more
          end

          # near :: Around::Near; by :: in words, what it hangs on
          class Found < Value
            attributes :near, :by
          end

          # page :: Sift
          def initialize(page, context)
            @page = page
            @reader = Services::Screen::CitationRounds.new(context, page.opened)
            @around = Around.new(page, context)
          end

          def rounds = @rounds ||= @reader.rounds.map { |round| round(round) }
          def next_from = @next_from ||= @reader.next_from

          # What the button says, or why there is none.
          def press = "Follow the citations of #{@page.count_of(next_from.size, "paper")}"

          def nothing
            return "Keep a paper first: its citations are what is followed." if @page.inquiry.kept_ids.empty?

            "Nothing new was kept or added since the last round: the threads have come to their end."
          end

          # How many papers came in by following citations.
          def let_in = @page.inquiry.threaded_ids.size

          def picture = @picture ||= ThreadsPicture.new(@reader, @page)

          private

          def round(round)
            total = @page.inquiry.rounds[round.number - 1].found_ids.size
            heading = "Round #{round.number}: from #{@page.count_of(round.from,
                                                                    "paper")}, #{@page.number(total)} found"
            Round.new(heading:, papers: round.found.map { |tied| found(tied) }, more: total - round.found.size)
          end

          def found(tied)
            named = tied.by.first(2).map do |record|
              "#{record.authors.first&.family || "no author"} #{record.year}"
            end
            more = tied.by.size > 2 ? " and #{tied.by.size - 2} more" : ""
            Found.new(near: @around.near(tied.near),
                      by: "hangs on #{tied.by.size}: #{named.join(", ")}#{more}")
          end
        end
      end
    end
  end
end
