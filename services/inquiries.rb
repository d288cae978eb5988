# frozen_string_literal: true

module Hobrin
  module Services
    # An inquiry as a whole: started, opened, put aside, deleted, or rid of a text for good.
    module Inquiries
      # Starts an inquiry from a question.
      class Start < Service
        # text :: the question; situation :: what led to it; ward_id :: of one's wards, nil for the
        #   first. Gives the new id. Raises InputError.
        def call(text, situation: "", sample: false, ward_id: nil)
          raise InputError, { text: Book.t("errors.inquiries.no_ward") } if @context.user.person&.wards&.empty?

          inquiry = Inquiry.new(question: Question.ask(text.strip, situation:))
          line = { who: @context.user.name, kind: :question_asked, facts: {}, count_before: 0, count_after: 0,
                   library_version: @context.snapshot.version }
          @context.inquiries.create(inquiry, step: :ask, at: @context.clock.now, line:, sample:, **@context.user.whose(ward_id))
        end
      end

      # An inquiry as pages show it. What costs anything is worked out when it is first asked for, and
      # once: an answer that shows no count builds no cascade. Belongs to one request.
      class Open
        # Store::Inquiries::Saved
        attr_reader :saved

        # Papers that who reads it does not screen, as ids.
        attr_reader :left_out

        # cascade :: of the inquiry, when it was worked out already
        def initialize(context, saved, cascade: nil, left_out: [])
          @context = context
          @saved = saved
          @cascade = cascade
          @left_out = left_out
        end

        def id = saved.id
        def version = saved.version
        def inquiry = saved.inquiry
        def question = inquiry.question

        # Narrowing::Cascade over the library as it is now.
        def cascade = @cascade ||= inquiry.cascade(@context.evaluator)

        # How many papers are left.
        def final = cascade.final.size

        # The Trail::Line that could be undone, or done again; nil for none.
        def undo = @undo ||= line(history.undo)
        def redo = @redo ||= line(history.redo)

        # Each change is one line.
        def trail_size = version

        def sample_library = @context.snapshot.sample?

        private

        def history = @history ||= @context.inquiries.history(id)
        def line(number) = number && @context.inquiries.line(id, number)
      end

      # Opens an inquiry, to look at it.
      class Read < Service
        # Gives an OpenInquiry. Raises GoneError.
        def call(id) = Open.new(@context, @context.inquiries.find(id))

        # What was changed since a person looked at a version, in another window than theirs.
        # own :: number of the line that they wrote themselves since, or nil. Gives an Array of
        #   Trail::Line.
        def elsewhere(id, seen, own: nil)
          @context.inquiries.lines_after(id, seen).reject { |line| line.number == own }
        end
      end

      # Puts an inquiry out of the way without taking it away, and brings one back to the board.
      class PutAside < Service
        # Raises GoneError.
        def call(id) = @context.inquiries.put_aside(id, at: @context.clock.now)

        # One that was put aside, or else taken away. Raises GoneError.
        def back(id)
          @context.inquiries.put_aside(id, at: nil)
        rescue GoneError
          Delete.new(@context).bring_back(id)
        end
      end

      # Takes an inquiry away. For thirty days it can be brought back; then the nightly run forgets it with
      # its trail.
      class Delete < Service
        KEPT_DAYS = 30

        # Raises GoneError when it is not there.
        def call(id)
          @context.inquiries.delete(id, at: @context.clock.now)
          @context.audit.note("deleted", "inquiry #{id}")
        end

        # Raises GoneError when it was not taken away, or too long ago.
        def bring_back(id)
          @context.inquiries.bring_back(id, since:)
          @context.audit.note("brought back", "inquiry #{id}")
        end

        # One that was taken away before this time can no more be brought back.
        def since = @context.clock.days_ago(KEPT_DAYS)
      end

      # Removes a text from an inquiry for good: from all that is kept of it here, and so from its pages,
      # files, shared links and feeds, and from the next backup. The log says that it was done, and nothing
      # of the text.
      class ForgetText < Service
        SHORTEST = 4
        private_constant :SHORTEST

        # id :: of the inquiry. Gives in how many places it stood. Who may is said by
        #   the address at which it is asked. Raises GoneError, InputError (:forget).
        def call(id, text)
          @context.standings.of(id)
          text = text.strip
          refuse(Book.t("errors.inquiries.forget_length", least: SHORTEST)) if text.size < SHORTEST
          FieldLengths.check(:forget, text)
          count = @context.stored.forget_text(id, text)
          refuse(Book.t("errors.inquiries.forget_missing")) if count.zero?

          Act::MakeFile.forget(@context, id)
          note(id)
          count
        end

        private

        # A line of the trail that changes nothing and says nothing of the text.
        def note(id)
          ApplyEdit.new(@context).call(id, Edits::Trail::RecordForgetting.new)
          @context.audit.note("text removed for good", "inquiry #{id}")
        end

        def refuse(words) = raise(InputError, { forget: words })
      end
    end
  end
end
