# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Screen
        # The Sift step.
        class Page < StepPage
          KEY = :sift

          VERDICTS = Book.names("screen.decide.verdict", %i[keep unsure drop])
          SHOWN = %w[around full threads].freeze
          private_constant :SHOWN

          # A way to the paper before or after: letter :: its key
          class Neighbour < Value
            attributes :name, :letter, :path
          end

          # A button that decides: value :: what it sends; letter :: its key
          class Verdict < Value
            attributes :value, :name, :letter, :icon, :chosen
          end

          # view :: Screening::ListView, how the list is looked at; list :: Services::Screen::Read::List
          # tally :: how many papers of all there are have which verdict, nil for those that are unread
          attr_reader :view, :list, :tally

          # titles :: Titles; ladder :: Titles::Ladder; likely :: Titles::Likely; nil where there is nothing to read
          # pane :: Pane of the open paper; full_text :: FullText; around :: Array of Pane::Around::Group; each nil while
          # it is not shown
          attr_reader :titles, :ladder, :likely, :pane, :full_text, :around

          # CitationRounds, nil while they are not shown.
          attr_reader :threads

          # What is to be known where two people read; nil where they do not: [words, path].
          attr_reader :twice

          # How many papers stay with this inquiry, since the library lacks them, and whether who is here may add them:
          # [count, may], nil for none.
          attr_reader :beside

          # context :: Services::Context; paper :: id of the record to open, nil for the one that was asked for
          def initialize(context:, paper: nil, **rest)
            super(**rest)
            @view = Page.view_of(fields)
            reader = Services::Screen::Read.new(context, opened, view:)
            @list = reader.call(record_id: paper || fields.some_text(:paper))
            @tally, @pace = reader.tally, reader.pace
            @twice = read_twice(Services::Screen::DualScreening.new(context, id))
            own = reader.own_papers
            @beside = [own, Services::ChangeHouse.new(context).may?] if own.positive?
            if threads? then @threads = CitationRounds.new(self, context)
            elsif anything? then read_desk(reader, context)
            end
            freeze
          end

          # How the list is looked at, by what was sent. fields :: Fields
          def self.view_of(fields)
            Screening::ListView.new(order: fields.one_of(:order, Screening::ListView::ORDERS.keys),
                                    group: fields.one_of(:group, Screening::ListView::GROUPS.keys),
                                    part: fields.one_of(:part, Screening::ListView::PARTS.keys),
                                    rung: fields.some_text(:rung), find: fields.text(:find)[0, 200])
          end

          def open = list.open
          def find = view.find

          # Whether there is anything to sift, in whatever part.
          def anything? = list.all.positive?

          # What is shown of the open paper: nil for its abstract, "around" or "full"; "threads"
          # stands in place of list and paper.
          def shown = SHOWN.find { |view| view == fields.text(:show) }
          def threads? = shown == "threads"
          def likeliest? = view.order == :likeliest

          # How long reading the rest may take, at the pace of the last decisions.
          def pace_words
            return unless @pace

            @pace < 1 ? Book.t("screen.page.half_a_minute") : Book.t("screen.page.minutes", count: @pace.round)
          end

          def design(record) = Appraisal::Design.proposed(record)&.name || Book.t("screen.page.type_not_stated")

          # How the list is looked at, as an address and a form keep it.
          def list_query = view.to_query.transform_keys(&:to_sym)

          def kept = tally.fetch(:keep, 0)
          def unread = tally.fetch(nil, 0)

          def dock_words
            unsure = tally.fetch(:unsure, 0)
            [left_words, (Book.t("screen.page.unsure", papers: unsure) if unsure.positive?)].compact.join(" ")
          end

          def left_words
            return Book.t("screen.page.all_screened") if unread.zero?

            pace_words ? Book.t("screen.page.left_at_pace", papers: unread, pace: pace_words) : Book.t("screen.page.left", papers: unread)
          end

          def verdicts
            [%w[keep i check2], %w[unsure u question-lg]].map do |value, letter, icon|
              Verdict.new(value:, name: Book.t("screen.decide.press.#{value}"), letter:, icon:, chosen: decision&.verdict.to_s == value)
            end
          end

          # Each reason with the number that picks it and whether it was picked.
          def reasons
            reasons = Screening::Decision::Reasons
            reasons.for(question.frame).map.with_index(1) { |tag, key| [tag, reasons.name(tag), key, decision&.reason == tag] }
          end

          def neighbours
            { -1 => %w[previous p], 1 => %w[next n] }.filter_map do |by, (key, letter)|
              record = list.beside(by)
              Neighbour.new(name: Book.t("screen.page.#{key}"), letter:, path: path_to_paper(record)) if record
            end
          end

          def decision = open && inquiry.decision(open.id)
          def note = typed_or(:note, decision&.note.to_s)

          # Whether the search is to find the open paper always.
          def must_find? = open && inquiry.must_find.include?(open.id)

          # What is to be known of the open paper at a glance; those that a person did themselves
          # stand apart.
          def tags
            [design(open), *open.ages,
             *(Book.t("screen.page.language", language: open.language) if open.language && open.language != "eng")]
          end

          def by_hand
            [(Book.t("screen.page.added_manually") if inquiry.included_ids.include?(open.id)),
             ("must-find" if must_find?)].compact
          end

          # Volume, issue and pages, as far as they are known.
          def printed_in
            issue = open.issue && "(#{open.issue})"
            open.volume ? "; #{open.volume}#{issue}: #{open.pages}" : ""
          end

          # Marked text of the open paper.
          def matched = list.matched

          # The paper opens in the list as it is looked at.
          def path_to_paper(record) = path(:sift, **list_query, paper: record.id)

          # What a form keeps of how the list is looked at, with the paper that comes next.
          def kept_fields = { **list_query, following: list.beside(1)&.id }.compact

          def path_to_headings = path(:word, open: "paper:#{open.id}")
          def path_showing(show) = path(:sift, **list_query, paper: open&.id, show:)
          def path_to_threads = path(:sift, **list_query, show: "threads")

          # What a marked sentence tells, in a word or two.
          def told_words(told) = Book.t("screen.paper.told.#{told}")

          # What a form keeps that stays on this paper, or in the threads.
          def staying_fields = { **list_query, reading: open&.id, show: shown }.compact

          def said
            return super unless errors.empty?

            open ? Book.t("screen.page.summary", papers: unread, title: open.title) : Book.t("screen.page.no_papers")
          end

          # The address of this page looked at in another way.
          def path_with(**changed)
            path(:sift, **view.with(**changed).to_query.transform_keys(&:to_sym))
          end

          private

          def read_desk(reader, context)
            @likely = Titles::Likely.new(self, reader.likeliest)
            @titles = Titles.new(self, reader)
            @ladder = Titles::Ladder.new(self, reader)
            return unless open

            @pane = Pane.new(self, open, context)
            @around = Pane::Around.new(self, context).groups(open, review: pane.review?) if shown == "around"
            @full_text = FullText.new(self, open, context) if shown == "full"
          end

          # reading :: Services::Screen::DualScreening
          def read_twice(reading)
            return unless reading.apart?

            overview = reading.overview
            readers = overview.readers.map(&:name).zip(overview.read)
            read = readers.map { |person, papers| Book.t("screen.page.reader", person:, papers:) }
            words = Book.t("screen.page.dual", read: read.join(", "), differences: count_of(overview.open.size, "difference"))
            [[words, *outside(overview.outside)].join(" "), path(:differences)]
          end

          # Papers that were decided before the two began.
          def outside(count)
            return if count.zero?

            Book.t("screen.page.outside", count:)
          end
        end
      end
    end
  end
end
