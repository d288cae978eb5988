# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The first page: a box to start, and the inquiries as a board, by how far they have come.
      class Home < Page
        # A band of the board: name :: of the stage; cards :: Array of Card
        class Band < Value
          attributes :name, :cards
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

        attr_reader :question

        # overview :: Services::ListInquiries::Overview; question :: as it was typed
        # notices :: Array of [name of a ward, Store::Wards::Notice]
        def initialize(overview:, errors:, question:, notices: [])
          super(errors:)
          @overview = overview
          @question = question
          @notices = notices
        end

        # What the wards of who signed in are told, in words.
        def notices
          @notices.map do |ward, notice|
            "#{notice.who}, who administers Hobrin, became a #{notice.role} of #{ward} on #{day(notice.at)}, " \
              "and can read its inquiries."
          end
        end

        def sample? = @overview.sample

        # What the library holds, in words, for the way there.
        def library_words
          return "the library is empty: bring papers in" if @overview.papers.zero?

          "library of #{count_of(@overview.papers, "paper")}"
        end

        # What needs somebody soonest comes first. Stages without an inquiry are left out.
        def bands
          by_stage = @overview.entries.group_by { |entry| entry.stage.name }
          Inquiry::Stage::NAMES.values.filter_map do |name|
            entries = by_stage[name] or next
            Band.new(name:, cards: entries.map { |entry| card(entry) })
          end
        end

        def aside
          @overview.aside.map { |entry| gone(entry.saved, "put aside", entry.saved.aside_at) }
        end

        def deleted = @overview.deleted.map { |saved| gone(saved, "taken away", saved.deleted_at) }
        def kept_days = Services::DeleteInquiry::KEPT_DAYS

        private

        def gone(saved, words, at)
          Gone.new(text: saved.inquiry.question.text, when: "#{words} #{day(at[0, 10])}",
                   path: "/inquiries/#{saved.id}")
        end

        def card(entry)
          saved = entry.saved
          Card.new(id: saved.id, question: saved.inquiry.question, path: "/inquiries/#{saved.id}",
                   sample: saved.sample, touched: day_and_time(saved.touched_at), steps: steps(saved),
                   waits: left(entry.unread, "read") + left(entry.unweighed, "weigh") +
                          waits(entry.stage.waiting))
        end

        # Who still has how many papers to read or to weigh, where two do.
        def left(counts, what)
          counts.select { |_, left| left.positive? }.map do |name, left|
            Wait.new(who: name, what: "#{count_of(left, "paper")} to #{what}", late: false)
          end
        end

        def waits(waiting)
          shown = waiting.first(MOST_WAITING).map do |one|
            by = ", by #{day(one.on.iso8601)}" if one.on
            Wait.new(who: one.who, what: "#{one.what}#{by}", late: one.late)
          end
          more = waiting.size - shown.size
          more.positive? ? [*shown,
                            Wait.new(who: "", what: "and #{more} more", late: false)] : shown
        end

        def steps(saved)
          progress = Progress.new(saved.inquiry, saved.papers)
          Progress::NAMES.map do |step, name|
            state = [progress.done?(step) ? "done" : "open",
                     ("here" if step == saved.step)].compact.join(" ")
            StepState.new(name:, note: progress.note(step) || note(step, saved), state:)
          end
        end

        def note(step, saved)
          case step
          when :ask then saved.inquiry.question.kind ? Question::Kind.fetch(saved.inquiry.question.kind).short : ""
          when :act then act_note(saved.inquiry)
          else ""
          end
        end

        def act_note(inquiry)
          return "signed" if inquiry.acting.signed.any?

          inquiry.conclusion.empty? ? "" : "written"
        end
      end
    end
  end
end
