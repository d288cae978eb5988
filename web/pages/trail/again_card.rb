# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Trail
        # What running the search again found.
        class AgainCard
          include Formatting

          FEW = 12
          ANEW = "The library was built anew since, so what is new in it cannot be told; below are the " \
                 "lines whose counts moved."
          private_constant :FEW, :ANEW

          # Lines whose counts moved: rows :: Array of Hobrin::Trail::Rerun::Moved; open :: whether
          #   they are few
          class Moved < Value
            attributes :title, :rows, :open
          end

          # page :: Trail; outcome :: Services::Trails::RunAgain::Outcome
          def initialize(page, outcome)
            @page = page
            @outcome = outcome
          end

          def now = count_of(rerun.now, "paper")
          def close_path = @page.path(:trail)
          def form_path = @page.path(:again)

          # Where the pooled values of the last signed version stand beside those of now; nil while
          # none is signed.
          def signed_path = (@page.path(:act, show: "versions") if @page.inquiry.acting.signed.any?)

          # What other catalogues gave when they were asked last: Array of [name, records, day].
          def elsewhere
            @page.inquiry.elsewhere.map do |one|
              [one.source, count_of(one.count, "record"), day(one.on)]
            end
          end

          def elsewhere_path = @page.path(:narrow, show: "elsewhere")

          def before
            base = @outcome.base
            "#{number(rerun.before)} at line #{base.number} of #{day_and_time(base.at)}"
          end

          # What is new, and what changed among the others.
          def remark
            reindexed = rerun.reindexed
            changed = " #{signed(reindexed)} of those that were here already, because headings changed." if reindexed != 0
            "#{fresh}#{changed}"
          end

          def records = @outcome.records
          def cut = ("the newest #{records.size}" if rerun.fresh.size > records.size)

          def moved
            { "Lines of the search whose counts moved" => rerun.lines,
              "Lines of the trail whose counts moved" => @outcome.trail }.filter_map do |title, rows|
              Moved.new(title:, rows:, open: rows.size <= FEW) if rows.any?
            end
          end

          private

          def rerun = @outcome.rerun

          def fresh
            return ANEW unless rerun.known

            papers = count_of(rerun.fresh.size, "paper")
            return "#{papers} came into the library since." unless rerun.fresh.empty?

            @outcome.changed? ? "None of them came into the library since." : "Every line counts as it did."
          end
        end
      end
    end
  end
end
