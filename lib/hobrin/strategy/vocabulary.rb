# frozen_string_literal: true

module Hobrin
  module Strategy
    # The names that a search over one library may use: headings, journals, places and study
    # filters. What is not among them is an error that offers the nearest ones, never an empty
    # result.
    class Vocabulary
      # thesaurus :: Thesaurus; journals, places :: Array of String; filters :: Filters
      def initialize(thesaurus:, journals: [], places: [], filters: Filters::NONE)
        @thesaurus = thesaurus
        @journals = by_folded(journals)
        @places = by_folded(places)
        @filters = filters
        freeze
      end

      # The preferred label for a label, an also-called name or a URI. Raises InputError (:heading).
      def heading(name)
        found = @thesaurus.at(name) || @thesaurus.named(name)
        return found.label if found

        refuse(:heading, Book.t("strategy.errors.no_heading", name:), name, @thesaurus.names)
      end

      # The aspects asked for, checked against those that the heading allows, or any of its narrower
      # ones where they are searched, too. Raises InputError (:aspect).
      def aspects(label, names, narrower: false)
        any = label == Heading::ANY
        allowed = any ? @thesaurus.headings.flat_map(&:aspects).uniq : @thesaurus.aspects(label, narrower:)
        names.map do |name|
          allowed.find { |aspect| same?(aspect, name) } || begin
            of = any ? "no_subheading" : "no_subheading_of"
            refuse(:aspect, Book.t("strategy.errors.#{of}", heading: label, name:), name, allowed)
          end
        end
      end

      # The names as the library has them. Raise InputError.
      def journal(name)
        @journals[fold(name)] || refuse(:journal, Book.t("strategy.errors.no_journal", name:), name,
                                        @journals.values)
      end

      def place(name)
        @places[fold(name)] || refuse(:place, Book.t("strategy.errors.no_country", name:), name,
                                      @places.values)
      end

      # name :: "kind/width". Gives a Filter. Raises InputError (:filter).
      def filter(name)
        filter = Filters::Filter.new(**%i[kind width].zip(name.downcase.split("/", 2).map(&:strip)).to_h)
        @filters.tree(filter)
        filter
      end

      def journals = @journals.values
      def places = @places.values

      private

      def by_folded(names) = names.to_h { |name| [fold(name), name] }.freeze
      def fold(name) = Text::Tokens.line(name)
      def same?(one, two) = fold(one) == fold(two)

      def refuse(field, message, name, known)
        raise InputError, { field => "#{message}#{Text::Nearest.hint(name, known)}" }
      end
    end
  end
end
