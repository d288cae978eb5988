# frozen_string_literal: true

module Hobrin
  module Appraisal
    # One thing that an inquiry wants to know of the papers: delirium, sleep, sore ears.
    #
    # id :: Integer, from 1, given once; name :: in words; kind :: key of a Kind
    # better :: :less or :more of it; matters :: key of MATTERS: how much it matters to patients
    # worthwhile :: the smallest difference worth having, Float above 0 or nil: in people of 100 for
    #   what happens or not, for a share and for a test, else in the units of the measure
    # baseline :: what happens here now, in people of 100, 0 to 100, or nil
    # arms :: CloseReading::Arms, which names the two groups that are compared; what it leaves open is taken from the
    #   question
    # way :: Way; judgements :: Hash of a domain of Certainty (Symbol) to Judgement
    class Outcome < Value
      attributes :id, :name, :kind, :better, :matters, :worthwhile, :baseline, :way, :judgements, :arms

      MATTERS = { critical: "critical", important: "important", less: "of less weight" }.freeze
      BETTER = { less: "less of it is better", more: "more of it is better" }.freeze
      LONGEST = 120
      private_constant :LONGEST

      # Raises InputError naming the field.
      def initialize(id:, name:, kind: "events", better: :less, matters: :important, worthwhile: nil, baseline: nil,
                     way: nil, judgements: {}, arms: CloseReading::Arms.blank)
        @id = id
        @name = name.to_s.strip.freeze
        @kind = Kind.fetch(kind).key
        @better, @matters = [better, matters].map { |choice| choice.to_s.to_sym }
        @worthwhile = number(worthwhile, :worthwhile)
        @baseline = number(baseline, :baseline)
        @way = fitting(way)
        @judgements = judgements.to_h.freeze
        @arms = arms
        check
        freeze
      end

      def sort = Kind.fetch(kind)
      def measure = Measure.fetch(way.measure)

      private

      # A way whose measure is none of the kind's is as good as none.
      def fitting(way)
        return way if way && sort.measures.include?(way.measure)

        Way.new(measure: sort.measures.first)
      end

      def number(value, field)
        return if value.nil?
        raise InputError, { field => "Write a number." } unless value.is_a?(Numeric) && value.to_f.finite?

        value.to_f
      end

      def check
        errors = {}
        errors[:name] = "Give the outcome a name." if name.empty?
        errors[:name] = "Keep this to #{LONGEST} characters." if name.size > LONGEST
        errors[:better] = "Say which way is better." unless BETTER.key?(better)
        errors[:matters] = "Say how much it matters." unless MATTERS.key?(matters)
        errors[:worthwhile] = "Write a number above 0." unless worthwhile.nil? || worthwhile.positive?
        errors[:baseline] = "Write a number from 0 to 100." unless baseline.nil? || baseline.between?(0, 100)
        raise InputError, errors unless errors.empty?
      end
    end
  end
end
