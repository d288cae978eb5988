# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Pictures
        # A hundred people without it and a hundred with it, as two fields of squares; those who
        # have what is counted are filled.
        module Hundred
          IN_ROW = 20
          SIDE = 9
          LETTERS = 24
          private_constant :IN_ROW, :SIDE, :LETTERS

          # row :: Appraisal::Findings::Row that has a hundred. Gives a Picture.
          def self.of(row)
            without, with = row.hundred.first(2).map { |share| (100 * share).round.clamp(0, 100) }
            canvas = Canvas.new("#{row.outcome.name} in 100 people like ours", 430, 75)
            arms = row.pool.arms
            field(canvas, 2, "#{short(arms.comparison_name)}: #{without} of 100", without)
            field(canvas, 222, "#{short(arms.intervention_name)}: #{with} of 100", with)
            canvas.picture
          end

          # So much of a name stands over a field.
          def self.short(name)
            name = "#{name[0, LETTERS].rstrip}…" if name.size > LETTERS
            name[0].upcase + name[1..]
          end
          private_class_method :short

          def self.field(canvas, left, words, filled)
            canvas.text(left, 12, words, "strong")
            100.times do |person|
              down, across = person.divmod(IN_ROW)
              canvas.box(left + (across * (SIDE + 1)), 20 + (down * (SIDE + 1)), SIDE, SIDE,
                         person < filled ? "filled" : "soft")
            end
          end
          private_class_method :field
        end
      end
    end
  end
end
