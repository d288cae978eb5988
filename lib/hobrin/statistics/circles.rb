# frozen_string_literal: true

module Hobrin
  module Statistics
    # Two or three sets as circles whose areas, and whose overlaps two by two, are in true
    # proportion. For two sets that is exact. For three, the distances of the pairs fix everything,
    # so what all three share comes out as it may: the error says how far it is off. Where the
    # distances make no triangle, the third circle is placed as near as it can.
    #
    # circles :: Array of Circle in the order of the sets, in units where the largest has radius 1
    # error   :: the sum of what every region is drawn too large or too small, over the size of the
    #   union; 0.0 to 2.0
    #
    # Source of the area of a lens: the circle-circle intersection of plane geometry, in any
    # handbook.
    class Circles < Value
      attributes :circles, :error

      class Circle < Value
        attributes :x, :y, :radius
      end

      STEPS = 60
      # Rows on which the regions are measured.
      ROWS = 80
      private_constant :STEPS, :ROWS

      # regions :: Hash of Array of places (which sets, such as [0, 2]) to how many are in just those
      # Integers from 0. Gives nil when a set is empty or there are not two or three.
      def self.of(regions)
        count = regions.keys.flatten.uniq.size
        sizes = (0...count).map { |place| total(regions, [place]) }
        return unless count.between?(2, 3) && sizes.all?(&:positive?)

        circles = place(sizes, ->(pair) { total(regions, pair) })
        new(circles:, error: error(circles, regions))
      end

      # The area that two circles share.
      def self.lens(one, two, distance)
        return 0.0 if distance >= one + two
        return Math::PI * ([one, two].min**2) if distance <= (one - two).abs

        [[one, two], [two, one]].sum do |near, far|
          along = ((distance**2) + (near**2) - (far**2)) / (2 * distance)
          half_chord = Math.sqrt([(near**2) - (along**2), 0].max)
          (near**2 * Math.acos((along / near).clamp(-1.0, 1.0))) - (along * half_chord)
        end
      end

      # The distance of two centres at which the circles share this area, by halving.
      def self.distance(one, two, shared)
        low, high = (one - two).abs, one + two
        STEPS.times do
          middle = (low + high) / 2
          lens(one, two, middle) > shared ? low = middle : high = middle
        end
        (low + high) / 2
      end

      class << self
        private

        def total(regions, places) = regions.sum { |key, size| (places - key).empty? ? size : 0 }

        def place(sizes, shared)
          unit = Math::PI / sizes.max
          radii = sizes.map { |size| Math.sqrt(size.to_f / sizes.max) }
          apart = ->(one, two) { distance(radii[one], radii[two], shared.call([one, two]) * unit) }
          first = apart.call(0, 1)
          centres = [[0.0, 0.0], [first, 0.0]]
          centres << third(first, apart.call(0, 2), apart.call(1, 2)) if sizes.size == 3
          radii.zip(centres).map { |radius, (x, y)| Circle.new(x:, y:, radius:) }
        end

        def third(base, left, right)
          return [left, 0.0] if base.zero?

          x = ((base**2) + (left**2) - (right**2)) / (2 * base)
          x = x.clamp(-left, left)
          [x, Math.sqrt([(left**2) - (x**2), 0].max)]
        end

        def error(circles, regions)
          drawn = measured(circles)
          union = regions.values.sum
          scale = union / drawn.values.sum
          off = ->(key) { ((drawn.fetch(key, 0.0) * scale) - regions.fetch(key, 0)).abs }
          (regions.keys | drawn.keys).sum(&off) / union
        end

        # The areas of the regions, row by row: between two edges of a row the same circles hold.
        def measured(circles)
          low, high = circles.map { |circle| circle.y - circle.radius }.min, circles.map { |circle| circle.y + circle.radius }.max
          height = (high - low) / ROWS
          ROWS.times.each_with_object(Hash.new(0.0)) do |row, areas|
            lengths(circles, low + ((row + 0.5) * height)).each do |inside, length|
              areas[inside] += length * height
            end
          end
        end

        def lengths(circles, y)
          spans = circles.map do |circle|
            half = Math.sqrt([(circle.radius**2) - ((y - circle.y)**2), 0].max)
            [circle.x - half, circle.x + half]
          end
          spans.flatten.sort.each_cons(2).filter_map do |from, to|
            inside = spans.each_index.select do |place|
              spans[place].first <= from && spans[place].last >= to
            end
            [inside, to - from] unless inside.empty? || from == to
          end
        end
      end
    end
  end
end
