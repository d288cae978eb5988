# frozen_string_literal: true

module Hobrin
  class Brief
    # What a ward will do differently: what, where, who, from when, measured how, looked at again
    # on; and what it needs: what stops, what is needed, who must agree, what may go wrong.
    class ActionPlan < Value
      attributes :what, :where, :who, :from_when, :measured, :look_again, :stops, :needed, :agree,
                 :risk

      PROMPTS = Book.names("brief.plan", %i[what where who from_when measured look_again])
      MORE = Book.names("brief.plan", %i[stops needed agree risk])
      # How people write a day: 2027-02-01, 1 Feb 2027, 01.02.2027.
      DAYS = { /\b(\d{4}-\d{2}-\d{2})\b/ => "%Y-%m-%d", /\b(\d{1,2} [[:alpha:]]{3,9} \d{4})\b/ => "%d %b %Y",
               /\b(\d{1,2}\.\d{1,2}\.\d{4})\b/ => "%d.%m.%Y" }.freeze
      private_constant :DAYS

      # Raises InputError naming the field that is too long.
      def initialize(what: "", where: "", who: "", from_when: "", measured: "", look_again: "",
                     stops: "", needed: "", agree: "", risk: "")
        @what, @where, @who, @from_when, @measured, @look_again, @stops, @needed, @agree, @risk =
          [what, where, who, from_when, measured, look_again, stops, needed, agree,
           risk].map { |text| text.to_s.strip.freeze }
        errors = FieldLengths.errors(to_h, to_h.transform_values { :plan })
        raise InputError, errors unless errors.empty?

        freeze
      end

      # The day in what is written for looking again, as a Date; nil where none is named.
      def look_again_on
        DAYS.each do |pattern, format|
          text = look_again[pattern, 1] or next
          return Date.strptime(text, format)
        rescue Date::Error
          next
        end
        nil
      end

      # One step of a change. on :: Date by which it is to be done, or nil; who, what :: in words;
      # done :: whether it is
      class Step < Value
        attributes :on, :who, :what, :done

        MOST = 30

        # Raises InputError (:steps).
        def initialize(what:, on: nil, who: "", done: false)
          @on = on
          @who, @what = [who, what].map { |text| text.to_s.strip.freeze }
          @done = done ? true : false
          raise InputError, { steps: Book.t("brief.errors.step") } if @what.empty?

          FieldLengths.check(:step, @what, at: :steps)
          FieldLengths.check(:step_who, @who, at: :steps)
          freeze
        end
      end

      # A small cycle of trying a change out: what was planned, what was done, what was seen, and what
      # is done differently next time. (Plan, do, study, act: common practice of quality improvement.)
      class PdsaCycle < Value
        attributes :plan, :did, :saw, :next_time

        NAMES = Book.names("brief.pdsa", %i[plan did saw next_time])
        MOST = 20

        # Raises InputError (:cycles).
        def initialize(plan:, did: "", saw: "", next_time: "")
          @plan, @did, @saw, @next_time = [plan, did, saw, next_time].map do |text|
            text.to_s.strip.freeze
          end
          raise InputError, { cycles: Book.t("brief.errors.cycle") } if @plan.empty?

          to_h.each_value { |text| FieldLengths.check(:cycle, text, at: :cycles) }
          freeze
        end

        # Whether it was gone through to its end.
        def closed? = !saw.empty?
      end
    end
  end
end
