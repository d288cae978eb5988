# frozen_string_literal: true

module Hobrin
  module Services
    # The one way in which an inquiry changes: load, change, count before and after, save and write the
    # trail, in one transaction. A service with a verb of its own gives it the change.
    class ChangeInquiry
      # seen :: the version that the person looked at, or nil when it does not matter
      def initialize(context, seen: nil)
        @context = context
        @seen = seen
      end

      # step :: where the person is
      # part :: what of an Inquiry the change is about (a Proc), nil when it only adds. When another window changed that
      #         part since it was seen, a ConflictError is raised; when it changed something else, both changes stand.
      # brings_back :: for going back and forth, see History
      #
      # The block gets the Inquiry and gives [the new Inquiry, the change in words]; when the Inquiry is
      # the same nothing is written. Gives the Saved as it is then.
      def call(id, step:, part: nil, brings_back: nil)
        @context.inquiries.change(id, step:, at: @context.now) do |before|
          refuse_what_changed(before, part) if part
          inquiry, change = yield(before.inquiry)
          next if inquiry == before.inquiry && !brings_back

          [inquiry, { who: @context.who, change:, count_before: count(before.inquiry), count_after: count(inquiry),
                      library_version: @context.library.version, brings_back: }]
        end
      end

      private

      # An inquiry of the version that was seen is in the trail.
      def refuse_what_changed(before, part)
        return if @seen.nil? || @seen == before.version

        looked_at = @context.inquiries.state_at(before.id, @seen)
        raise ConflictError if part.call(looked_at) != part.call(before.inquiry)
      rescue GoneError
        raise ConflictError
      end

      def count(inquiry) = inquiry.cascade(@context.evaluator).final.size
    end
  end
end
