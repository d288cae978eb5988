# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Sift step.
      class Sift < Step
        VERDICTS = { keep: "kept", unsure: "unsure", drop: "dropped" }.freeze
        private_constant :VERDICTS

        # A paper in the list of titles: verdict :: in words, nil while it is unread
        class Title < Value
          attributes :record, :facts, :verdict, :path, :state, :open
        end

        # A way to the paper before or after: letter :: its key
        class Neighbour < Value
          attributes :name, :letter, :path
        end

        # A button that decides: value :: what it sends; letter :: its key
        class Verdict < Value
          attributes :value, :name, :letter, :icon, :chosen
        end

        # paper :: id of the record to open, nil for the one that was asked for
        def initialize(paper: nil, **rest)
          super(**rest)
          @paper = paper || fields.some_text(:paper)
        end

        def list = @list ||= Services::ReadSift.new(@context).call(opened, record_id: @paper)
        def open = list.open

        def heading = count_of(list.total, "paper")

        def order
          list.total > list.records.size ? "newest first, the first #{list.records.size} shown" : "newest first"
        end

        def titles
          list.records.map do |record|
            verdict = decision_on(record)&.verdict
            Title.new(record:, facts: [record.year, design(record)].compact.join(" · "),
                      verdict: VERDICTS[verdict], path: path_to_paper(record), state: verdict || "unread",
                      open: record.id == open.id)
          end
        end

        # How many papers have which verdict: [number, in words].
        def counts
          [*VERDICTS.map { |verdict, name| [tally.fetch(verdict, 0), name] }, [unread, "unread"]]
        end

        def kept = tally.fetch(:keep, 0)
        def unread = tally.fetch(nil, 0) + (list.total - list.records.size)

        def dock_words
          unsure = tally.fetch(:unsure, 0)
          left = unread.zero? ? "All read." : "#{number(unread)} still unread."
          unsure.positive? ? "#{left} #{unsure} unsure: look again before you weigh." : left
        end

        def verdicts
          [%w[keep Keep k check2],
           %w[unsure Unsure u question-lg]].map do |value, name, letter, icon|
            Verdict.new(value:, name:, letter:, icon:, chosen: decision&.verdict.to_s == value)
          end
        end

        # Each reason with the number that picks it and whether it was picked.
        def reasons
          Sifting::REASONS.map.with_index(1) { |reason, key| [reason, key, decision&.reason == reason] }
        end

        def neighbours
          { -1 => %w[Previous p], 1 => %w[Next n] }.filter_map do |by, (name, letter)|
            record = list.beside(by)
            Neighbour.new(name:, letter:, path: path_to_paper(record)) if record
          end
        end

        def decision = open && decision_on(open)
        def note = typed_or(:note, decision&.note.to_s)

        # Whether the search is to find the open paper always.
        def must_find? = inquiry.must_find.include?(open.id)

        # What is to be known of the open paper at a glance; those that a person did themselves
        # stand apart.
        def tags
          [design(open), *open.ages,
           *("language: #{open.language}" if open.language && open.language != "eng")]
        end

        def by_hand
          [("let in by hand" if inquiry.included_ids.include?(open.id)),
           ("must-find" if must_find?)].compact
        end

        # Volume, issue and pages, as far as they are known.
        def printed_in
          issue = open.issue && "(#{open.issue})"
          open.volume ? "; #{open.volume}#{issue}: #{open.pages}" : ""
        end

        # Marked text of the open paper.
        def matched = list.matched

        def path_to_headings = path(:word, open: "paper:#{open.id}")

        def said
          return super unless errors.empty?

          open ? "#{unread} unread. Now open: #{open.title}" : "No papers"
        end

        private

        def decision_on(record) = inquiry.decision(record.id)
        def tally = @tally ||= list.records.map { |record| decision_on(record)&.verdict }.tally
        def design(record) = Appraisal::Design.proposed(record)&.name || "study type not stated"
      end
    end
  end
end
