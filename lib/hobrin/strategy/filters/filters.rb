# frozen_string_literal: true

module Hobrin
  module Strategy
    # The study filters that a search may name.
    class Filters
      attr_reader :names

      # published :: Array of PublishedFilter
      def initialize(published)
        @published = published.to_h { |one| [one.filter.label, one] }.freeze
        @names = @published.keys.freeze
        freeze
      end

      NONE = new([])

      # The PublishedFilter of a Filter. Raises InputError (:filter), with the nearest names, for
      # one that is not known.
      def fetch(filter)
        @published.fetch(filter.label) do
          raise InputError, { filter: "There is no study filter “#{filter.label}”.#{Text::Nearest.hint(filter.label, names)}" }
        end
      end

      # The tree of a Filter. Raises InputError (:filter).
      def tree(filter) = fetch(filter).tree

      # Those for one kind of question, from wide to narrow. Array of PublishedFilter.
      def of_kind(kind)
        found = @published.values.select { |one| one.filter.kind == kind }
        found.sort_by { |one| Filter::WIDTHS.index(one.filter.width) }
      end

      def kinds = @published.values.map { |one| one.filter.kind }.uniq
    end
  end
end
