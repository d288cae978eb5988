# frozen_string_literal: true

require "delegate"

module Hobrin
  module Services
    # The inquiries as one person may read them. While two people screen or appraise independently,
    # what the inquiry held before they began is hidden from the second of them, wherever it is
    # read: the inquiry itself, the states and lines of its trail, and its signed versions.
    # Everything else, and every change, goes to the store as it is.
    class BlindInquiries < SimpleDelegator
      # Lines of these steps tell what was decided or appraised.
      STEPS = %i[sift weigh].freeze
      SIGNED = %i[brief_signed brief_signed_despite].freeze
      BEGUN = %i[read_apart weigh_apart].freeze
      UNDOING = %i[undone done_again].freeze
      HIDDEN = :hidden
      private_constant :STEPS, :SIGNED, :BEGUN, :UNDOING

      # together :: Store::Together; person :: People::Person
      def initialize(stored, together, person)
        super(stored)
        @stored = stored
        @together = together
        @person = person
      end

      def find(id) = blinded(@stored.find(id))
      def all = @stored.all.map { |saved| blinded(saved) }

      def trail(id) = lines(id, @stored.trail(id))
      def lines_after(id, number) = lines(id, @stored.lines_after(id, number))
      def line(id, number) = lines(id, [@stored.line(id, number)]).first
      def state_at(id, number) = inquiry(id, @stored.state_at(id, number))

      # saved :: Store::Inquiries::Saved. The same as this person may read it.
      def blinded(saved) = saved.with(inquiry: inquiry(saved.id, saved.inquiry))

      # listed :: Store::Inquiries::Board::Listed. The same with what this person may read of it alone.
      def outlined(listed)
        return listed unless [listed.readers, listed.weighers].any? { |pair| pair.last == @person.id }

        listed.with(outline: Inquiry::Outline.of(find(listed.id).inquiry))
      end

      # Whether anything of an inquiry is hidden from this person.
      def blind?(id) = second_at(id).any?

      private

      # Which stores of Store::Together this person is the second of two in.
      def second_at(id)
        @second_at ||= {}
        @second_at[id] ||= [@together.readings, @together.sheets].select do |kept|
          kept.readers(id)&.last == @person.id
        end
      end

      def inquiry(id, inquiry)
        kept = second_at(id)
        return inquiry if kept.empty?

        screened = kept.include?(@together.readings) ? screened(id, inquiry) : inquiry
        seen = kept.include?(@together.sheets) ? appraised(id, screened) : screened
        seen.with(acting: seen.acting.with(signed: []))
      end

      # With the decisions alone that both have made, and what follows from them.
      def screened(id, inquiry)
        both = both(id, @together.readings)
        hidden = inquiry.decisions.map(&:record_id) - both
        rounds = inquiry.rounds.take_while { |round| !round.from_ids.intersect?(hidden) }
        papers = inquiry.papers.reject { |paper| hidden.include?(paper.record_id) }
        inquiry.with(decisions: inquiry.decisions.select { |decision| both.include?(decision.record_id) },
                     rounds:, weighing: inquiry.weighing.with(papers:))
      end

      # With the sheets alone that both are done with.
      def appraised(id, inquiry)
        both = both(id, @together.sheets)
        papers = inquiry.papers.map { |paper| both.include?(paper.record_id) ? paper : paper.unjudged }
        inquiry.with(weighing: inquiry.weighing.with(papers:))
      end

      def both(id, kept)
        kept.both(id, kept.readers(id)).map { |first, _| first.record_id }
      end

      def lines(id, lines)
        return lines if lines.empty? || !blind?(id)

        begun = begun_at(id)
        lines.map { |line| telling?(line) && about(line) < begun ? hidden(line) : line }
      end

      # The number of the line at which the two began last.
      def begun_at(id) = BEGUN.filter_map { |kind| @stored.last_of(id, kind) }.max || 0

      def telling?(line) = STEPS.include?(line.step) || SIGNED.include?(line.kind)

      # The number of the line that a line is about: one that undoes another tells of that.
      def about(line) = UNDOING.include?(line.kind) ? line.facts.fetch(:line) : line.number

      def hidden(line) = line.with(kind: HIDDEN, facts: {}, note: "")
    end
  end
end
