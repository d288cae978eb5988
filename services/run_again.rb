# frozen_string_literal: true

module Hobrin
  module Services
    # Runs the search of an inquiry again over the library as it is now: what is new since it was last counted over another
    # one, and which counts moved.
    class RunAgain
      # base :: the Store::Inquiries::TrailLine that is compared with; before, now :: papers then and now
      # fresh :: how many of them came into the library since; records :: the newest of those
      # lines :: Array of Moved, for each line of the search; trail :: the same for each line of the trail
      # known :: false when the library was built anew since, so that only the trail's own counts can be compared
      Outcome = Struct.new(:base, :before, :now, :fresh, :records, :lines, :trail, :known, keyword_init: true) do
        def changed? = fresh.positive? || lines.any? || trail.any?

        # Papers that were in the library before and are found, or not found any more, because its headings changed.
        def reindexed = known ? now - fresh - before : 0
      end
      # name :: of the line; before, now :: its counts
      Moved = Struct.new(:name, :before, :now, keyword_init: true)

      # How its line of the trail begins.
      CHANGE = "Run again"
      MOST_READ = 20
      private_constant :MOST_READ

      def initialize(context)
        @context = context
        @evaluator = context.evaluator
      end

      # Gives an Outcome. Raises GoneError.
      def call(id)
        inquiry = @context.inquiries.find(id).inquiry
        trail = @context.inquiries.trail(id)
        base = trail.find { |line| line.library_version != @context.library.version } || trail.first
        then_here = @context.library.at(base.library_version)
        compared(id, inquiry, base, then_here, moved(id, trail))
      end

      # Writes it to the trail as a line that changes nothing of the search. Gives the Outcome.
      def write(id)
        outcome = call(id)
        @context.inquiries.change(id, step: @context.inquiries.find(id).step, at: @context.now) do |before|
          last = @context.inquiries.line(id, before.version)
          change = "#{CHANGE}: #{outcome.now} papers#{", #{outcome.fresh} of them new" if outcome.known}"
          [before.inquiry, { who: @context.who, change:, count_before: outcome.before, count_after: outcome.now,
                             library_version: @context.library.version, brings_back: last.brings_back || last.number }]
        end
        outcome
      end

      private

      def compared(id, inquiry, base, then_here, trail)
        now = inquiry.cascade(@evaluator)
        return unknown(base, now, trail) unless then_here

        as_of = Retrieval::AsOf.new(@evaluator, then_here)
        before = inquiry.cascade(as_of)
        fresh = now.final - then_here
        Outcome.new(base:, before: size_then(id, inquiry, base, before), now: now.final.size, fresh: fresh.size,
                    records: @context.library.newest(fresh, limit: MOST_READ),
                    lines: lines(inquiry, before, as_of, now), trail:, known: true)
      end

      def unknown(base, now, trail)
        Outcome.new(base:, before: base.count_after, now: now.final.size, fresh: 0, records: [], lines: [], trail:,
                    known: false)
      end

      # What the line itself says while the search is still the same; else what the records of then give now.
      def size_then(id, inquiry, base, before)
        same = @context.inquiries.state_at(id, base.number).state == inquiry.state
        same ? base.count_after : before.final.size
      end

      def lines(inquiry, before, as_of, now)
        one, other = [[before, as_of], [now, @evaluator]].map do |cascade, evaluator|
          Brief::SearchLines.new(question: inquiry.question, cascade:, evaluator:).call
        end
        one.zip(other).reject { |old, new| old.count == new.count }
           .map { |old, new| Moved.new(name: "#{new.number}  #{new.name}", before: old.count, now: new.count) }
      end

      def moved(id, trail)
        trail.filter_map do |line|
          now = @context.inquiries.state_at(id, line.number).cascade(@evaluator).final.size
          Moved.new(name: "#{line.number}  #{line.change}", before: line.count_after, now:) if now != line.count_after
        end
      end
    end
  end
end
