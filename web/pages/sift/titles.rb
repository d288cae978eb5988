# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Sift
        # The list of titles: how it is ordered, grouped and parted, and what can be done with
        # several of them at once.
        class Titles
          EXPORTS = Exchange::FORMATS.values.to_h { |format| [format::EXTENSION, format::NAME] }.freeze
          private_constant :EXPORTS

          # A way to look at the list.
          class Choice < Value
            attributes :name, :count, :path, :chosen
          end

          # A paper in the list of titles: verdict :: in words, nil while it is unread
          class Title < Value
            attributes :record, :facts, :verdict, :path, :state, :open
          end

          # A part of the list under its heading, "" for a list that is not grouped.
          class Group < Value
            attributes :name, :titles
          end

          # page :: Sift
          def initialize(page)
            @page = page
          end

          def list = @page.list

          # What finding keeps of how the list is looked at.
          def found_with = @page.list_query.except(:find)

          def heading
            part = list.total == list.all ? "" : " of #{@page.number(list.all)}"
            "#{@page.number(list.total)}#{part} #{list.all == 1 ? "paper" : "papers"}"
          end

          # What is said of the list that is not all of it.
          def shown_words
            "The first #{list.records.size} are shown." if list.total > list.records.size
          end

          def groupings
            Screening::ListView::GROUPS.map do |group, name|
              Choice.new(name:, count: nil, path: @page.path_with(group:), chosen: @page.view.group == group)
            end
          end

          # Likeliest is there as soon as there is something to learn from.
          def orders
            names = Screening::ListView::ORDERS
            names = names.except(:likeliest) unless @page.likeliest? || @page.reader.likeliest.any?
            names.map do |order, name|
              Choice.new(name:, count: nil, path: @page.path_with(order:), chosen: @page.view.order == order)
            end
          end

          # How the list is ordered and grouped, in words.
          def order_words
            order = Screening::ListView::ORDERS.fetch(@page.view.order)
            first = @page.likeliest? ? order : "#{order} first"
            group = Screening::ListView::GROUPS.fetch(@page.view.group) unless @page.view.group == :none
            [first, *group].join(", ").sub(/\A./, &:upcase)
          end

          # The parts of the list; those by verdict with their counts.
          def parts
            by_verdict = VERDICTS.keys.to_h { |verdict| [verdict, @page.tally.fetch(verdict, 0)] }
            counts = { all: list.all, unread: @page.unread, free: @page.reader.free, **by_verdict }
            Screening::ListView::PARTS.map do |part, name|
              Choice.new(name:, count: counts.fetch(part), path: @page.path_with(part:),
                         chosen: @page.view.part == part)
            end
          end

          def groups
            @page.reader.groups.map do |group|
              Group.new(name: group.name, titles: group.records.map { |record| title(record) })
            end
          end

          # How each of several papers is decided: [value, name], and the reasons to drop them.
          def several_verdicts = [%w[keep Keep], %w[unsure Unsure]]
          def several_reasons = Screening::Decision::Reasons.for(@page.question.frame)

          # How many are chosen by the press that takes all of the part.
          def whole_part = list.total

          def export_paths
            EXPORTS.map { |ending, name| [@page.path("list.#{ending}", **@page.list_query), name] }
          end

          private

          def title(record)
            verdict = @page.inquiry.decision(record.id)&.verdict
            facts = [record.year, @page.design(record)].compact.join(" · ")
            Title.new(record:, facts:, verdict: VERDICTS[verdict], path: @page.path_to_paper(record),
                      state: verdict || "unread", open: record.id == @page.open&.id)
          end
        end
      end
    end
  end
end
