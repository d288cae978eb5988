# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Sift step.
      class Sift < Step
        VERDICTS = { keep: "kept", drop: "dropped", unsure: "unsure" }.freeze

        def initialize(paper: nil, **rest)
          super(**rest)
          @paper = paper || fields.some_text(:paper)
        end

        def desk = @desk ||= Services::ReadSift.new(@context).call(standing, record_id: @paper)
        def open = desk.open
        def decision = open && inquiry.decision(open.id)

        # Whether the open paper is here because it was let in by hand; whether the search is to find it always.
        def let_in? = inquiry.let_in.include?(open.id)
        def must_find? = inquiry.must_find.include?(open.id)

        def verdict(record) = inquiry.decision(record.id)&.verdict

        def tally = @tally ||= desk.records.map { |record| verdict(record) }.tally

        def unread = tally.fetch(nil, 0) + (desk.total - desk.records.size)

        def note = errors.empty? ? decision&.note.to_s : fields.text(:note)

        def said
          return super unless errors.empty?

          open ? "#{unread} unread. Now open: #{open.title}" : "No papers"
        end

        def design(record) = Appraisal::Design.proposed(record)&.name || "study type not stated"
      end
    end
  end
end
