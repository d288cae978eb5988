# frozen_string_literal: true

module Hobrin
  module Services
    # The trail of an inquiry: read, noted on, reported, and run again.
    module Trails
      # The trail of an inquiry: its lines, what stood at any of them, and how two of them compare.
      class Read < Service
        # name :: number of the line, or the name that it was given; says :: the change, or what it is made of
        # line :: Trail::Line, nil for a named one; papers :: RecordSet that its search finds now
        # lines :: Array of Brief::SearchLines::Line, counted now; cql :: the whole search as CQL text
        # records :: the newest of its papers, for a named line, which no step shows
        class Point < Value
          attributes :name, :says, :line, :papers, :lines, :cql, :records

          # Whether the library gives another number now than it gave then.
          def moved? = !line.nil? && papers.size != line.count_after
        end

        # line :: Strategy::Lines::NamedLine; size :: papers that it finds now
        class Named < Value
          attributes :line, :size
        end

        # comparison :: Trail::Comparison; only_one, only_other :: Array of Record, the newest that
        #   only one of them finds
        class Compared < Value
          attributes :comparison, :only_one, :only_other
        end

        MOST_READ = 12
        MOST_LISTED = 60
        private_constant :MOST_READ, :MOST_LISTED

        def initialize(context)
          super
          @evaluator = context.evaluator
        end

        # Gives an Array of Trail::Line, the last change first. Raises GoneError.
        def call(id)
          @context.inquiries.find(id)
          @context.inquiries.trail(id)
        end

        # lines :: Array of Trail::Line, the last first. Whether the library is another one than when
        #   that was counted.
        def library_moved?(lines) = lines.first.library_version != @context.snapshot.version

        # The named lines, each counted now: Array of Named. saved :: Store::Inquiries::Saved
        def named(saved)
          trees = trees(saved)
          saved.inquiry.lines.map do |line|
            Named.new(line:, size: @evaluator.count(trees.resolve(line.tree)))
          end
        end

        # What a named line finds. Gives a Point. Raises GoneError.
        def at_name(saved, name)
          line = saved.inquiry.lines.find { |line| line.name == name } or raise GoneError, "line"
          tree = trees(saved).resolve(line.tree)
          papers = @evaluator.call(tree)
          Point.new(name:, says: line.rule, line: nil, papers:, lines: [], cql: Strategy::Cql.write(tree),
                    records: @context.library.newest(papers, limit: MOST_LISTED))
        end

        # Gives a Point. Raises GoneError when there is no such line.
        def at(id, number)
          inquiry = @context.inquiries.state_at(id, number)
          cascade = inquiry.cascade(@evaluator)
          search = Brief::SearchLines.new(question: inquiry.question, cascade:, evaluator: @evaluator)
          line = @context.inquiries.line(id, number)
          Point.new(name: number.to_s, says: line.change, line:, papers: cascade.final, lines: search.call,
                    cql: search.cql, records: [])
        end

        # one, other :: Points; kept_ids :: of the papers that were kept. Gives a Compared.
        def compare(one, other, kept_ids)
          comparison = Trail::Comparison.of(one.papers, other.papers, @context.library.set(kept_ids))
          Compared.new(comparison:, only_one: newest(comparison.only_one),
                       only_other: newest(comparison.only_other))
        end

        private

        def trees(saved) = Surroundings.new(@context, saved).trail.lines(saved.inquiry)
        def newest(set) = @context.library.newest(set, limit: MOST_READ)
      end

      # What the search log says for each item of PRISMA-S, with every number counted now.
      class ReadReport < Service
        # opened :: OpenInquiry; lines :: Array of Brief::SearchLines::Line; cql :: the whole search
        # Gives an Array of Brief::SearchReport::Item.
        def call(opened, lines, cql)
          facts = { **asked(opened), **found(opened), **dated(opened.id), **elsewhere(opened) }
          facts = Brief::SearchReport::Facts.new(lines:, cql:, library:, **facts)
          Brief::SearchReport.new(facts).call
        end

        private

        def library
          { name: Book.t("errors.inquiries.library_name"), papers: @context.snapshot.size, version: @context.snapshot.version,
            sample: @context.snapshot.sample? }
        end

        def asked(opened)
          inquiry = opened.inquiry
          on = inquiry.limits.select(&:on)
          filter = on.find { |limit| limit.name == :filter }&.leaf
          { limits: on.reject { |limit| limit.name == :filter }, included: inquiry.included_ids.size - inquiry.threaded_ids.size,
            peer_reviews: inquiry.peer_reviews, rounds: inquiry.rounds, threaded: inquiry.threaded_ids.size,
            filter: filter.is_a?(Strategy::Filters::Filter) ? @context.filters.fetch(filter) : filter,
            findings: Narrow::Read.new(@context, opened).findings.size }
        end

        def found(opened)
          rates = Narrow::Read.new(@context, opened).rates
          { identified: opened.cascade.joined.size, total: opened.final, must_find: rates.known, found: rates.found,
            duplicates: @context.library.duplicates.within(opened.cascade.final).size }
        end

        def elsewhere(opened)
          given = Narrow::OtherCatalogues::Read.new(@context, opened).given
          counts = given.to_h { |catalogue| [catalogue.search.source, [catalogue.given, catalogue.doubles]] }
          { elsewhere: given.map(&:search), given: counts }
        end

        def dated(id)
          trail = @context.inquiries.trail(id)
          runs = trail.select { |line| line.kind == :run_again }.map { |line| Date.parse(line.at) }
          { begun: Date.parse(trail.last.at), counted: @context.clock.today, runs: runs.reverse }
        end
      end

      # Runs the search of an inquiry again over the library as it is now: what is new since it was
      # last counted over another one, and which counts moved.
      class RunAgain
        # base :: the Trail::Line that is compared with; rerun :: Trail::Rerun; records :: the newest
        #   of what is new
        # trail :: Array of Trail::Rerun::Moved, for each line of the trail whose count is another one
        #   now
        class Outcome < Value
          attributes :base, :rerun, :records, :trail

          def changed? = rerun.changed? || trail.any?
        end

        MOST_READ = 20
        private_constant :MOST_READ

        # seen :: see ApplyEdit
        def initialize(context, seen: nil)
          @context = context
          @evaluator = context.evaluator
          @seen = seen
        end

        # Gives an Outcome. Raises GoneError.
        def call(id)
          inquiry = @context.inquiries.find(id).inquiry
          trail = @context.inquiries.trail(id)
          base = trail.find { |line| line.library_version != @context.snapshot.version } || trail.first
          rerun = rerun(id, inquiry, base)
          Outcome.new(base:, rerun:, records: @context.library.newest(rerun.fresh, limit: MOST_READ),
                      trail: moved(id, trail))
        end

        # Writes it to the trail as a line that changes nothing of the search. Gives an
        # ApplyEdit::Outcome.
        def write(id)
          rerun = call(id).rerun
          edit = Edits::Trail::RecordRun.new(before: rerun.before, papers: rerun.now,
                                             fresh: (rerun.fresh.size if rerun.known))
          ApplyEdit.new(@context, seen: @seen).call(id, edit)
        end

        private

        def rerun(id, inquiry, base)
          same = @context.inquiries.state_at(id, base.number).state == inquiry.state
          records = @context.library.at(base.library_version)
          Trail::Rerun.of(inquiry, @evaluator, records:, counted: base.count_after, same:)
        end

        def moved(id, trail)
          trail.filter_map do |line|
            now = @context.inquiries.state_at(id, line.number).cascade(@evaluator).final.size
            next if now == line.count_after

            Trail::Rerun::Moved.new(name: "#{line.number}  #{line.change}", before: line.count_after,
                                    now:)
          end
        end
      end

      # Notes on a line of the trail. It changes nothing of the inquiry, so it is no line itself.
      class NoteOnLine < Service
        # was :: the note that the person saw there. Gives an ApplyEdit::Outcome. Raises InputError
        # (:note) for a note that is too long, or when another one was written meanwhile; GoneError
        # when there is no such line.
        def call(id, number, note, was:)
          note = Question.tidy(note).strip
          FieldLengths.check(:line_note, note, at: :note)

          unless @context.inquiries.note(id, number, note, was:)
            there = @context.inquiries.line(id, number).note
            raise InputError, { note: Book.t("errors.inquiries.note_changed", note: there) }
          end
          ApplyEdit::Outcome.new(opened: Inquiries::Read.new(@context).call(id), change: nil, line: nil)
        end
      end
    end
  end
end
