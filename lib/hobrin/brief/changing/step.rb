# frozen_string_literal: true

module Hobrin
  class Brief
    # One step of a change. on :: Date by which it is to be done, or nil; who, what :: in words;
    # done :: whether it is
    class Step < Value
      attributes :on, :who, :what, :done

      LONGEST = { who: 120, what: 300 }.freeze
      MOST = 30

      # Raises InputError (:steps).
      def initialize(what:, on: nil, who: "", done: false)
        @on = on
        @who, @what = [who, what].map { |text| text.to_s.strip.freeze }
        @done = done ? true : false
        raise InputError, { steps: "Say what is to be done." } if @what.empty?
        raise InputError, { steps: "Keep a step to #{LONGEST[:what]} characters, a name to #{LONGEST[:who]}." } if long?

        freeze
      end

      private

      def long? = LONGEST.any? { |name, most| public_send(name).size > most }
    end
  end
end
