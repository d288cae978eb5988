# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
      # The numbers of a form as typed, read and checked field by field.
      class Figures
        # form :: Form; typed :: Hash of field name (Symbol) to text; ratio :: whether a ready-made
        #   effect is one
        def initialize(form, typed, ratio: false)
          @form = form
          @typed = typed
          @ratio = ratio
          @errors = {}
        end

        # Gives a Hash of name to Integer or Float, those left empty left out. Raises InputError
        # naming each field that cannot be.
        def call
          read = @form.names.to_h { |name| [name, number(name)] }.compact
          check(read) if @errors.empty?
          raise InputError, @errors unless @errors.empty?

          read.freeze
        end

        private

        def number(name)
          field = @form.field(name)
          text = @typed[name].to_s
          if text.strip.empty?
            @errors[name] = "Write the number." if field.needed
            return
          end
          value = field.whole ? Typed.whole(text) : Typed.number(text)
          unless sound?(value, field)
            @errors[name] = field.whole ? "Write a whole number, 0 or more." : "Write a number, such as 3.5."
          end
          value
        end

        def sound?(value, field)
          return false if value.nil? || value.abs > Statistics::TwoByTwo::LARGEST

          field.whole ? value >= 0 : true
        end

        def check(read)
          case @form.key
          when "counts", "four_cells" then Values.of(@form.key, read)
          when "estimate" then estimate(read)
          else ["", (Form::OTHER if @form.two_groups)].compact.each { |group| group(read, group) }
          end
        rescue InputError => e
          @errors.merge!(e.errors)
        end

        def group(read, prefix)
          of = ->(name) { read[:"#{prefix}#{name}"] }
          wrong = ->(name, words, bad) { @errors[:"#{prefix}#{name}"] ||= words if bad }
          wrong[:events, "#{of[:events]} is more than the #{of[:total]} in this group.",
                of[:total] && of[:events] > of[:total]]
          wrong[:total, "A group has at least 1 person.", of[:total]&.zero?]
          wrong[:time, "Time is above 0.", of[:time] && !of[:time].positive?]
          wrong[:size, "A mean with its spread needs at least 2 people.",
                of[:size] && of[:size] < 2]
          %i[deviation error].each do |name|
            wrong[name, "It is above 0.", of[name] && !of[name].positive?]
          end
          ordered(of, wrong)
        end

        def ordered(of, wrong)
          names = %i[least low lower mean median upper high most].select { |name| of[name] }
          names -= %i[mean] unless of[:low]
          names.each_cons(2) do |one, two|
            wrong[two, "It cannot be below the #{of[one]} before it.", of[two] < of[one]]
          end
          ends = names.values_at(0, -1).uniq
          wrong[ends.last, "Both ends are the same: nothing varies.",
                ends.size == 2 && of[ends.first] == of[ends.last]]
        end

        def estimate(read)
          value, low, high = read.values_at(:value, :low, :high)
          within(read, :level, 50, 99.9)
          within(read, :risk, 0, 100)
          above_nothing(read.slice(:value, :low, :high)) if @ratio
          return spread(read[:p], value) unless low || high
          return @errors[:high] = "Write both ends of the interval." unless low && high
          return @errors[:high] ||= "The lower end stands first." if high <= low

          @errors[:value] ||= "It lies outside its own interval." unless value.between?(low, high)
        end

        def within(read, name, least, most)
          @errors[name] = "Enter a number from #{least} to #{most}." unless read[name].nil? || read[name].between?(least, most)
        end

        def above_nothing(numbers)
          numbers.each do |name, number|
            @errors[name] = "A ratio is above 0." unless number.positive?
          end
        end

        def spread(p, value)
          return @errors[:low] = "Write its interval, or its p." unless p

          @errors[:p] = "A p lies above 0 and below 1." unless p.positive? && p < 1
          @errors[:value] = "Without an effect its p tells nothing: write the interval." if value == (@ratio ? 1 : 0)
        end
      end
    end
  end
end
