# frozen_string_literal: true

module Hobrin
  module Services
    # Changes one term of a block: crosses it out, takes it back in, removes it, or changes how it searches.
    class ChangeTerm
      def initialize(context)
        @change = ChangeInquiry.new(context)
      end

      def cross_out(id, key, term_id, reason)
        call(id, key, term_id, "Crossed out") { |term| term.with(crossed_out: reason.strip) }
      end

      def take_back(id, key, term_id)
        call(id, key, term_id, "Took back") { |term| term.with(crossed_out: nil) }
      end

      def remove(id, key, term_id) = call(id, key, term_id, "Removed") { nil }

      # main, narrower :: as in Strategy::Heading
      def heading(id, key, term_id, narrower:, main:)
        choice = "#{narrower ? "with narrower" : "without narrower"}#{", main topic only" if main}:"
        call(id, key, term_id, "Searched #{choice}", Strategy::Heading) { |term| term.with(leaf: term.leaf.with(narrower:, main:)) }
      end

      # fields :: some of Strategy::Words::FIELDS
      def fields(id, key, term_id, fields)
        call(id, key, term_id, "Looked in #{fields.join(", ")} for", Strategy::Words) { |term| term.with(leaf: term.leaf.with(fields:)) }
      end

      private

      # kind :: what the term's leaf must be for this change
      def call(id, key, term_id, verb, kind = Value, &block)
        @change.call(id, step: :word) do |inquiry|
          term = inquiry.block(key).term(term_id)
          raise GoneError, "term" unless term&.leaf.is_a?(kind)

          [inquiry.with_block(inquiry.block(key).replace(term_id, &block)), "#{verb} #{term.label} in #{key}"]
        end
      end
    end
  end
end
