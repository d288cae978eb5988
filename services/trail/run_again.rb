# frozen_string_literal: true

module Hobrin
  module Services
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
  end
end
