# frozen_string_literal: true

module Hobrin
  module Services
    # What the Narrow step shows beyond the cascade: what each unused limit would leave, what each
    # step took away, and how the search does.
    class ReadNarrow
      # words :: as the question says it; preview :: Narrowing::Previews::Preview
      class Mentioned < Value
        attributes :words, :preview
      end

      # records :: the first papers that a step took away; total :: how many there are
      class TakenAway < Value
        attributes :records, :total
      end

      # opened :: OpenInquiry
      def initialize(context, opened)
        @context = context
        @opened = opened
      end

      # names :: of limits. Gives a Hash of limit name to an Array of Narrowing::Previews::Preview.
      def call(names = Narrowing::Previews::OFFERED) = previews.call(names)

      # What one leaf would leave. Gives a Narrowing::Previews::Preview.
      def preview(leaf) = previews.preview(leaf)

      # Limits that the question says itself and that are not on: Array of Mentioned.
      def mentioned
        limits = Narrowing::MentionedLimits.new(@context.today)
        limits.waiting(inquiry.question, inquiry.limits).map do |one|
          Mentioned.new(words: one.words, preview: preview(one.leaf))
        end
      end

      # Gives a Narrowing::Previews::PerYear.
      def per_year = Narrowing::Previews::PerYear.of(cascade, evaluator)

      # Gives an Array of Narrowing::Previews::Silences::Silence, one for each limit with any.
      def silences = Narrowing::Previews::Silences.of(cascade, evaluator)

      # Papers that one step of the cascade took away. step :: Narrowing::Cascade::Step; order ::
      # :newest or :strongest Gives a TakenAway.
      def taken_away(step, order: :newest, limit: 8)
        removed = step.removed
        sets = order == :newest ? [removed] : strongest_first(removed)
        TakenAway.new(records: newest_of_each(sets, limit), total: removed.size)
      end

      # The papers that were let in by hand, in the order in which they were.
      def included = @context.library.records_by_id(inquiry.included_ids)

      # How the search does by what is known of it so far. Gives a Narrowing::Rates.
      def rates
        kept, dropped = %i[keep drop].map do |verdict|
          decided = inquiry.decisions.select { |decision| decision.verdict == verdict }
          @context.library.set(decided.map(&:record_id))
        end
        Narrowing::Rates.of(cascade:, must_find:, kept:, dropped:)
      end

      # What the check of the search finds. Array of Check::Finding.
      def findings = Check.new(inquiry, evaluator, cascade:).call

      # Reviews of the search by colleagues: Array of [Narrowing::PeerReview, whether the search has changed
      # since].
      def reviews = inquiry.peer_reviews.map { |review| [review, state_at(review.line) != inquiry.state] }

      private

      # The search as it stood at a line of the trail; nil where that line is not there.
      def state_at(line)
        @context.inquiries.state_at(@opened.id, line).state
      rescue GoneError
        nil
      end

      def evaluator = @context.evaluator
      def inquiry = @opened.inquiry
      def cascade = @opened.cascade
      def must_find = @must_find ||= @context.library.set(inquiry.must_find)

      def previews
        @previews ||= Narrowing::Previews.new(cascade:, limits: inquiry.limits, evaluator:, today: @context.today,
                                              must_find:)
      end

      def strongest_first(set)
        Appraisal::Ladder::StrongestFirst.call(set, inquiry.question.kind, evaluator)
      end

      def newest_of_each(sets, limit)
        sets.reduce([]) do |found, set|
          break found if found.size >= limit

          found + @context.library.newest(set, limit: limit - found.size)
        end
      end
    end
  end
end
