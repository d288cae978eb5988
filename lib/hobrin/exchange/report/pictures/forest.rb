# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Pictures
        # A forest: each paper with its effect and interval, and the pooled value as a diamond.
        class Forest
          LEFT = 150
          ROW = 18
          WIDTH = 520
          NOTE = 13
          private_constant :LEFT, :ROW, :WIDTH, :NOTE

          # pool :: Appraisal::Synthesis::Pool with a pooled value. Gives a Picture.
          def self.of(pool) = new(pool).call

          def initialize(pool)
            @pool = pool
            @told = Brief::Words::OfResult.new(pool.measure)
            @scale = Brief::Scale.new(pool.measure, [*ends, [pool.pooled.low, pool.pooled.high]])
          end

          def call
            @canvas = Canvas.new(Book.t("exports.picture.forest", outcome: @pool.outcome.name), WIDTH,
                                 (ROW * (@pool.studies.size + 1)) + 34 + (NOTE * below.size))
            @canvas.line(x(@scale.nothing), 4, x(@scale.nothing), bottom, "dotted") if @scale.nothing
            @pool.studies.each_index { |place| study(place) }
            pooled
            axis
            below.each_with_index { |words, place| @canvas.text(2, bottom + 32 + (NOTE * place), words) }
            @canvas.picture
          end

          private

          # Who is compared with whom, and what was done to single results.
          def below
            noted = @pool.studies.map { |study| [study.record.short_name, study.reported.notes] }
            [@pool.arms.words, *noted.reject { |_, notes| notes.empty? }.map { |name, notes| "#{name}: #{notes.join("; ")}" }].compact
          end

          def ends
            @pool.results.map do |result|
              reach = @pool.way.z * result.error
              [result.effect - reach, result.effect + reach]
            end
          end

          def x(place) = LEFT + place
          def bottom = (ROW * (@pool.studies.size + 1)) + 6

          def study(place)
            low, high = ends[place]
            y = (ROW * place) + 12
            effect = @pool.results[place].effect
            half = 2 + (5 * Math.sqrt(@pool.pooled.weights[place]))
            named(y, @pool.studies[place].record.short_name, @told.interval(effect, low, high))
            @canvas.line(x(@scale.place(low)), y, x(@scale.place(high)), y)
            @canvas.box(x(@scale.place(effect)) - half, y - half, half * 2, half * 2, "filled")
          end

          # What stands to the left and to the right of a line.
          def named(y, name, effect, style = "plain")
            @canvas.text(2, y + 4, name, style)
            @canvas.text(x(Brief::Scale::WIDTH) + 10, y + 4, effect, style)
          end

          def pooled
            y = (ROW * @pool.studies.size) + 14
            low, middle, high = [@pool.pooled.low, @pool.pooled.estimate,
                                 @pool.pooled.high].map { |effect| x(@scale.place(effect)) }
            named(y, Book.t("exports.picture.pooled"), @told.of(@pool.pooled), "strong")
            @canvas.area([[low, y], [middle, y - 6], [high, y], [middle, y + 6]])
          end

          def axis
            @canvas.line(x(0), bottom, x(Brief::Scale::WIDTH), bottom, "thin")
            @scale.ticks.each do |place, words|
              @canvas.line(x(place), bottom, x(place), bottom + 4, "thin")
              @canvas.text(x(place) - (2.5 * words.size), bottom + 15, words)
            end
          end
        end
      end
    end
  end
end
