# frozen_string_literal: true

module Hobrin
  module Services
    # Lets papers in by hand, whatever the steps of the cascade say, and takes them out again.
    class LetIn
      MOST = 200
      private_constant :MOST

      # seen :: see ChangeInquiry
      def initialize(context, seen: nil)
        @context = context
        @change = ChangeInquiry.new(context, seen:)
      end

      # record_id :: of a paper of the library. Raises GoneError; InputError (:let_in) past two hundred.
      def call(id, record_id)
        edit(id, record_id, "Let in by hand") do |ids|
          refuse if ids.size >= MOST
          ids | [record_id]
        end
      end

      def take_back(id, record_id) = edit(id, record_id, "No longer let in by hand") { |ids| ids - [record_id] }

      private

      def refuse = raise(InputError, { let_in: "#{MOST} papers by hand are enough: widen the search instead." })

      def edit(id, record_id, verb)
        record = @context.library.record(record_id) or raise GoneError, "paper"
        @change.call(id, step: :narrow) do |inquiry|
          [inquiry.with(let_in: yield(inquiry.let_in)), "#{verb}: “#{record.title}”"]
        end
      end
    end
  end
end
