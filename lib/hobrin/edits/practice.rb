# frozen_string_literal: true

module Hobrin
  module Edits
    # Conclusion, decision, action plan, measures and signature.
    module Practice
      # Saves the conclusion and the change plan.
      #
      # plan :: Hash of names of Brief::ActionPlan::PROMPTS to texts
      class WriteBrief < Edit
        STEP = :act
        attributes :conclusion, :plan

        def about(inquiry)
          [inquiry.conclusion, inquiry.plan.to_h.slice(*Brief::ActionPlan::PROMPTS.keys)]
        end

        def call(inquiry, _surroundings)
          plan = inquiry.plan.with(**self.plan)
          Change.new(inquiry: inquiry.with(conclusion: Question.tidy(conclusion), plan:),
                     kind: :brief_written)
        end
      end

      # Writes what speaks for and against a change, and what is decided.
      #
      # considerations :: Hash of a key of Brief::Acting::Consideration::ALL to Brief::Acting::Consideration;
      #   decision :: key
      #   of Brief::Acting::Consideration::DECISIONS, "" for none
      class Decide < Edit
        STEP = :act
        attributes :considerations, :decision

        def about(inquiry) = inquiry.acting.with(measures: [], signed: [])

        # Raises InputError.
        def call(inquiry, _surroundings)
          acting = inquiry.acting.with(considerations:, decision:)
          changed = decision != inquiry.acting.decision && !decision.empty?
          facts = changed ? { decision: Brief::Acting::Consideration::DECISIONS.fetch(decision) } : {}
          Change.new(inquiry: inquiry.with(acting:), kind: changed ? :decided : :deliberated, facts:)
        end
      end

      # Writes what a change needs, its steps, and its small cycles.
      #
      # needs :: Hash of names of Brief::ActionPlan::MORE to texts; steps :: Array of Brief::ActionPlan::Step;
      #   cycles :: Array of Brief::ActionPlan::PdsaCycle
      class PlanSteps < Edit
        STEP = :act
        attributes :needs, :steps, :cycles

        def about(inquiry)
          [inquiry.plan.to_h.slice(*Brief::ActionPlan::MORE.keys), inquiry.acting.steps,
           inquiry.acting.cycles]
        end

        # Raises InputError.
        def call(inquiry, _surroundings)
          errors = {}
          if steps.size > Brief::ActionPlan::Step::MOST
            errors[:steps] = Book.t("edits.errors.most_steps", most: Brief::ActionPlan::Step::MOST)
          end
          if cycles.size > Brief::ActionPlan::PdsaCycle::MOST
            errors[:cycles] = Book.t("edits.errors.most_cycles", most: Brief::ActionPlan::PdsaCycle::MOST)
          end
          raise InputError, errors unless errors.empty?

          acting = inquiry.acting.with(steps:, cycles:)
          facts = { steps: steps.size, done: steps.count(&:done), cycles: cycles.size }
          Change.new(inquiry: inquiry.with(plan: inquiry.plan.with(**needs), acting:),
                     kind: :steps_planned, facts:)
        end
      end

      # Names something to be counted, or changes what is said of it or its numbers.
      #
      # measure_id :: nil for a new one; given :: Hash of the attributes of a Brief::Measure but
      #   its id
      class WriteMeasure < Edit
        STEP = :act
        MOST = 12
        attributes :measure_id, :given
        private_constant :MOST

        def about(inquiry) = measure_id ? inquiry.acting.measure(measure_id) : NOTHING

        # Raises GoneError for a measure that is there no more, InputError for what cannot be.
        def call(inquiry, surroundings)
          measure = measure_id ? changed(inquiry) : fresh(inquiry)
          refuse_future(measure, surroundings.today)
          Change.new(inquiry: inquiry.with(acting: inquiry.acting.with_measure(measure)), kind: :measure_written,
                     facts: { name: measure.name, points: measure.points.size })
        end

        private

        def refuse_future(measure, today)
          late = measure.points.find { |point| point.day > today } or return
          raise InputError, { numbers: Book.t("edits.errors.future", day: late.day.iso8601) }
        end

        def changed(inquiry)
          (inquiry.acting.measure(measure_id) || raise(GoneError, "measure")).with(**given)
        end

        def fresh(inquiry)
          raise InputError, { name: Book.t("edits.errors.most_measures", most: MOST) } if inquiry.acting.measures.size >= MOST

          Brief::Measure.new(id: inquiry.acting.next_measure, **given)
        end
      end

      # Takes a measure away, with its numbers.
      class RemoveMeasure < Edit
        STEP = :act
        attributes :measure_id

        def about(inquiry) = inquiry.acting.measure(measure_id)

        def call(inquiry, _surroundings)
          measure = inquiry.acting.measure(measure_id) || raise(GoneError, "measure")
          Change.new(inquiry: inquiry.with(acting: inquiry.acting.without_measure(measure_id)), kind: :measure_dropped,
                     facts: { name: measure.name })
        end
      end

      # Signs the brief off as it stands.
      #
      # name :: of who signs; gaps :: sentences of what does not fit or is still open, see
      #   Brief::SignOffCheck; reason :: why it is signed all the same
      class Sign < Edit
        STEP = :act
        attributes :name, :reason, :gaps

        def initialize(name:, reason: "", gaps: [])
          super
        end

        # A brief that changed since it was read must be read again before it is signed.
        def about(inquiry) = inquiry

        # Raises InputError (:signer, :reason).
        def call(inquiry, surroundings)
          signer, why = [name, reason].map { |text| text.gsub(/[[:space:]]+/, " ").strip }
          check(inquiry, signer, why)
          signature = Brief::Acting::Signature.new(name: signer, on: surroundings.today, line: surroundings.trail.size + 1,
                                                   gaps:, reason: gaps.empty? ? "" : why)
          acting = inquiry.acting.with(signed: [*inquiry.acting.signed, signature])
          kind, facts = gaps.empty? ? [:brief_signed, {}] : [:brief_signed_despite, { gaps: gaps.size, reason: why }]
          Change.new(inquiry: inquiry.with(acting:), kind:, facts: { name: signer, version: acting.signed.size, **facts })
        end

        private

        def check(inquiry, signer, why)
          errors = FieldLengths.errors({ signer:, reason: why }, { reason: :signing_reason })
          errors[:signer] = Book.t("edits.errors.name") if signer.empty?
          errors[:signer] = Book.t("edits.errors.conclusion_first") if inquiry.conclusion.empty?
          errors[:reason] = Book.t("edits.errors.reason_for_signing") if gaps.any? && why.empty?
          raise InputError, errors unless errors.empty?
        end
      end
    end
  end
end
