# frozen_string_literal: true

module Hobrin
  module Strategy
    # The study filters that a search may name.
    class Filters
      attr_reader :names

      # published :: Array of PublishedFilter
      def initialize(published)
        @published = published.to_h { |filter| [filter.filter.label, filter] }.freeze
        @names = @published.keys.freeze
        freeze
      end

      NONE = new([])

      # The PublishedFilter of a Filter. Raises InputError (:filter), with the nearest names, for
      # one that is not known.
      def fetch(filter)
        @published.fetch(filter.label) do
          raise InputError, { filter: Book.t("strategy.errors.no_filter", name: filter.label, hint: Text::Nearest.hint(filter.label, names)) }
        end
      end

      # The tree of a Filter. Raises InputError (:filter).
      def tree(filter) = fetch(filter).tree

      # Those for one kind of question, from wide to narrow. Array of PublishedFilter.
      def of_kind(kind)
        found = @published.values.select { |published| published.filter.kind == kind }
        found.sort_by { |filter| Filter::WIDTHS.index(filter.filter.width) }
      end

      def kinds = @published.values.map { |published| published.filter.kind }.uniq

      # A published study filter by kind of question and width; `Filters` says which terms it stands
      # for.
      #
      # kind :: such as "treatment"; width :: one of WIDTHS
      class Filter < Expression
        attributes :kind, :width

        # From wide to narrow.
        WIDTHS = %w[sensitive balanced specific].freeze

        def name = :filter
        def slot = name
        def label = "#{kind}/#{width}"
      end

      # What was published of a study filter.
      #
      # filter :: Filter; tree :: the tree of its terms
      # sensitivity, specificity :: in percent as published; nil where no figure is to hand
      # source :: where it was published; searched, here :: the fields in which the original looked, and
      #   those in which these terms look; changed :: what was changed, "" when nothing was; note :: how
      #   surely it is known
      class PublishedFilter < Value
        attributes :filter, :tree, :sensitivity, :specificity, :source, :searched, :here, :changed,
                   :note

        # Whether the published figures are those of these terms.
        def as_published? = changed.empty?

        # Its terms, any of which lets a paper through.
        def terms = tree.is_a?(AnyOf) ? tree.parts : [tree]
      end

      # A study filter that a person wrote, under the name that they gave it. A search holds its terms
      # themselves, so that it can be run again wherever the name is not known; as CQL it is only its
      # terms.
      #
      # title :: String; tree :: the tree of its terms
      class OwnFilter < Expression
        attributes :title, :tree

        # Raises InputError (:title) for none or a long one.
        def initialize(title:, tree:)
          @title = title.strip.freeze
          raise InputError, { title: Book.t("strategy.errors.filter_name") } if @title.empty?

          FieldLengths.check(:filter_title, @title, at: :title)
          @tree = tree
          freeze
        end

        def name = :filter
        def slot = name

        # Its terms, any of which lets a paper through.
        def terms = tree.is_a?(AnyOf) ? tree.parts : [tree]
      end
    end
  end
end
