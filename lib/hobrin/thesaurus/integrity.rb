# frozen_string_literal: true

module Hobrin
  class Thesaurus
    # Whether headings hang together: every name that refers leads somewhere, nothing lies below
    # itself, and the integrity conditions of SKOS hold (W3C SKOS Reference, 2009: S13 on names, S27
    # on related headings; S14, one preferred label, is a matter of reading).
    class Integrity
      # Problems that stop, each naming the heading.
      attr_reader :errors
      # What can be lived with: a name that leads to several headings goes to the first of them.
      attr_reader :warnings

      # headings :: Array of Heading
      def initialize(headings)
        @headings = headings
        @by_label = headings.to_h { |heading| [heading.label, heading] }
        @errors = labels + references
        # What lies above can only be told where every reference leads somewhere.
        @errors += circles if @errors.empty?
        @errors += above_and_related if @errors.empty?
        @warnings = shared_names
        [@errors, @warnings].each(&:freeze)
        freeze
      end

      private

      def problem(kind, **gaps) = Book.t("terms.headings.#{kind}", **gaps)

      def labels
        twice = @headings.group_by { |heading| fold(heading.label) }.values.select { |same| same.size > 1 }
        twice.map { |one, two| problem(:same_label, label: two.label, one: one.label, two: two.label) } +
          @headings.select { |heading| heading.also_called.include?(heading.label) }
                   .map { |heading| problem(:own_label, label: heading.label) }
      end

      def references
        @headings.flat_map do |heading|
          lost = (heading.broader + heading.related + heading.use_instead).reject do |label|
            @by_label.key?(label)
          end
          lost.map { |label| problem(:unknown, label: heading.label, other: label) }
        end
      end

      # One message for each circle, found by walking upward once.
      def circles
        done = {}
        @headings.filter_map { |heading| circle(heading.label, [], done) }
      end

      def circle(label, path, done)
        return if done[label]
        return problem(:circle, label:, path: round(path, label).join(" < ")) if path.include?(label)

        found = @by_label.fetch(label).broader.filter_map { |above| circle(above, [*path, label], done) }.first
        done[label] = true
        found
      end

      def round(path, label) = [*path.drop_while { |step| step != label }, label]

      def above_and_related
        above = Hash.new do |memo, label|
          memo[label] = @by_label.fetch(label).broader.flat_map { |broader| [broader, *memo[broader]] }.uniq
        end
        @headings.flat_map do |heading|
          heading.related.select { |other| above[heading.label].include?(other) || above[other].include?(heading.label) }
                 .map { |other| problem(:related_above, label: heading.label, other:) }
        end
      end

      def shared_names
        names = @headings.flat_map { |heading| heading.names.map { |name| [fold(name), heading.label] } }
        by_name = names.uniq.group_by(&:first)
        by_name.select { |_, pairs| pairs.size > 1 }
               .map { |name, pairs| problem(:shared_name, name:, headings: Book.list(pairs.map(&:last).sort)) }
      end

      def fold(name) = Text::Tokens.line(name)

      # Works out, once, what lies below each heading.
      class Closure
        # children :: Hash of label to the labels directly below it, with no circle in it
        def initialize(children)
          @children = children
          @below = {}
        end

        # A frozen Hash of label to the labels of itself and all below it.
        def call
          @children.each_key { |label| below(label) }
          @below.freeze
        end

        private

        def below(label)
          @below[label] ||= [label, *@children.fetch(label).flat_map { |child| below(child) }].uniq.freeze
        end
      end
    end
  end
end
