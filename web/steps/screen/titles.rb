# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Screen
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

          # groups :: the list under its headings, as Array of Group
          attr_reader :groups

          # page :: Page; reader :: Services::Screen::Read
          def initialize(page, reader)
            @page = page
            @free = reader.free
            @groups = reader.groups.map do |group|
              Group.new(name: group.name, titles: group.records.map { |record| title(record) })
            end
            freeze
          end

          def list = @page.list

          # What finding keeps of how the list is looked at.
          def found_with = @page.list_query.except(:find)

          def heading
            return Book.t("common.papers", count: list.total) if list.total == list.all

            Book.t("screen.list.papers_of", count: list.all, shown: list.total)
          end

          # What is said of the list that is not all of it.
          def shown_words
            Book.t("screen.list.first_shown", papers: list.records.size) if list.total > list.records.size
          end

          def groupings
            Screening::ListView::GROUPS.map do |group, name|
              Choice.new(name:, count: nil, path: @page.path_with(group:), chosen: @page.view.group == group)
            end
          end

          # Likeliest is there as soon as there is something to learn from.
          def orders
            names = Screening::ListView::ORDERS
            names = names.except(:likeliest) unless @page.likeliest? || @page.likely.any?
            names.map do |order, name|
              Choice.new(name:, count: nil, path: @page.path_with(order:), chosen: @page.view.order == order)
            end
          end

          # How the list is ordered and grouped, in words.
          def order_words
            order = Screening::ListView::ORDERS.fetch(@page.view.order)
            first = @page.likeliest? ? order : Book.t("screen.list.order_first", order:)
            group = Screening::ListView::GROUPS.fetch(@page.view.group) unless @page.view.group == :none
            [first, *group].join(", ").sub(/\A./, &:upcase)
          end

          # The parts of the list; those by verdict with their counts.
          def parts
            by_verdict = Page::VERDICTS.keys.to_h { |verdict| [verdict, @page.tally.fetch(verdict, 0)] }
            counts = { all: list.all, unread: @page.unread, free: @free, **by_verdict }
            Screening::ListView::PARTS.map do |part, name|
              Choice.new(name:, count: counts.fetch(part), path: @page.path_with(part:),
                         chosen: @page.view.part == part)
            end
          end

          # How each of several papers is decided: [value, name], and the reasons to drop them.
          def several_verdicts = %w[keep unsure].map { |verdict| [verdict, Book.t("screen.decide.press.#{verdict}")] }

          def several_reasons
            reasons = Screening::Decision::Reasons
            reasons.for(@page.question.frame).map { |tag| [tag, reasons.name(tag)] }
          end

          # How many are chosen by the press that takes all of the part.
          def whole_part = list.total

          def export_paths
            EXPORTS.map { |ending, name| [@page.path("list.#{ending}", **@page.list_query), name] }
          end

          private

          def title(record)
            verdict = @page.inquiry.decision(record.id)&.verdict
            facts = [record.year, @page.design(record)].compact.join(" · ")
            Title.new(record:, facts:, verdict: Page::VERDICTS[verdict], path: @page.path_to_paper(record),
                      state: verdict || "unread", open: record.id == @page.open&.id)
          end

          # The papers by strength of evidence, and which to read first.
          class Ladder
            # path :: shows only it, or all again when it is shown; bar :: its share of the largest
            #   rung, 0 to 100
            class Rung < Value
              attributes :name, :why, :size, :facts, :path, :chosen, :bar, :aside
            end

            # A paper to read first, with why in words.
            class First < Value
              attributes :record, :why, :path
            end

            # rungs :: Array of Rung; read_first :: Array of First
            attr_reader :rungs, :read_first

            # page :: Page; reader :: Services::Screen::Read
            def initialize(page, reader)
              @page = page
              steps = reader.ladder
              largest = steps.map { |step| step.rung.papers.size }.max
              @rungs = steps.map { |step| rung(step, largest) }
              @read_first = reader.read_first.map do |choice|
                First.new(record: choice.record, why: why(choice), path: page.path_to_paper(choice.record))
              end
              freeze
            end

            private

            def rung(step, largest)
              one = step.rung
              chosen = @page.view.rung == one.key
              size = one.papers.size
              Rung.new(name: one.name, why: one.why, size:, chosen:, aside: one.aside?,
                       bar: (100.0 * size / largest).round(1), facts: facts(step),
                       path: @page.path_with(rung: chosen ? nil : one.key))
            end

            def facts(step)
              screened = Book.t("screen.list.screened", papers: step.read)
              included = Book.t("screen.list.included", papers: step.kept) if step.kept.positive?
              newest = Book.t("screen.list.newest", year: step.newest.to_s) if step.newest
              [screened, included, newest].compact.join(" · ")
            end

            def why(choice)
              size = choice.rung.papers.size
              return Book.t("screen.list.only_one", rung: choice.rung.name) if size == 1

              key = choice.newest ? "newest_of" : "next_newest_of"
              key += "_closest" if choice.closest
              Book.t("screen.list.#{key}", rung: choice.rung.name, papers: size)
            end
          end

          # What Hobrin learned from the decisions so far, in words.
          class Likely
            # How many words are told for and against.
            WORDS = 4
            # From this chance that none is left, reading on is likely to bring nothing: the estimate
            # errs towards reading on.
            BRINGS_NOTHING = 0.5
            private_constant :WORDS, :BRINGS_NOTHING

            # What speaks for keeping the open paper and against: [for, against], each a text. nil where the list is not
            # in this order.
            attr_reader :speaks

            # page :: Page; likeliest :: Services::Screen::List::Likeliest
            def initialize(page, likeliest)
              @page = page
              @any = likeliest.any?
              if any? && page.likeliest?
                @stopping = likeliest.stopping
                @speaks = page.open && said_of(likeliest.reasons(page.open))
              end
              freeze
            end

            def any? = @any

            # How many keepers are expected among the unread, and whether to stop, in sentences.
            def may_stop
              return Book.t("screen.list.all_screened") if @page.unread.zero?
              return Book.t("screen.list.few", papers: few) if @page.list.all < few
              return Book.t("screen.list.too_early", papers: enough) if @page.list.all - @page.unread < enough

              "#{expected} #{advice}"
            end

            private

            def few = Screening::StoppingEstimate::FEW
            def enough = Screening::StoppingEstimate.enough(@page.list.all)

            attr_reader :stopping

            def expected
              about = @page.decimal(stopping.expected, stopping.expected < 10 ? 1 : 0)
              key = stopping.high == Screening::StoppingEstimate::MOST ? "expected" : "expected_at_most"
              Book.t("screen.list.#{key}", papers: @page.unread, about:, most: stopping.high)
            end

            def advice
              none = @page.hundredths(stopping.none)
              return Book.t("screen.list.stop", chance: none) if stopping.none >= BRINGS_NOTHING

              Book.t("screen.list.go_on")
            end

            def said_of(reasons)
              sides = [reasons.select { |_, share| share.positive? }, reasons.select { |_, share| share.negative? }]
              sides.map { |side| side.first(WORDS).map { |trait, _| words(trait) }.join(", ") }
            end

            def words(trait)
              name = trait.name
              return "“#{name}”" unless name.include?(" ")

              name.delete_prefix("type ")
            end
          end
        end
      end
    end
  end
end
