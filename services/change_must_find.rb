# frozen_string_literal: true

module Hobrin
  module Services
    # Papers that the person knows and wants to see found.
    class ChangeMustFind
      MOST = 30
      private_constant :MOST

      # seen :: see ChangeInquiry
      def initialize(context, seen: nil)
        @context = context
        @change = ChangeInquiry.new(context, seen:)
      end

      # typed :: a DOI, an id, or words of a title that only one paper has. Raises InputError (:known).
      def add(id, typed)
        record = one(typed)
        edit(id, "Must find “#{record.title}”") do |known|
          refuse("That is #{MOST} papers: a few well-known ones say more.") if known.size >= MOST
          known | [record.id]
        end
      end

      def remove(id, record_id) = edit(id, "Must-find paper taken off") { |known| known - [record_id] }

      private

      def one(typed)
        found = ReadPaper.new(@context).find(typed)
        refuse("No paper here has this DOI, or all of these words in its title.") if found.empty?
        if found.size > 1
          refuse("#{found.size} papers or more have these words in their title. Add a word, or give the DOI.")
        end
        found.first
      end

      def refuse(message) = raise(InputError, { known: message })

      def edit(id, words)
        @change.call(id, step: :narrow) { |inquiry| [inquiry.with(must_find: yield(inquiry.must_find)), words] }
      end
    end
  end
end
