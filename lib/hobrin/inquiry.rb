# frozen_string_literal: true

module Hobrin
  # One clinical question and all that follows from it, as one value. A change gives a new inquiry.
  #
  # question :: Question; blocks :: Array of Strategy::Block, one for each element ever searched
  # order :: keys of the blocks in the order in which the person thins out; the others follow as in the frame
  # limits :: Array of Narrowing::AppliedLimit in the person's order, the study filter among them
  # included_ids :: ids of papers that the person let in by hand, whatever the steps say; aim :: Narrowing::Target
  # lines :: Array of Strategy::Lines::NamedLine, in the order in which they were made
  # must_find :: ids of the papers that the person knows and wants to see found
  # dismissed :: Array of the wordings of the what-ifs that the person does not want to see again
  # decisions :: Array of Screening::Decision; rounds :: Array of Screening::CitationSearch::Round, the first first
  # weighing :: Appraisal::Weighing, with all papers, outcomes and findings
  # elsewhere :: Array of Narrowing::State::ExternalSearch, one for each other catalogue that was asked
  # peer_reviews :: Array of Narrowing::PeerReview of the search, the first first
  # conclusion :: String; plan :: Brief::ActionPlan; acting :: Brief::Acting; next_term :: the id
  #   that the next term gets
  class Inquiry < Value
    attributes :question, :blocks, :order, :limits, :included_ids, :aim, :lines, :must_find, :dismissed,
               :decisions, :rounds, :weighing, :conclusion, :plan, :acting, :elsewhere, :peer_reviews, :next_term

    STEPS = %i[ask word narrow sift weigh act].freeze

    def initialize(question:, blocks: [], order: [], limits: [], included_ids: [], aim: Narrowing::Target.new, lines: [],
                   must_find: [], dismissed: [], decisions: [], rounds: [],
                   weighing: Appraisal::Weighing.new, conclusion: "",
                   plan: Brief::ActionPlan.new, acting: Brief::Acting.new, elsewhere: [], peer_reviews: [], next_term: 1)
      FieldLengths.check(:conclusion, conclusion)
      @question = question
      @blocks, @order, @limits, @included_ids, @lines, @must_find, @dismissed, @decisions, @rounds, @elsewhere, @peer_reviews =
        [blocks, order, limits, included_ids, lines, must_find, dismissed, decisions, rounds,
         elsewhere, peer_reviews].map { |list| list.dup.freeze }
      @weighing = weighing
      @aim = aim
      @conclusion = conclusion.strip.freeze
      @plan = plan
      @acting = acting
      @next_term = next_term
      freeze
    end

    # The blocks of the elements that are searched, in the order of the frame; an element without
    # one gets an empty block.
    def searched_blocks = question.searched.map { |element| block(element.key) }

    # The same in the order in which the person thins out.
    def ordered_blocks
      searched_blocks.sort_by.with_index do |block, place|
        [order.index(block.key) || order.size, place]
      end
    end

    def block(key) = blocks.find { |block| block.key == key } || Strategy::Block.new(key:)

    # The block that has the term with this id, or nil: ids are never given twice.
    def block_of(term_id) = blocks.find { |block| block.term(term_id) }

    # The inquiry with a leaf added at the end of a block, as a term with the next id.
    def with_leaf(key, leaf)
      with_block(block(key).with_leaf(leaf, id: next_term)).with(next_term: next_term + 1)
    end

    def with_block(changed)
      others = blocks.reject { |block| block.key == changed.key }
      with(blocks: [*others, changed].sort_by(&:key))
    end

    # The inquiry with a block one place further up in the order of thinning out, among those that
    # are joined as it is; as it is when none of them stands above.
    def with_block_up(key)
      keys = ordered_blocks.map(&:key)
      alike = ordered_blocks.select { |other| other.operator == block(key).operator && other.tree }.map(&:key)
      place = alike.index(key)
      return self unless place&.positive?

      swap = { alike[place - 1] => key, key => alike[place - 1] }
      with(order: keys.map { |key| swap.fetch(key, key) })
    end

    # The AppliedLimit of a slot, on or off, or nil.
    def limit(slot) = limits.find { |limit| limit.slot.to_s == slot.to_s }

    # The inquiry with a limit put on: at its own place when that limit is there already, else last.
    def with_limit(leaf)
      placed = Narrowing::AppliedLimit.new(leaf:)
      return with(limits: [*limits, placed]) unless limit(leaf.slot)

      with(limits: limits.map { |limit| limit.slot == leaf.slot ? placed : limit })
    end

    # The inquiry changed to a state that began as its own: blocks and how they are joined, and
    # limits. Terms that are new there get ids of their own.
    def with_state(state)
      by_operator = { and: state.blocks, not: state.excluded, out: state.waiting }
      changed = by_operator.flat_map do |operator, blocks|
        blocks.map { |block| block.with(operator:) }
      end
      changed.reduce(self) { |inquiry, block| inquiry.with_changed(block) }.with(limits: state.limits)
    end

    # The inquiry with a block whose new terms have ids that may be taken.
    def with_changed(block)
      known = block(block.key).terms.map(&:id)
      fresh = next_term - 1
      terms = block.terms.map { |term| known.include?(term.id) ? term : term.with(id: fresh += 1) }
      with_block(block.with(terms:)).with(next_term: fresh + 1)
    end

    # An earlier state as one to go on from: ids of terms are never given twice, also not after going
    # back. independent :: what stays as it is later, since two people decide it (:decisions) or
    #   appraise it (:sheets) independently
    def going_on_from(later, independent = [])
      brought = with(next_term: [next_term, later.next_term].max)
      brought = brought.with(decisions: later.decisions) if independent.include?(:decisions)
      return brought unless independent.include?(:sheets)

      brought.with(weighing: weighing.with_sheets_of(later.weighing))
    end

    def decision(record_id) = decisions.find { |decision| decision.record_id == record_id }

    def with_decision(decision)
      with(decisions: [*decisions.reject { |other| other.record_id == decision.record_id }, decision])
    end

    # The inquiry with several papers decided in one way.
    def with_decisions(made)
      ids = made.to_h { |decision| [decision.record_id, true] }
      with(decisions: [*decisions.reject { |other| ids.key?(other.record_id) }, *made])
    end

    # Papers let in by hand that a round of following citations had found.
    def threaded_ids = included_ids & rounds.flat_map(&:found_ids)

    def kept_ids = decisions.select { |decision| decision.verdict == :keep }.map(&:record_id)

    def papers = weighing.papers
    def paper(record_id) = weighing.paper(record_id)
    def with_paper(paper) = with(weighing: weighing.with_paper(paper))

    # The whole search as one tree; nil when nothing is searched.
    def tree = state.tree

    # What its count depends on.
    def state = Narrowing::State.of(searched_blocks, limits, included_ids)

    # The cascade of the inquiry as it stands.
    def cascade(evaluator)
      Narrowing::Cascade.of(blocks: ordered_blocks, limits:, included_ids:, evaluator:)
    end

    # What there is to say of an inquiry without opening it: for the board, and for the steps above each
    # page.
    #
    # question :: Question; aim :: Narrowing::Target
    # blocks :: Array of how many terms are in use, for each block that is searched; terms :: how many
    #   there are in any block
    # decided, kept, unsure :: how many papers; weighed :: how many papers were appraised
    # decision, concluded :: whether the ward decided, and wrote a conclusion
    # measured :: whether anything was measured; steps :: how many steps are planned; open_steps ::
    #   Array of Brief::ActionPlan::Step that are not done
    # look_again_on :: Date or nil; signed_line :: the line of the last signature, or nil
    class Outline < Value
      attributes :question, :aim, :blocks, :terms, :decided, :kept, :unsure, :weighed, :decision, :concluded,
                 :measured, :steps, :open_steps, :look_again_on, :signed_line

      def self.of(inquiry)
        acting, verdicts = inquiry.acting, inquiry.decisions.map(&:verdict).tally
        new(question: inquiry.question, aim: inquiry.aim, terms: inquiry.blocks.sum { |block| block.terms.size },
            blocks: inquiry.searched_blocks.map { |block| block.in_use.size },
            decided: inquiry.decisions.size, kept: verdicts.fetch(:keep, 0), unsure: verdicts.fetch(:unsure, 0),
            weighed: inquiry.papers.count(&:weighed?), decision: !acting.decision.empty?,
            concluded: !inquiry.conclusion.empty?, measured: acting.measures.any? { |measure| measure.points.any? },
            steps: acting.steps.size, open_steps: acting.steps.reject(&:done),
            look_again_on: inquiry.plan.look_again_on, signed_line: acting.signed.last&.line)
      end

      # How many terms are in use.
      def in_use = blocks.sum
    end
  end
end
