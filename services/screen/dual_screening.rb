# frozen_string_literal: true

module Hobrin
  module Services
    module Screen
      # Papers that two people read, each without seeing what the other decides. Until both have
      # decided on a paper, neither decision is in the inquiry, so that no page, file or count can
      # tell it.
      class DualScreening < TwoPeople
        # readers :: the two People::Person; read :: how many papers each has read, in that order;
        #   twice :: Screening::DualScreening of what both have read; open :: Array of Screening::DualScreening::Pair that
        #   are to be settled; settled :: how many differed and hold now; papers :: how many there are
        #   to read; outside :: how many were decided before they began; records :: Hash of id to Record, of those to settle
        class Overview < Value
          attributes :readers, :read, :twice, :open, :settled, :papers, :outside, :records
        end

        OUTSIDE = Book.t("errors.dual.decided_before")
        private_constant :OUTSIDE

        # Begins it. What was decided so far stays as it is, outside of it. second_id :: of a person of
        # the ward. Raises InputError (:second).
        def start(second_id)
          begin_with(second_id)
          apply_edit(Edits::Screen::ScreenIndependently.new(readers: readers.map(&:name)))
        end

        # The inquiry as a reader sees it on Sift: with their own decisions only, and for the first of
        # the two with those that were made before. For others as it is.
        def as_read(opened)
          return opened unless reader?

          outside = outside(inquiry)
          before = opened.inquiry.decisions.select { |decision| outside.include?(decision.record_id) }
          saved = opened.saved.with(inquiry: own_inquiry(opened.inquiry, before:))
          Inquiries::Open.new(@context, saved, cascade: opened.cascade, left_out: before.empty? ? outside : [])
        end

        # The ids of the papers that were decided before the two began.
        def outside(inquiry = self.inquiry) = on? ? inquiry.decisions.map(&:record_id) - both.map(&:record_id) : []

        # Makes an edit of decisions as one reader's. Gives an ApplyEdit::Outcome. Raises InputError
        # (:press) for who is no reader, and for a paper on which both have decided; what the edit
        # raises.
        def apply(edit)
          refuse(Book.t("errors.dual.screen", people: names)) unless reader?

          saved = @context.stored.find(@id)
          before = own_inquiry(saved.inquiry)
          change = edit.call(before, Surroundings.new(@context, saved))
          write(before.decisions, change.inquiry.decisions, outside(saved.inquiry))
          ApplyEdit::Outcome.new(opened: as_read(Inquiries::Read.new(@context).call(@id)), change:, line: nil)
        end

        # Says what holds where the two differ. decision :: Screening::Decision. Gives an
        #   ApplyEdit::Outcome. Raises GoneError for a paper that is not there to settle.
        def settle(decision)
          found = overview.open.find { |pair| pair.record_id == decision.record_id } or raise GoneError, "paper"
          take_over(found, decision)
        end

        # Gives an Overview.
        def overview
          inquiry = self.inquiry
          pairs, outside = both, outside(inquiry)
          open, decided = pairs.partition { |pair| inquiry.decision(pair.record_id).nil? }
          Overview.new(readers:, read: counts, twice: Screening::DualScreening.new(pairs:), open:,
                       settled: decided.count { |pair| !pair.agree? },
                       papers: (inquiry.cascade(@context.evaluator).final - @context.library.set(outside)).size,
                       outside: outside.size,
                       records: @context.library.records_by_id(open.map(&:record_id)).to_h { |record| [record.id, record] })
        end

        # Whether both have decided on a paper.
        def both_read?(record_id) = both.any? { |pair| pair.record_id == record_id }

        # On how many papers the two differed that are decided now.
        def settled(inquiry)
          return 0 unless on?

          both.count { |pair| !pair.agree? && inquiry.decision(pair.record_id) }
        end

        # How many of so many papers each of the two has not read: Hash of name to number.
        def unread(papers) = apart? ? left(papers - outside.size, counts) : {}

        private

        def done = "read"
        def kept = @context.readings

        # How many papers each of the two has read.
        def counts = kept.counts(@id).values_at(*pair).map(&:to_i)

        # before :: decisions that were made before the two began, and are shown
        def own_inquiry(inquiry, before: [])
          inquiry.with(decisions: before + kept.of(@id, @context.user.person.id))
        end

        def both
          kept.both(@id, pair).map { |first, second| Screening::DualScreening::Pair.new(first:, second:) }
        end

        def write(before, after, outside)
          changed = after - before
          refuse(OUTSIDE) if changed.any? { |decision| outside.include?(decision.record_id) }

          gone = before.map(&:record_id) - after.map(&:record_id)
          written = changed.map { |decision| kept.put(@id, @context.user.person.id, decision, at: @context.clock.now) }
          written += gone.map { |record_id| kept.take_back(@id, @context.user.person.id, record_id) }
          refuse(Book.t("errors.dual.resolve_decision")) unless written.all?

          agree(changed.map(&:record_id))
        end

        # What both decided alike holds at once.
        def agree(ids)
          both.select { |pair| ids.include?(pair.record_id) && pair.agree? }.each do |pair|
            take_over(pair, pair.agreed)
          end
        end

        def take_over(pair, decision)
          apply_edit(Edits::Screen::Resolve.new(decision:, pair:, readers: readers.map(&:name)))
        end
      end
    end
  end
end
