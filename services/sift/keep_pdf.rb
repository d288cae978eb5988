# frozen_string_literal: true

module Hobrin
  module Services
    # The full text of a paper, as a PDF that a person keeps with it.
    class KeepPdf
      LARGEST_BYTES = Store::KeptPapers::LARGEST_BYTES

      def initialize(context)
        @context = context
      end

      # path :: of a file that came in, nil for none. Raises InputError (:pdf), GoneError for a
      #   paper that is not in the library.
      def call(record_id, path)
        known(record_id)
        @context.papers.keep(record_id, path)
      end

      # Raises GoneError.
      def remove(record_id) = @context.papers.remove(record_id)

      # Gives a Download. Raises GoneError.
      def read(record_id)
        record = known(record_id)
        name = Text::Tokens.of(record.title).first(6).join("-")
        Download.new(name: "#{name.empty? ? "paper" : name}.pdf", type: "application/pdf",
                     body: @context.papers.pdf(record_id))
      end

      private

      def known(record_id) = @context.library.record(record_id) || raise(GoneError, "paper")
    end
  end
end
