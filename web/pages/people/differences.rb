# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      module People
        # Where two readers differ, how far they agree, and how far each is.
        class Differences < Page
          VERDICTS = { keep: "keep", unsure: "unsure", drop: "drop" }.freeze
          MARKS = { none: "Kappa", linear: "Weighted kappa" }.freeze
          private_constant :VERDICTS, :MARKS

          # A paper to settle: said :: Array of [reader, verdict, reason or nil, note]
          class Row < Value
            attributes :id, :title, :byline, :path, :said
          end

          attr_reader :id, :question

          def initialize(context:, id:, errors:)
            super(errors:)
            @id = id
            @context = context
            @overview = Services::ReadTwice.new(context, id).overview
            inquiry = Services::ReadInquiry.new(context).call(id).inquiry
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
          def reasons = Sifting::Reasons.for(@frame)
          def words = @overview.twice.words
          def verdicts = VERDICTS.values_at(*Sifting::Twice::VERDICTS)
          def counted = @overview.twice.agreement.table.zip(verdicts)

          # [reasons, Array of [counts, reason]], or nil.
          def by_reason
            names, agreement = @overview.twice.reasons
            [names, agreement.table.zip(names)] if names
          end

          # Array of [what it is, number, from, to].
          def measures
            said = @overview.twice.agreement
            MARKS.filter_map do |weighting, name|
              kappa = said.kappa(weighting)
              [name, *[kappa.value, kappa.interval.low, kappa.interval.high].map { |one| decimal(one) }] if kappa
            end + adjusted(said)
          end

          def rows
            @overview.open.map { |pair| row(pair, @overview.records[pair.record_id]) }
          end

          private

          def row(pair, record)
            said = names.zip([pair.first, pair.second]).map do |name, one|
              [name, VERDICTS.fetch(one.verdict), one.reason, one.note]
            end
            query = Rack::Utils.build_query("paper" => pair.record_id)
            Row.new(id: pair.record_id, title: record&.title || pair.record_id, said:,
                    byline: record&.byline.to_s, path: "/inquiries/#{id}/sift?#{query}")
          end

          def adjusted(said)
            said.adjusted ? [["Kappa, adjusted for bias and prevalence", decimal(said.adjusted), nil, nil]] : []
          end

          def decimal(value) = format("%.2f", value).sub("-", "−")
        end
      end
    end
  end
end
