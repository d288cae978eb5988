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
    # allocation :: Allocation, how people came to the groups
    # counted :: Array of keys of traps that a person looked at and counts it in spite of
    class Reported < Value
      attributes :number, :outcome_id, :form, :typed, :measure, :group, :comparison, :time, :shown, :turned, :change,
                 :aside, :counted, :allocation

      # Raises InputError naming the field, those of the form by their own names.
      def initialize(number:, outcome_id:, form:, typed:, measure: nil, group: "", comparison: "", time: "", shown: "",
                     turned: false, change: false, aside: nil, counted: [], allocation: Allocation.new)
        @number = number
        @outcome_id = outcome_id
        @form = Form.fetch(form).key
        @measure = (Outcome::Measure.fetch(measure).key if @form == "estimate")
        @typed = typed.slice(*Form.fetch(form).names).transform_values { |text| text.to_s.strip.freeze }.freeze
        @group, @comparison, @time, @shown = [group, comparison, time, shown].map do |text|
          text.to_s.strip.freeze
        end
        @turned, @change = [turned, change].map { |ticked| ticked ? true : false }
        @aside = aside&.to_sym
        @counted = counted.map(&:to_sym).uniq.freeze
        @allocation = allocation
        check
        freeze
      end

      # The numbers as the statistics work with them, see Values.
      def values = @form == "estimate" ? @read.merge(measure:) : Figures::Values.of(@form, @read)

      # Its effect by an Outcome::Measure, a Statistics::Pooling::Result; nil where it tells nothing by that
      #   one.
      def effect(measure) = Effects.new(values, turned:, allocation:).by(measure)

      # Why it cannot be told of the opposite although its scale is reversed, in a sentence; nil
      # where it can, or need not.
      def irreversible = turned ? Effects::Reversing.refusal(form, measure, @read) : nil

      # What was done to its numbers before they are pooled, in words.
      def notes
        reversed = Book.t("appraisal.reversed.#{typed[:risk].to_s.empty? ? "note" : "note_from_risk"}", risk: typed[:risk])
        [(reversed if turned && !irreversible), allocation.words].compact
      end

      # What has to be asked before it is written down: Hash of a field to a sentence.
      def questions
        unclear = typed.select { |name, text| !Form.fetch(form).field(name).whole && Figures::Typed.ambiguous?(text) }
        asked = unclear.transform_values { |text| Figures::Typed.question(text) }
        asked[form == "estimate" && Effects::Reversing.by_risks?(measure) ? :risk : :turned] = irreversible if irreversible
        asked
      end

      # Its four counts, those without the outcome in place of those with it on a turned scale; nil
      # for other numbers.
      def table
        numbers = values
        return unless numbers.is_a?(Statistics::TwoByTwo)

        turned ? Effects.opposite(numbers) : numbers
      end

      # Its four counts where they may be weighed as they are.
      def plain_table = allocation.changes? ? nil : table

      # How many people it is about; nil where that is not said. Of a crossover trial everybody is
      # in both groups.
      def people
        both = in_groups
        both && allocation.kind == :crossover ? (both / 2.0).round : both
      end

      # As many people, each randomised alone, as would tell as much.
      def effective_people
        people && (people / allocation.design_effect).round
      end

      # The same with its two groups in each other's place.
      def swapped
        fields = Form.fetch(form)
        own = fields.fields.map(&:name)
        other = own.to_h { |name| [name, fields.other(name)] }
        turned = fields.two_groups ? typed.transform_keys { |name| other[name] || other.key(name) } : reciprocal
        with(typed: turned, group: comparison, comparison: group)
      end

      # How its groups stand against the two arms (CloseReading::Arms): :swapped where they stand the
      # other way round, :arms where one is neither, nil where nothing speaks against them.
      def against(arms)
        return if arms.blank?

        group.empty? && comparison.empty? ? Arms::Against.sentence(self, arms) : Arms::Against.names(group, comparison, arms)
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
        [outcome_id, time, Form.fetch(form).two_groups && @read.select { |name, _| name.start_with?(Form::OTHER) }]
      end

      private

      # A printed effect of the second group against the first.
      def reciprocal
        value = ->(name) { Figures::Typed.number(typed[name]) if typed[name] }
        turn = ->(number) { ratio? ? format("%.6g", 1 / number) : format("%.6g", -number) }
        { **typed, value: turn[value[:value]], low: (turn[value[:high]] if value[:high]),
                   high: (turn[value[:low]] if value[:low]) }.compact
      end

      def in_groups
        case (numbers = values)
        when Statistics::TwoByTwo then numbers.total + numbers.comparison_total
        when Statistics::Accuracy then numbers.people
        when Hash then numbers[:people]
        else @form == "one_group" ? numbers.last : (numbers.sum(&:size) if numbers.all?(Statistics::Effects::Means::Group))
        end
      end

      def ratio? = measure ? Outcome::Measure.fetch(measure).ratio? : false

      def check
        errors = FieldLengths.errors({ group:, comparison:, time:, shown: }, { comparison: :group, shown: :sentence })
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
