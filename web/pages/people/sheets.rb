# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      module People
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
            super
            @overview = Services::Appraise::DualAppraisal.new(context, id).overview
            @question = Services::Inquiries::Read.new(context).call(id).inquiry.question.text
          end

          def names = @overview.readers.map(&:name)

          def progress
            names.zip(@overview.weighed).map do |name, weighed|
              "#{name} is done with #{number(weighed)} of #{number(@overview.papers)}"
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
            [counts("Questions, by what each answered", answers, twice.answers),
             counts("Papers, by the concern that error came in", concerns, twice.concerns),
             counts("Papers, by level", (1..5).map(&:to_s), twice.levels)].reject(&:empty?)
          end

          # Array of Measures.
          def measured
            { "Agreement on answers" => [twice.answers, %i[none]],
              "On concern" => [twice.concerns, %i[linear]],
              "On levels" => [twice.levels, %i[linear]] }
              .map { |caption, (agreement, weightings)| measures(caption, agreement, weightings) }
              .reject { |one| one.rows.empty? }
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
