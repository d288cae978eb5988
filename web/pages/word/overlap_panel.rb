# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Word
        # How the blocks lie over each other, as a picture and as numbers.
        class OverlapPanel
          include Formatting

          # page :: Word; overlap :: Services::Terms::Read::Overlap
          def initialize(page, overlap)
            @page = page
            @overlap = overlap
          end

          def circles = @overlap.circles
          def sets = @overlap.sets
          def keys = @overlap.blocks.map(&:key)
          def several? = keys.size > 1
          def letters = keys.map { |key| @page.letter(key) }

          # Each pair of blocks and what they share: [one letter, other letter, papers].
          def pairs = sets.pairs.map { |(one, two), size| [letters[one], letters[two], size] }

          # Every number of the picture: [what, papers].
          def rows
            each = letters.zip(sets.sizes)
            two = pairs.map { |one, other, size| ["#{one} and #{other}", size] }
            all = keys.size > 2 ? [["all #{keys.size}", sets.all]] : []
            alone = sets.regions.select { |places, _| places.size == 1 }
            [*each, *two, *all, *alone.map { |(place), size| ["only #{letters[place]}", size] }]
          end

          # How true the picture is.
          def remark
            return "Bars: how many papers each block finds, and, in full colour, how many are in all." unless circles
            return "The areas are in true proportion." if keys.size == 2

            "Circles and their overlaps two by two are in true proportion; what all three share comes out as it may: " \
              "regions are off by #{points(circles.error)} % of all papers shown."
          end
        end
      end
    end
  end
end
