# frozen_string_literal: true

module Hobrin
  module Edits
    # Decisions on papers, one or several at a time, by one person or two, and citation searching.
    module Screen
      # What all edits of the decision on one paper have in common.
      #
      # record_id :: of the paper
      class PaperEdit < Edit
        STEP = :sift

        def about(inquiry) = inquiry.decision(record_id)

        private

        # Raises GoneError for a paper that is not in the library.
        def change(inquiry, surroundings, kind, **facts)
          Change.new(inquiry:, kind:,
                     facts: { record: record_id, title: surroundings.paper(record_id).title, **facts })
        end
      end

      # Keeps or drops a paper, or sets it aside.
      #
      # decision :: Screening::Decision; although_retracted :: whether the person knows that the paper
      #   was retracted, and keeps it all the same
      class Decide < PaperEdit
        attributes :decision, :although_retracted

        def initialize(decision:, although_retracted: false)
          super
        end

        def record_id = decision.record_id

        # Raises InputError (:retracted) for a retracted paper that is to be kept unknowingly.
        def call(inquiry, surroundings)
          ask(inquiry, surroundings.paper(record_id)) if decision.verdict == :keep && !although_retracted
          facts = { verdict: decision.verdict.to_s, reason: decision.reason }
          change(inquiry.with_decision(decision), surroundings, :paper_decided, **facts)
        end

        private

        def ask(inquiry, record)
          return if !record.retracted? || inquiry.kept_ids.include?(record_id)

          raise InputError, { retracted: Book.t("edits.errors.retracted") }
        end
      end

      # Decides several papers in one way, in one line of the trail, so that one undo takes all
      # back.
      #
      # record_ids :: Array of ids; verdict, reason, note :: see Screening::Decision
      class DecideSeveral < Edit
        STEP = :sift
        MOST = 2_000
        attributes :record_ids, :verdict, :reason, :note
        private_constant :MOST

        def about(inquiry)
          ids = record_ids.to_h { |id| [id, true] }
          inquiry.decisions.select { |decision| ids.key?(decision.record_id) }.sort_by(&:record_id)
        end

        # Raises InputError (:several) for none, for too many, and for retracted papers that are to
        # be kept; GoneError for a paper that is not in the library.
        def call(inquiry, surroundings)
          refuse(Book.t("edits.errors.select_papers")) if record_ids.empty?
          refuse(Book.t("edits.errors.most_at_once", most: MOST)) if record_ids.size > MOST
          set = surroundings.set(record_ids)
          raise GoneError, "paper" if set.size < record_ids.uniq.size

          ask(set, surroundings) if verdict == :keep
          made = record_ids.uniq.map { |id| Screening::Decision.new(record_id: id, verdict:, reason:, note:) }
          Change.new(inquiry: inquiry.with_decisions(made), kind: :papers_decided,
                     facts: { verdict: verdict.to_s, reason:, papers: made.size, records: made.map(&:record_id) })
        end

        private

        def ask(set, surroundings)
          retracted = surroundings.evaluator.index.facet(:flag, [Records::Flags::RETRACTED]).overlap(set)
          return unless retracted.positive?

          refuse(Book.t("edits.errors.retracted_among", count: retracted))
        end

        def refuse(words) = raise(InputError, { several: words })
      end

      # Changes the note of a decision that was made.
      class Annotate < PaperEdit
        attributes :record_id, :note

        UNDECIDED = Book.t("edits.errors.note_needs_decision")
        private_constant :UNDECIDED

        # Raises InputError (:verdict) when there is no decision yet.
        def call(inquiry, surroundings)
          decision = inquiry.decision(record_id) or raise InputError, { verdict: UNDECIDED }
          change(inquiry.with_decision(decision.with(note:)), surroundings, :decision_noted)
        end
      end

      # Takes the decision on a paper back.
      class WithdrawDecision < PaperEdit
        attributes :record_id

        def call(inquiry, surroundings)
          left = inquiry.decisions.reject { |decision| decision.record_id == record_id }
          change(inquiry.with(decisions: left), surroundings, :decision_taken_back)
        end
      end

      # Begins dual screening: from now on no decision holds until two people have made it. What was
      # decided before stays, outside of it. Going back passes this line over.
      #
      # readers :: the names of the two
      class ScreenIndependently < Edit
        STEP = :sift
        attributes :readers

        def call(inquiry, surroundings)
          Change.new(inquiry:, kind: :read_apart, brings_back: surroundings.trail.history.present,
                     facts: { readers: readers.join(" and "), decisions: inquiry.decisions.size })
        end
      end

      # Takes what came of a paper that two people read: what both decided, or what was settled
      # where they differ. The trail keeps all of it.
      #
      # decision :: Screening::Decision that holds; pair :: Screening::DualScreening::Pair; readers :: the names of
      #   the two
      class Resolve < PaperEdit
        attributes :decision, :pair, :readers

        def record_id = decision.record_id

        def call(inquiry, surroundings)
          read = [pair.first, pair.second].zip(readers).map { |one, who| [who, one.verdict.to_s, one.reason, one.note] }
          change(inquiry.with_decision(decision), surroundings, pair.agree? ? :read_twice : :settled,
                 verdict: decision.verdict.to_s, reason: decision.reason, read:)
        end
      end

      # Follows citations for one round, both ways, from the papers kept or let in since the last
      # one.
      class SearchCitations < Edit
        STEP = :sift
        MOST_ROUNDS = 20
        attributes
        private_constant :MOST_ROUNDS

        def about(inquiry) = inquiry.rounds

        # Raises InputError (:threads) when there is nothing to go from.
        def call(inquiry, surroundings)
          from = Screening::CitationSearch.next_from(inquiry)
          refuse(inquiry) if from.empty? || inquiry.rounds.size >= MOST_ROUNDS
          found = found(inquiry, from, surroundings)
          round = Screening::CitationSearch::Round.new(from_ids: from, found_ids: found.map(&:record_id))
          Change.new(inquiry: inquiry.with(rounds: [*inquiry.rounds, round]), kind: :threads_followed,
                     facts: { round: inquiry.rounds.size + 1, from: from.size, found: found.size })
        end

        private

        def found(inquiry, from, surroundings)
          neighbours = surroundings.neighbours(from)
          near = surroundings.set(neighbours.values.flatten.uniq)
          here = surroundings.ids(near & inquiry.cascade(surroundings.evaluator).final)
          earlier = inquiry.rounds.flat_map { |round| round.from_ids + round.found_ids }
          Screening::CitationSearch.of(from, neighbours, known: [*here, *earlier, *from])
        end

        def refuse(inquiry)
          words = if inquiry.kept_ids.empty? then Book.t("edits.errors.include_first")
                  elsif inquiry.rounds.size >= MOST_ROUNDS then Book.t("edits.errors.most_rounds", rounds: MOST_ROUNDS)
                  else Book.t("edits.errors.nothing_new")
                  end
          raise InputError, { threads: words }
        end
      end
    end
  end
end
