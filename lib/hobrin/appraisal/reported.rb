# frozen_string_literal: true

module Hobrin
  module Appraisal
    # What one paper gives for one outcome: who was compared, when it was measured, and the
    # numbers, kept as they were typed.
    #
    # number :: Integer from 1, given once within a paper; outcome_id :: of an Outcome
    # form :: key of a Form; typed :: Hash of field name (Symbol) to text
    # measure :: key of the Outcome::Measure that a ready-made effect is in, nil for other forms
    # group, comparison :: who had the intervention and who had not, in words; time :: when it was
    #   measured; shown :: the sentence that gives the numbers, or where they stand
    # turned :: whether its scale runs the other way than the outcome's; change :: whether means
    #   are of the change since the start
    # aside :: why it is not counted with the others, a key of Together::WHY, or nil
    # counted :: Array of keys of traps that a person looked at and counts it in spite of
    class Reported < Value
      attributes :number, :outcome_id, :form, :typed, :measure, :group, :comparison, :time, :shown, :turned, :change,
                 :aside, :counted

      LONGEST = { group: 120, comparison: 120, time: 60, shown: 600 }.freeze
      private_constant :LONGEST

      # Raises InputError naming the field, those of the form by their own names.
      def initialize(number:, outcome_id:, form:, typed:, measure: nil, group: "", comparison: "", time: "", shown: "",
                     turned: false, change: false, aside: nil, counted: [])
        @number = number
        @outcome_id = outcome_id
        @form = Form.fetch(form).key
        @measure = (Outcome::Measure.fetch(measure).key if @form == "estimate")
        @typed = typed.slice(*Form.fetch(form).names).transform_values do |text|
          text.to_s.strip.freeze
        end.freeze
        @group, @comparison, @time, @shown = [group, comparison, time, shown].map do |text|
          text.to_s.strip.freeze
        end
        @turned, @change = [turned, change].map { |one| one ? true : false }
        @aside = aside&.to_sym
        @counted = counted.map(&:to_sym).uniq.freeze
        check
        freeze
      end

      # The numbers as the statistics work with them, see Values.
      def values = @form == "estimate" ? @read.merge(measure:) : Values.of(@form, @read)

      # Its effect by an Outcome::Measure, a Statistics::Result; nil where it tells nothing by that
      #   one.
      def effect(measure) = Effects.of(values, measure, turned:)

      # Its four counts, those without the outcome in place of those with it on a turned scale; nil
      # for other numbers.
      def table
        numbers = values
        return unless numbers.is_a?(Statistics::TwoByTwo)

        turned ? Effects.opposite(numbers) : numbers
      end

      # How many people it is about; nil where that is not said.
      def people
        case (numbers = values)
        when Statistics::TwoByTwo then numbers.total + numbers.comparison_total
        when Statistics::Accuracy then numbers.people
        when Hash then numbers[:people]
        else @form == "one_group" ? numbers.last : (numbers.sum(&:size) if numbers.all?(Statistics::Means::Group))
        end
      end

      # How many of them had it; nil where that is not counted.
      def events
        case (numbers = values)
        when Statistics::TwoByTwo then numbers.events + numbers.comparison_events
        when Array then @form == "events_over_time" ? numbers[0] + numbers[2] : (numbers.first if @form == "one_group")
        end
      end

      # The share that had it without the intervention, 0 to 1; nil where it is not counted.
      def comparison_risk = table&.comparison_risk

      def doubts = Doubts.of(values, ratio: ratio?)

      # What is the same when two results share their comparison group.
      def comparison_key
        [outcome_id, time, Form.fetch(form).two_groups && @read.select do |name, _|
          name.start_with?(Form::OTHER)
        end]
      end

      private

      def ratio? = measure ? Outcome::Measure.fetch(measure).ratio? : false

      def check
        errors = LONGEST.filter_map do |field, most|
          [field, "Keep this to #{most} characters."] if public_send(field).size > most
        end.to_h
        begin
          @read = Figures.new(Form.fetch(form), typed, ratio: ratio?).call
        rescue InputError => e
          errors.merge!(e.errors)
        end
        raise InputError, errors unless errors.empty?
      end
    end
  end
end
