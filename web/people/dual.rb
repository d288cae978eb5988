# frozen_string_literal: true

module Hobrin
  module Web
    module People
      # What two people made of the same papers, side by side.
      module Dual
        # What pages that tell of agreement have in common: tables of counts, and measures.
        class Agreement < Page
          MARKS = { none: Book.t("people.dual.measure.kappa"), linear: Book.t("people.dual.measure.weighted_kappa") }.freeze
          private_constant :MARKS

          # A table of counts: rows :: Array of [counts, name]
          class Counts < Value
            attributes :caption, :names, :rows

            def empty? = rows.all? { |counts, _| counts.sum.zero? }
          end

          # Measures of one agreement: rows :: Array of [what it is, number, from, to]
          class Measures < Value
            attributes :caption, :rows
          end

          attr_reader :id, :question

          def initialize(id:, errors:)
            super(errors:)
            @id = id
          end

          private

          def decimal(value) = format("%.2f", value).sub("-", "−")

          # agreement :: Statistics::Agreement
          def counts(caption, names, agreement)
            Counts.new(caption:, names:, rows: agreement.table.zip(names))
          end

          # weightings :: of Statistics::Agreement#kappa
          def measures(caption, agreement, weightings)
            rows = weightings.filter_map do |weighting|
              kappa = agreement.kappa(weighting) or next
              [MARKS[weighting], *told(kappa)]
            end
            Measures.new(caption:, rows: rows + adjusted(agreement))
          end

          def adjusted(agreement)
            return [] unless agreement.adjusted

            { Book.t("people.dual.measure.pabak") => agreement.adjusted, Book.t("people.dual.measure.ac1") => agreement.ac1 }
              .map { |name, kappa| [name, *told(kappa)] }
          end

          # Its value and the two ends of its interval.
          def told(kappa)
            [kappa.value, kappa.interval.low, kappa.interval.high].map { |bound| decimal(bound) }
          end
        end

        # Where two readers differ, how far they agree, and how far each is.
        class Differences < Agreement
          VERDICTS = { keep: "include", unsure: "unsure", drop: "exclude" }.freeze
          private_constant :VERDICTS

          # A paper to settle: said :: Array of [reader, verdict, reason or nil, note]
          class Row < Value
            attributes :id, :title, :byline, :path, :said
          end

          def initialize(context:, id:, errors:)
            super(id:, errors:)
            @overview = Services::Screen::DualScreening.new(context, id).overview
            inquiry = Services::Inquiries::Read.new(context).call(id).inquiry
            @question = inquiry.question.text
            @frame = inquiry.question.frame
            freeze
          end

          def names = @overview.readers.map(&:name)

          def progress
            names.zip(@overview.read).map do |name, read|
              Book.t("people.dual.has_screened", person: name, papers: read, all: @overview.papers)
            end
          end

          def settled = @overview.settled
          def reasons = Screening::Decision::Reasons.for(@frame).map { |tag| [tag, reason(tag)] }
          def words = @overview.twice.words

          # Array of Counts.
          def tables
            verdicts = VERDICTS.values_at(*Screening::DualScreening::VERDICTS)
            [counts(Book.t("people.dual.screening_table"), verdicts, said), *by_reason]
          end

          # Array of Measures.
          def measured
            found = measures(Book.t("people.dual.measures"), said, %i[none linear])
            found.rows.empty? ? [] : [found]
          end

          def rows
            @overview.open.map { |pair| row(pair, @overview.records[pair.record_id]) }
          end

          private

          def reason(tag) = Screening::Decision::Reasons.name(tag)
          def said = @overview.twice.agreement

          def by_reason
            names, agreement = @overview.twice.reasons
            names ? [counts(Book.t("people.dual.reasons_table"), names.map { |tag| reason(tag) }, agreement)] : []
          end

          def row(pair, record)
            said = names.zip([pair.first, pair.second]).map do |name, one|
              [name, VERDICTS.fetch(one.verdict), one.reason && reason(one.reason), one.note]
            end
            query = Rack::Utils.build_query("paper" => pair.record_id)
            Row.new(id: pair.record_id, title: record&.title || pair.record_id, said:,
                    byline: record&.byline.to_s, path: "/inquiries/#{id}/sift?#{query}")
          end
        end

        # Where two people weighed a paper otherwise, how far they agree, and how far each is.
        class Sheets < Agreement
          # A paper to settle: points :: Array of Point; finding :: the paper in one sentence, as far
          #   as one is there; found :: Array of [name, the sentence]; alike :: how many points both
          #   judged alike
          class Row < Value
            attributes :id, :title, :byline, :path, :points, :finding, :found, :alike
          end

          # A point that they judged otherwise: place :: its place on the page; said :: Array of
          #   [name, what they say, the sentence that shows it, value of the choice, whether they
          #   alone said anything]
          class Point < Value
            attributes :key, :name, :place, :said
          end

          def initialize(context:, id:, errors:)
            super(id:, errors:)
            @overview = Services::Appraise::DualAppraisal.new(context, id).overview
            @question = Services::Inquiries::Read.new(context).call(id).inquiry.question.text
            freeze
          end

          def names = @overview.readers.map(&:name)

          def progress
            names.zip(@overview.weighed).map do |name, weighed|
              Book.t("people.dual.has_appraised", person: name, papers: weighed, all: @overview.papers)
            end
          end

          def settled = @overview.settled.size

          # Array of [title, Array of [name of the point, what each says, what holds]].
          def settled_points
            @overview.settled.map do |pair, holds|
              points = pair.differing.map do |key|
                said = names.zip([pair.first, pair.second])
                            .map { |name, sheet| [name, words_at(key, sheet)] }
                [pair.name(key), said, words_at(key, holds)]
              end
              [twice.records[pair.record_id].title, points]
            end
          end

          def words = twice.words

          # Array of Counts.
          def tables
            concerns = Appraisal::Checklists::Concern::LEVELS.map(&:to_s)
            answers = Appraisal::Paper::Answer::WORDS.values
            [counts(Book.t("people.dual.answers_table"), answers, twice.answers),
             counts(Book.t("people.dual.risk_table"), concerns, twice.concerns),
             counts(Book.t("people.dual.levels_table"), (1..5).map(&:to_s), twice.levels)].reject(&:empty?)
          end

          # Array of Measures.
          def measured
            { Book.t("people.dual.on_answers") => [twice.answers, %i[none]],
              Book.t("people.dual.on_risk") => [twice.concerns, %i[linear]],
              Book.t("people.dual.on_levels") => [twice.levels, %i[linear]] }
              .map { |caption, (agreement, weightings)| measures(caption, agreement, weightings) }
              .reject { |measures| measures.rows.empty? }
          end

          def rows
            @overview.open.each_with_index.map do |pair, place|
              row(pair, place, twice.records[pair.record_id])
            end
          end

          private

          def twice = @overview.twice
          def words_at(key, sheet) = Appraisal::DualAppraisal::Points.words(key, sheet)

          def row(pair, place, record)
            sheets = names.zip([pair.first, pair.second])
            path = "/inquiries/#{id}/weigh?#{Rack::Utils.build_query("paper" => pair.record_id)}"
            Row.new(id: pair.record_id, title: record.title, byline: record.byline, path:,
                    points: points(pair, sheets, place), finding: pair.agreed_finding,
                    found: sheets.map { |name, sheet| [name, sheet.finding] }
                                 .reject { |_, text| text.empty? },
                    alike: Appraisal::DualAppraisal::Points.of(pair.first).size - pair.differing.size)
          end

          def points(pair, sheets, place)
            pair.differing.each_with_index.map do |key, number|
              alone = sheets.select { |_, sheet| Appraisal::DualAppraisal::Points.said?(key, sheet) }
              said = sheets.zip(%w[first second]).map do |(name, sheet), value|
                because = Appraisal::DualAppraisal::Points.because(key, sheet)
                [name, words_at(key, sheet), because, value, alone == [[name, sheet]]]
              end
              Point.new(key:, name: pair.name(key), place: "#{place}-#{number}", said:)
            end
          end
        end
      end
    end
  end
end
