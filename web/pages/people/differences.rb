# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      module People
        # Where two readers differ, how far they agree, and how far each is.
        class Differences < Agreement
          VERDICTS = { keep: "keep", unsure: "unsure", drop: "drop" }.freeze
          private_constant :VERDICTS

          # A paper to settle: said :: Array of [reader, verdict, reason or nil, note]
          class Row < Value
            attributes :id, :title, :byline, :path, :said
          end

          def initialize(context:, id:, errors:)
            super
            @overview = Services::Screen::DualScreening.new(context, id).overview
            inquiry = Services::Inquiries::Read.new(context).call(id).inquiry
            @question = inquiry.question.text
            @frame = inquiry.question.frame
          end

          def names = @overview.readers.map(&:name)

          def progress
            names.zip(@overview.read).map do |name, read|
              "#{name} has read #{number(read)} of #{number(@overview.papers)}"
            end
          end

          def settled = @overview.settled
          def reasons = Screening::Decision::Reasons.for(@frame)
          def words = @overview.twice.words

          # Array of Counts.
          def tables
            verdicts = VERDICTS.values_at(*Screening::DualScreening::VERDICTS)
            [counts("Papers, by what each decided", verdicts, said), *by_reason]
          end

          # Array of Measures.
          def measured
            found = measures("Measures of agreement, with 95 % intervals", said, %i[none linear])
            found.rows.empty? ? [] : [found]
          end

          def rows
            @overview.open.map { |pair| row(pair, @overview.records[pair.record_id]) }
          end

          private

          def said = @overview.twice.agreement

          def by_reason
            names, agreement = @overview.twice.reasons
            names ? [counts("Papers that both dropped, by why", names, agreement)] : []
          end

          def row(pair, record)
            said = names.zip([pair.first, pair.second]).map do |name, one|
              [name, VERDICTS.fetch(one.verdict), one.reason, one.note]
            end
            query = Rack::Utils.build_query("paper" => pair.record_id)
            Row.new(id: pair.record_id, title: record&.title || pair.record_id, said:,
                    byline: record&.byline.to_s, path: "/inquiries/#{id}/sift?#{query}")
          end
        end
      end
    end
  end
end
