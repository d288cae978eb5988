# frozen_string_literal: true

module Hobrin
  module Web
    # What every step's page has: the inquiry as it stands, what was typed, and what was wrong with it. The page of a
    # step reads what it shows in its own `initialize`, and freezes itself at the end.
    class StepPage < Page
      # A step in the row of steps: note is a count beside its name, or nil; state :: :current,
      # :done or :open
      class Tab < Value
        attributes :key, :name, :path, :note, :state

        def current? = state == :current
        def done? = state == :done
      end

      # Undo or redo: change :: what it would be about, in words, nil when there is nothing
      class Way < Value
        attributes :key, :name, :sign, :keys, :path, :change

        def title = change && "#{name}: #{change} (#{keys})"
      end

      # tabs :: Array of Tab; ways :: undo and redo, as Array of Way
      attr_reader :opened, :fields, :notice, :tabs, :ways

      # opened :: Services::Inquiries::Open; fields :: Fields; errors :: Hash of field to message
      # notice :: what is to be said above the page, or nil
      def initialize(opened:, fields:, errors:, notice: nil)
        super(errors:)
        @opened = opened
        @fields = fields
        @notice = notice
        @tabs = read_tabs
        @ways = read_ways
      end

      def inquiry = opened.inquiry
      def question = opened.question
      def id = opened.id
      def version = opened.version
      def sample? = opened.sample_library
      def key = self.class::KEY
      def title = "#{Progress::NAMES.fetch(key)}: #{question.text}"
      def kind = question.kind && Question::Kind.fetch(question.kind)

      # The address of a part of this inquiry, this page unless said otherwise. query ::
      # parameters; those without a value are left out
      def path(rest = key, **query)
        address = "/inquiries/#{id}/#{rest}"
        query = query.compact
        query.empty? ? address : "#{address}?#{Rack::Utils.build_query(query)}"
      end

      # Whether something on the page is theirs to change who else only reads the inquiry.
      def own_part? = false

      def path_to_paper(record) = path(:sift, paper: record.id)

      # What a screen reader is told after a change.
      def said
        words = errors.empty? ? count_of(opened.final, "paper") : errors.values.join(" ")
        [notice, words].compact.join(" ").strip
      end

      # What the number of papers means beside the target, in words. outlook :: Narrowing::Target::Outlook
      def standing_words(outlook)
        return Book.t("common.steps.few") if outlook.standing == :few

        where = %i[none missing].include?(outlook.standing) ? :below : outlook.standing
        standing = Book.t("common.steps.standing.#{where}", from: inquiry.aim.from, to: inquiry.aim.to)
        [standing, missing_words(outlook)].compact.join(": ")
      end

      # Why papers may be missing; nil where nothing points to it.
      def missing_words(outlook)
        case outlook.reason
        when :must_find then Book.t("common.steps.must_find_lost", count: outlook.about)
        when :block then Book.t("common.steps.finds_few", block: letter(outlook.about))
        end
      end

      # The letter of an element, by its key.
      def letter(key) = question.element(key)&.letter || key

      # What was typed and refused, or what is stored.
      def typed_or(name, stored) = refused?(name) ? fields.text(name) : stored

      # The choices of a select: [value, name, whether it is chosen], as typed or as stored. names :: Hash
      # of value to name
      def choices(field, names, stored)
        chosen = typed_or(field, stored.to_s)
        names.map { |value, name| [value, name, value.to_s == chosen] }
      end

      # Whether a field was sent with what was refused, so that it is shown as it was typed.
      def refused?(name) = errors.any? && fields.sent?(name)

      private

      def read_tabs
        progress = Progress.new(Inquiry::Outline.of(inquiry), opened.final)
        Progress::NAMES.map do |step, name|
          state = progress.done?(step) ? :done : :open
          Tab.new(key: step, name:, path: path(step), note: progress.note(step), state: step == key ? :current : state)
        end
      end

      def read_ways
        [Way.new(key: :undo, name: Book.t("common.steps.undo"), sign: "arrow-counterclockwise", keys: "Ctrl+Z", path: path(:undo),
                 change: opened.undo&.change),
         Way.new(key: :redo, name: Book.t("common.steps.redo"), sign: "arrow-clockwise", keys: "Ctrl+Shift+Z", path: path(:redo),
                 change: opened.redo&.change)]
      end

      # How far an inquiry has come, step by step: which steps are done, and what there is to say of
      # each.
      class Progress
        include Formatting

        # The steps as people call them.
        NAMES = Inquiry::STEPS.to_h { |step| [step, Book.t("common.step.#{step}")] }.freeze

        # papers :: how many are left by the search
        # outline :: Inquiry::Outline
        def initialize(outline, papers)
          @outline = outline
          @papers = papers
        end

        def done?(step)
          case step
          when :ask then @outline.question.searched.any?
          when :word then blocks.any? && blocks.all?(&:positive?)
          when :narrow then @papers.positive? && @outline.aim.standing(@papers) != :above
          when :sift then @outline.kept.positive?
          when :weigh then @outline.weighed.positive?
          when :act then @outline.concluded
          end
        end

        # A count and its word, nil where there is none yet.
        def note(step)
          case step
          when :word then (Book.t("common.steps.terms", count: terms) if terms.positive?)
          when :narrow then Book.t("common.steps.papers_left", papers: @papers) if terms.positive?
          when :sift then said(:included, @outline.kept)
          when :weigh then said(:appraised, @outline.weighed)
          end
        end

        private

        def blocks = @outline.blocks
        def terms = @outline.in_use
        def said(key, papers) = (Book.t("common.steps.#{key}", papers:) if papers.positive?)
      end
    end
  end
end
