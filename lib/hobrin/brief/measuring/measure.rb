# frozen_string_literal: true

module Hobrin
  class Brief
    # Something that is counted to see whether a change works.
    #
    # id :: Integer from 1; name :: in words; sort :: key of SORTS; way :: key of WAYS
    # better :: :less or :more of it, nil while nobody has said
    # counted, of :: what is counted and of what, in words; target :: Float or nil, in the unit of the way
    # started :: the day on which the change began, a Date, or nil; points :: Array of Point in time
    class Measure < Value
      # A day and what was counted from then on: events and of how many (people, or days), or a
      # value.
      class Point < Value
        attributes :day, :events, :of

        def value = of ? events.fdiv(of) : events.to_f
      end

      attributes :id, :name, :sort, :way, :better, :counted, :of, :target, :started, :points

      SORTS = { outcome: "what should get better", process: "whether it is done",
                balancing: "what must not get worse" }.freeze
      WAYS = { share: "so many of so many", rate: "so many in so much time",
               value: "a value" }.freeze
      BETTER = { less: "less of it", more: "more of it" }.freeze
      LONGEST = { name: 120, counted: 200, of: 200 }.freeze
      MOST_POINTS = 500
      private_constant :LONGEST, :MOST_POINTS

      # Raises InputError naming the field.
      def initialize(id:, name:, sort: :outcome, way: :share, better: nil, counted: "", of: "", target: nil,
                     started: nil, points: [])
        @id = id
        @name, @counted, @of = [name, counted, of].map { |text| text.to_s.strip.freeze }
        @sort, @way = [sort, way].map { |choice| choice.to_s.to_sym }
        @better = better.to_s.empty? ? nil : better.to_sym
        @target = target&.to_f
        @started = started
        @points = points.sort_by(&:day).freeze
        check
        freeze
      end

      # Where the change began among the points: how many come before it. All, where no day is said.
      def before = started ? points.count { |point| point.day < started } : points.size

      # What makes it uncountable, as sentences.
      def missing
        { "Say what is counted." => counted.empty?,
          "Say of what: without it a number tells nothing." => way != :value && of.empty?,
          "Say which direction you want: less of it, or more." => better.nil?,
          "Say which value is aimed at." => target.nil?, "Say on which day the change begins." => started.nil? }
          .select { |_, missing| missing }.keys
      end

      private

      def check
        long = LONGEST.select { |field, most| public_send(field).size > most }
        errors = long.transform_values { |most| "Keep this to #{most} characters." }
        errors[:name] = "Give the measure a name." if name.empty?
        errors[:sort] = "Say what it is for." unless SORTS.key?(sort)
        errors[:way] = "Say how it is counted." unless WAYS.key?(way)
        errors[:better] = "Choose whether you want less of it or more." unless better.nil? || BETTER.key?(better)
        errors[:numbers] = "Keep it to #{MOST_POINTS} lines." if points.size > MOST_POINTS
        raise InputError, errors unless errors.empty?
      end
    end
  end
end
