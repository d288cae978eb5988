# frozen_string_literal: true

module Hobrin
  module Services
    # What an edit may look at beside the inquiry, from the stores; see Edits.
    class Surroundings
      # saved :: Store::Inquiries::Saved, whose trail it is
      def initialize(context, saved)
        @context = context
        @saved = saved
      end

      def evaluator = @context.evaluator
      def understanding = @context.understanding
      def vocabulary = @context.vocabulary
      def today = @context.clock.today

      # What stays as it is when an earlier state is brought back: what two people decide or appraise
      # independently. Array of :decisions and :sheets.
      def independent
        { decisions: @context.readings, sheets: @context.sheets }.filter_map do |part, kept|
          part if kept.readers(@saved.id)
        end
      end

      def paper(id) = @context.library.record(id) || raise(GoneError, "paper")
      def find(typed) = Terms::FindPapers.new(@context).call(typed)
      def set(ids) = @context.library.set(ids)
      def ids(set) = @context.library.ids(set)
      def neighbours(ids) = @context.library.citations.neighbours(ids)
      def trail = @trail ||= InquiryTrail.new(@context.stored, @saved)

      # The trail of one inquiry.
      class InquiryTrail
        def initialize(inquiries, saved)
          @inquiries = inquiries
          @saved = saved
        end

        # How many lines it has.
        def size = @saved.version

        def state_at(number) = @inquiries.state_at(@saved.id, number)
        def line(number) = @inquiries.line(@saved.id, number)
        def history = @history ||= @inquiries.history(@saved.id)

        # The tree with every line in it replaced by what it stands for. Raises InputError (:line).
        # inquiry :: whose named lines count
        def resolve(tree, inquiry) = lines(inquiry).resolve(tree)

        def lines(inquiry)
          Trail::LineTrees.new(inquiry.lines, size: @saved.version) { |number| state_at(number) }
        end
      end
    end
  end
end
