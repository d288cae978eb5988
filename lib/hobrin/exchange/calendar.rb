# frozen_string_literal: true

require "digest"

module Hobrin
  module Exchange
    # The days of a change for a person's own calendar (RFC 5545): when it is looked at again, and
    # by when each open step is to be done.
    module Calendar
      TYPE = "text/calendar"

      class << self
        # inquiry :: Inquiry; made :: Date; address :: of its page. Gives text; nil where no day is
        # named.
        def write(inquiry, made:, address: nil)
          days = days(inquiry)
          return if days.empty?

          require "icalendar"
          calendar = Icalendar::Calendar.new
          calendar.prodid = "-//Hobrin//Brief//EN"
          days.each do |day, words|
            calendar.add_event(event(day, words, inquiry.question.text, made, address))
          end
          calendar.to_ical
        end

        private

        # [Date, in words]
        def days(inquiry)
          again = inquiry.plan.look_again_on
          steps = inquiry.acting.steps.reject(&:done).select(&:on).map do |step|
            [step.on, [step.what, step.who].reject(&:empty?).join(", ")]
          end
          [*([[again, Book.t("exports.calendar.review")]] if again), *steps]
        end

        # A whole day, the same each time it is written.
        def event(day, words, question, made, address)
          Icalendar::Event.new.tap do |event|
            event.dtstart = Icalendar::Values::Date.new(day)
            event.dtend = Icalendar::Values::Date.new(day + 1)
            event.dtstamp = Icalendar::Values::DateTime.new(
              DateTime.new(made.year, made.month, made.day), "tzid" => "UTC"
            )
            event.uid = "#{Digest::SHA256.hexdigest("#{question}\n#{words}\n#{day}")[0, 32]}@hobrin"
            event.summary = words
            event.description = question
            event.url = address if address
          end
        end
      end
    end
  end
end
