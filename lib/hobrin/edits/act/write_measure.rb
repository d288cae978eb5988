# frozen_string_literal: true

module Hobrin
  module Edits
    module Act
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
          raise InputError, { numbers: "#{late.day.iso8601} is in the future. Enter what was counted up to today." }
        end

        def changed(inquiry)
          (inquiry.acting.measure(measure_id) || raise(GoneError, "measure")).with(**given)
        end

        def fresh(inquiry)
          raise InputError, { name: "Keep it to #{MOST} measures." } if inquiry.acting.measures.size >= MOST

          Brief::Measure.new(id: inquiry.acting.next_measure, **given)
        end
      end
    end
  end
end
