# frozen_string_literal: true

module Hobrin
  module Edits
    # Everything that can be done to a paper's result for an outcome.
    module Results
      # What all edits of one result of a paper have in common. A subclass has the attributes
      # record_id and number.
      class ResultEdit < Edit
        STEP = :weigh

        def about(inquiry) = inquiry.paper(record_id)&.result(number)

        private

        # Raises GoneError where the paper gives no such result any more.
        def result(inquiry) = inquiry.paper(record_id)&.result(number) || raise(GoneError, "result")

        # changed :: the Reported in place of what was there, with all facts of the trail line
        def put(inquiry, surroundings, changed, kind, **facts)
          paper = inquiry.paper(record_id).with_result(changed)
          Change.new(inquiry: inquiry.with_paper(paper), kind:,
                     facts: { **named(inquiry, surroundings, changed), **facts })
        end

        def named(inquiry, surroundings, result)
          { record: record_id, title: surroundings.paper(record_id).title,
            name: inquiry.weighing.outcome(result.outcome_id)&.name.to_s }
        end
      end

      # Writes down what a paper gives for an outcome, or changes that.
      #
      # number :: nil for a new result; given :: Hash of the attributes of an Appraisal::Reported
      #   but its number
      class Write < ResultEdit
        attributes :record_id, :number, :given

        # Of one paper, arms and times together.
        MOST = 20
        private_constant :MOST

        def about(inquiry) = number ? super : NOTHING

        # Raises GoneError for a paper that is not kept or an outcome that is gone, InputError for
        # numbers that cannot be, and where nobody said how the paper was made and its labels do
        # not either.
        def call(inquiry, surroundings)
          raise GoneError, "paper" unless inquiry.kept_ids.include?(record_id)

          kind = (inquiry.weighing.outcome(given[:outcome_id]) || raise(GoneError, "outcome")).sort
          raise InputError, { form: Book.t("edits.errors.result_type") } unless kind.forms.include?(given[:form])

          paper = inquiry.paper(record_id) || unweighed(surroundings)
          written = number ? result(inquiry).with(**given) : Appraisal::Reported.new(number: fresh(paper), **given)
          raise InputError, written.questions if written.questions.any?

          Change.new(inquiry: inquiry.with_paper(paper.with_result(written)), kind: :result_written,
                     facts: named(inquiry, surroundings, written))
        end

        private

        def fresh(paper)
          raise InputError, { form: Book.t("edits.errors.most_results", most: MOST) } if paper.reported.size >= MOST

          paper.next_result
        end

        def unweighed(surroundings)
          design = Appraisal::Design.proposed(surroundings.paper(record_id))
          raise InputError, { form: Book.t("edits.errors.design_first") } unless design

          Appraisal::Paper.new(record_id:, design: design.key)
        end
      end

      # Takes a result out of what is put together, or counts it in again.
      #
      # counts :: whether it counts from now on
      class Count < ResultEdit
        attributes :record_id, :number, :counts

        def call(inquiry, surroundings)
          changed = result(inquiry).with(aside: counts ? nil : :by_hand)
          put(inquiry, surroundings, changed, counts ? :result_counted : :result_taken_out)
        end
      end

      # Takes away what a paper gave for an outcome.
      class Remove < ResultEdit
        attributes :record_id, :number

        def call(inquiry, surroundings)
          dropped = result(inquiry)
          paper = inquiry.paper(record_id).without_result(number)
          Change.new(inquiry: inquiry.with_paper(paper), kind: :result_dropped,
                     facts: named(inquiry, surroundings, dropped))
        end
      end

      # Deals with a trap: mends it, or counts the result in spite of it.
      #
      # trap :: key of Appraisal::Synthesis::IntegrityWarnings::IntegrityWarning::KEYS; mend :: false to count it as it is; :split,
      #   for groups that share their comparison, to split that among them
      class SettleWarning < ResultEdit
        attributes :record_id, :number, :trap, :mend

        # Groups put together are one result; the others of the same comparison group are part of
        # it.
        def about(inquiry) = inquiry.paper(record_id)&.reported

        # Raises InputError (:trap) for one that is none, and for groups that cannot be put
        # together.
        def call(inquiry, surroundings)
          old = result(inquiry)
          unless Appraisal::Synthesis::IntegrityWarnings::IntegrityWarning::KEYS.include?(trap)
            raise InputError, { trap: Book.t("edits.errors.choose_action") }
          end

          paper = inquiry.paper(record_id)
          paper = mend ? mended(paper, old) : paper.with_result(old.with(counted: [*old.counted, trap]))
          Change.new(inquiry: inquiry.with_paper(paper), kind: mend ? :trap_mended : :trap_counted,
                     facts: { **named(inquiry, surroundings, old),
                       says: Appraisal::Synthesis::IntegrityWarnings::IntegrityWarning.says(trap) })
        end

        private

        def mended(paper, old)
          case trap
          when :turned then paper.with_result(turned(old))
          when :swapped then paper.with_result(old.swapped)
          when :arm_twice then mend == :split ? split(paper, old) : together(paper, old)
          else paper.with_result(old.with(aside: trap))
          end
        end

        # Raises InputError (:trap) for numbers that have no opposite.
        def turned(old)
          old.with(turned: !old.turned).tap do |one|
            raise InputError, { trap: Book.t("edits.errors.irreversible", reason: one.irreversible) } if one.irreversible
          end
        end

        # Each of the groups has its part of the comparison group.
        def split(paper, old)
          arms = sharing(paper, old)
          arms.reduce(paper) do |now, one|
            now.with_result(one.with(allocation: one.allocation.with(shared: arms.size)))
          end
        end

        def sharing(paper, old)
          paper.reported.select { |result| result.aside.nil? && result.comparison_key == old.comparison_key }
        end

        # The first of the groups takes in the others, which stay, aside.
        def together(paper, old)
          arms = sharing(paper, old)
          joined = Appraisal::Reported::Arms.together(arms)
          arms.drop(1).map { |arm| arm.with(aside: :arm_twice) }.reduce(paper.with_result(joined)) do |now, one|
            now.with_result(one)
          end
        end
      end
    end
  end
end
