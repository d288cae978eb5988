# frozen_string_literal: true

module Hobrin
  module Services
    module Appraise
      # Papers that two people weigh, each without seeing the other's sheet. Until both are done with
      # a paper, neither sheet is in the inquiry, so that no page, file or level can tell it. What
      # papers give for outcomes is written down together.
      class DualAppraisal < TwoPeople
        # readers :: the two People::Person; weighed :: how many papers each is done with, in that
        #   order; twice :: Appraisal::DualAppraisal of what both are done with; open :: Array of
        #   Appraisal::DualAppraisal::Pair that are to be settled; settled :: Array of [Pair, the sheet that
        #   holds now] of those that differed; papers :: how many there are to weigh
        class Overview < Value
          attributes :readers, :weighed, :twice, :open, :settled, :papers
        end

        OPEN = Book.t("errors.dual.answer_all")
        OUTSIDE = Book.t("errors.dual.appraised_before")
        NOT_TWICE = Book.t("errors.dual.appraisal_ended")
        private_constant :OPEN, :OUTSIDE, :NOT_TWICE

        # Begins it. The sheets so far stay as they are, outside of it. second_id :: of a person of the
        # ward. Raises InputError (:second).
        def start(second_id)
          begin_with(second_id)
          apply_edit(Edits::Appraise::AppraiseIndependently.new(readers: readers.map(&:name)))
        end

        # Whether a paper is weighed by the two only: until a sheet holds that both are done with.
        def apart_at?(record_id) = apart? && (hidden?(record_id) || !inquiry.paper(record_id)&.weighed?)

        # Whether a paper was appraised before the two began, which the second of them does not see.
        def hidden?(record_id) = reader? && pair.last == @context.user.person.id && outside.include?(record_id)

        # The inquiry as one of the two sees it on Weigh: with their own sheets, and those that hold.
        # For others as it is.
        def as_weighed(inquiry)
          return inquiry unless reader?

          own = kept.of(@id, @context.user.person.id).to_h { |paper| [paper.record_id, paper] }
          papers = inquiry.kept_ids.filter_map { |id| seen(inquiry.paper(id), own[id]) }
          inquiry.with(weighing: inquiry.weighing.with(papers:))
        end

        # Saves one of the two sheets of a paper. edit :: Edits::Appraise::SaveAppraisal; done :: whether the
        # person is done with it. Gives an ApplyEdit::Outcome. Raises InputError (:press) for who is
        # neither of the two, and where both are done; GoneError for a paper that is not kept.
        def apply(edit, done:)
          paper = edit.paper
          refuse(OUTSIDE) if hidden?(paper.record_id)
          refuse(on? ? Book.t("errors.dual.appraise", people: names) : NOT_TWICE) unless reader?
          refuse(Book.t("errors.dual.appraise_first")) if done && !paper.weighed?

          saved = @context.stored.find(@id)
          change = edit.call(saved.inquiry, Surroundings.new(@context, saved))
          put(paper, done)
          agree(paper.record_id) if done
          ApplyEdit::Outcome.new(opened: Inquiries::Read.new(@context).call(@id), change:, line: nil)
        end

        # Says what holds of a paper where the two differ. taken :: Hash of each key of
        # Appraisal::DualAppraisal::Points at which they differ to :first or :second, whose judgement holds;
        # finding :: the paper in one sentence. Gives an ApplyEdit::Outcome. Raises GoneError for a
        # paper that is not there to settle, InputError (:points) where a point is left open.
        def settle(record_id, taken:, finding:)
          found = to_settle.find { |pair| pair.record_id == record_id } or raise GoneError, "paper"
          raise InputError, { points: OPEN } unless found.differing.all? { |key| taken[key] }

          second_at = found.differing.select { |key| taken[key] == :second }
          take_over(found, found.settled(second_at:, finding:))
        end

        # Gives an Overview.
        def overview
          inquiry = self.inquiry
          ids = inquiry.kept_ids - outside(inquiry)
          records = @context.library.records_by_id(ids).to_h { |record| [record.id, record] }
          pairs = both(inquiry).select { |pair| records.key?(pair.record_id) }
          open = pairs & to_settle(inquiry)
          Overview.new(readers:, weighed: done_of(ids), open:,
                       twice: Appraisal::DualAppraisal.new(pairs:, kind: inquiry.question.kind, records:),
                       settled: settled(pairs, inquiry), papers: ids.size)
        end

        # Where a paper that the two weigh apart stands for who signed in: :outside where it was
        # appraised before and is hidden, :mine while it is theirs to
        # weigh, :waiting when they are done and the other is not, :open when it is to be settled,
        # :theirs for who is neither; nil where it is weighed as any other.
        def standing(record_id)
          return unless apart_at?(record_id)
          return :outside if hidden?(record_id)
          return :open if both.any? { |pair| pair.record_id == record_id }
          return :theirs unless reader?

          kept.done(@id, @context.user.person.id).include?(record_id) ? :waiting : :mine
        end

        # Whether nothing of a paper is left to weigh apart: both are done, or it is not kept.
        def both_weighed?(record_id)
          !inquiry.kept_ids.include?(record_id) || both.any? { |pair| pair.record_id == record_id }
        end

        # How many kept papers each of the two has to weigh: Hash of name to number. ids :: of those
        # that are kept
        def unweighed(ids)
          return {} unless apart?

          inside = ids - outside
          left(inside.size, done_of(inside))
        end

        private

        def done = "weighed"
        def kept = @context.sheets

        def put(paper, done)
          at, person_id = @context.clock.now, @context.user.person.id
          return if apart_at?(paper.record_id) && kept.put(@id, person_id, paper, done:, at:)

          refuse(Book.t("errors.dual.resolve_together"))
        end

        # How many of some papers each of the two is done with.
        def done_of(ids) = pair.to_a.map { |person_id| (kept.done(@id, person_id) & ids).size }

        # The ids of the papers that were appraised before the two began.
        def outside(inquiry = self.inquiry)
          inquiry.papers.select(&:weighed?).map(&:record_id) - both(inquiry).map(&:record_id)
        end

        def seen(common, own)
          return common if common&.weighed? || own.nil?

          own.with(reported: common&.reported || [])
        end

        def both(inquiry = self.inquiry)
          kind = inquiry.question.kind
          kept.both(@id, pair).map { |first, second| Appraisal::DualAppraisal::Pair.new(first:, second:, kind:) }
        end

        def to_settle(inquiry = self.inquiry)
          both(inquiry).select do |pair|
            inquiry.kept_ids.include?(pair.record_id) && !inquiry.paper(pair.record_id)&.weighed?
          end
        end

        def settled(pairs, inquiry)
          pairs.reject(&:agree?).map { |pair| [pair, inquiry.paper(pair.record_id)] }.select { |_, holds| holds&.weighed? }
        end

        # What both judged alike holds at once.
        def agree(record_id)
          found = to_settle.find { |pair| pair.record_id == record_id }
          take_over(found, found.settled) if found&.agree?
        end

        def take_over(pair, paper)
          apply_edit(Edits::Appraise::ResolveAppraisal.new(paper:, pair:, readers: readers.map(&:name)))
        end
      end
    end
  end
end
