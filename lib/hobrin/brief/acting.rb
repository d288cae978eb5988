# frozen_string_literal: true

module Hobrin
  class Brief
    # What a ward thought of, decided, measures and signed, beside the conclusion and the plan.
    #
    # considerations :: Hash of a key of Consideration::ALL to Consideration; decision :: key of
    #   Consideration::DECISIONS, "" while nothing is decided
    # measures :: Array of Measure; signed :: Array of Signature, the first first
    # steps :: Array of Step, by day; cycles :: Array of Cycle, the first first
    class Acting < Value
      # Who signed the brief, and when.
      #
      # line :: the number of the trail line as it stood then; gaps :: sentences of what did not fit
      #   or was still open, see SignOffCheck; reason :: why it was signed all the same
      class Signature < Value
        attributes :name, :on, :line, :gaps, :reason

        def initialize(name:, on:, line:, gaps: [], reason: "")
          super(name:, on:, line:, gaps: gaps.dup.freeze, reason:)
        end
      end

      attributes :considerations, :decision, :measures, :signed, :steps, :cycles

      # Raises InputError (:decision).
      def initialize(considerations: {}, decision: "", measures: [], signed: [], steps: [],
                     cycles: [])
        @considerations = considerations.slice(*Consideration::ALL.keys).reject { |_, one| one.empty? }.freeze
        @decision = decision.to_s.freeze
        @measures, @signed, @cycles = [measures, signed, cycles].map { |list| list.dup.freeze }
        @steps = steps.sort_by.with_index { |step, place| [step.on || Date::Infinity.new, place] }.freeze
        raise InputError, { decision: Book.t("brief.errors.decision") } unless @decision.empty? || Consideration::DECISIONS.key?(@decision)

        freeze
      end

      def consideration(key) = considerations.fetch(key) { Consideration.new }
      def measure(id) = measures.find { |measure| measure.id == id }
      def next_measure = (measures.map(&:id).max || 0) + 1
      def without_measure(id) = with(measures: measures.reject { |measure| measure.id == id })

      def with_measure(changed)
        return with(measures: [*measures, changed]) unless measure(changed.id)

        with(measures: measures.map { |measure| measure.id == changed.id ? changed : measure })
      end

      # One thing to be thought of before a ward decides, in one line, with a mark from against to
      # for.
      #
      # mark :: −2 (against) to 2 (for), nil while it is not set; line :: in words
      class Consideration < Value
        attributes :mark, :line

        ALL = Book.names("brief.consideration", %i[benefit harm certainty wants cost fairness accepted doable])
        MARKS = { -2 => :against, -1 => :rather_against, 0 => :neither, 1 => :rather_for, 2 => :for }
                .transform_values { |key| Book.t("brief.mark.#{key}") }.freeze
        DECISIONS = Book.names("brief.decision", %w[change some trial leave stop])

        # Raises InputError (:considerations).
        def initialize(mark: nil, line: "")
          @mark = mark
          @line = line.to_s.strip.freeze
          raise InputError, { considerations: Book.t("brief.errors.mark") } unless mark.nil? || MARKS.key?(mark)

          FieldLengths.check(:consideration, @line, at: :considerations)
          freeze
        end

        def empty? = mark.nil? && line.empty?
      end
    end
  end
end
