# frozen_string_literal: true

module Hobrin
  module Web
    module Home
      # The first page: a box to start, and the inquiries as a board, by how far they have come.
      class Page < Web::Page
        # A band of the board: name :: of the stage; count :: how many stand there; cards :: Array of Card, those
        #   of this page
        class Band < Value
          attributes :name, :count, :cards
        end

        # An inquiry in the list: steps :: Array of StepState; waits :: Array of Wait
        class Card < Value
          attributes :id, :question, :path, :sample, :touched, :steps, :waits
        end

        # What waits, in words: who :: "" for nobody in particular
        class Wait < Value
          attributes :who, :what, :late
        end

        # One step of an inquiry: note :: what there is to say of it, "" for nothing; state ::
        #   "done", "open" or "here done" …
        class StepState < Value
          attributes :name, :note, :state
        end

        # One that was put aside or taken away: when :: in words; path :: of the form that brings it
        #   back
        class Gone < Value
          attributes :text, :when, :path
        end

        # More are not said on a card.
        MOST_WAITING = 3
        private_constant :MOST_WAITING

        # unowned :: how many inquiries were made here while nobody was signed in
        attr_reader :question, :unowned

        # overview :: Services::Inquiries::List::Overview; question :: as it was typed
        # notices :: Array of [name of a ward, Store::Directory::Wards::Notice]
        def initialize(overview:, errors:, question:, notices: [], unowned: 0)
          super(errors:)
          @overview = overview
          @question = question
          @notices = notices
          @unowned = unowned
          freeze
        end

        # What the wards of who signed in are told, in words.
        def notices
          @notices.map do |ward, notice|
            Book.t("home.page.new_member", person: notice.who, role: notice.role, ward:, day: day(notice.at))
          end
        end

        def sample? = @overview.sample

        # What the library holds, in words, for the way there.
        def library_words
          return Book.t("home.page.empty_library") if @overview.papers.zero?

          Book.t("home.page.library", papers: count_of(@overview.papers, "paper"))
        end

        # What needs somebody soonest comes first. Stages without an inquiry are left out.
        def bands
          by_stage = @overview.entries.group_by { |entry| entry.stage.key }
          Inquiry::Stage::NAMES.filter_map do |key, name|
            entries = by_stage[key] or next
            Band.new(name:, count: @overview.counts.fetch(key, entries.size), cards: entries.map { |entry| card(entry) })
          end
        end

        # Ways to the other pages: [name, path, whether it is this one]; none where there is one.
        def pages
          return [] if @overview.pages == 1

          near = (1..@overview.pages).select { |page| [1, @overview.pages].include?(page) || (page - @overview.page).abs <= 2 }
          near.map { |page| [number(page), "/?page=#{page}", page == @overview.page] }
        end

        # Which of them are shown, in words.
        def shown
          from = (@overview.page - 1) * Services::Inquiries::List::PAGE
          Book.t("home.page.range", first: from + 1, last: from + @overview.entries.size, total: @overview.total)
        end

        def aside = @overview.aside.map { |listed| gone(listed, Book.t("home.page.when_archived"), listed.aside_at) }
        def deleted = @overview.deleted.map { |listed| gone(listed, Book.t("home.page.when_deleted"), listed.deleted_at) }
        def kept_days = Services::Inquiries::Delete::KEPT_DAYS

        private

        def gone(listed, words, at)
          Gone.new(text: listed.outline.question.text, when: "#{words} #{day(at[0, 10])}",
                   path: "/inquiries/#{listed.id}")
        end

        def card(entry)
          listed = entry.listed
          Card.new(id: listed.id, question: listed.outline.question, path: "/inquiries/#{listed.id}",
                   sample: listed.sample, touched: day_and_time(listed.touched_at), steps: steps(listed),
                   waits: left(entry.unread, "screen") + left(entry.unweighed, "appraise") +
                          waits(entry.stage.waiting))
        end

        # Who still has how many papers to read or to weigh, where two do.
        def left(counts, what)
          counts.select { |_, left| left.positive? }.map do |name, left|
            Wait.new(who: name, what: Book.t("home.page.waiting", papers: count_of(left, "paper"), task: what), late: false)
          end
        end

        def waits(waiting)
          shown = waiting.first(MOST_WAITING).map do |wait|
            by = Book.t("home.page.by", day: day(wait.on.iso8601)) if wait.on
            Wait.new(who: wait.who, what: "#{wait.what}#{by}", late: wait.late)
          end
          more = waiting.size - shown.size
          more.positive? ? [*shown, Wait.new(who: "", what: Book.t("home.page.and_more", more:), late: false)] : shown
        end

        def steps(listed)
          progress = StepPage::Progress.new(listed.outline, listed.papers)
          StepPage::Progress::NAMES.map do |step, name|
            state = [progress.done?(step) ? "done" : "open",
                     ("here" if step == listed.step)].compact.join(" ")
            StepState.new(name:, note: progress.note(step) || note(step, listed.outline), state:)
          end
        end

        def note(step, outline)
          case step
          when :ask then outline.question.kind ? Question::Kind.fetch(outline.question.kind).short : ""
          when :act then act_note(outline)
          else ""
          end
        end

        def act_note(outline)
          return "signed" if outline.signed_line

          outline.concluded ? "written" : ""
        end
      end
    end
  end
end
