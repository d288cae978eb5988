# frozen_string_literal: true

module Hobrin
  module Services
    # The study filter of an inquiry: a published one, or one of one's own, which is kept for other inquiries too.
    class ChangeFilter
      HINT = "Write its terms as CQL, such as dc.type = \"cohort study\" or risk*."
      private_constant :HINT

      # seen :: see ChangeInquiry
      def initialize(context, seen: nil)
        @context = context
        @limits = ChangeLimits.new(context, seen:)
      end

      # label :: such as "treatment/balanced". Raises InputError (:filter).
      def published(id, label) = @limits.put(id, @context.vocabulary.filter(label))

      # Puts on a filter that was written here before. Raises GoneError.
      def kept(id, title)
        found = @context.own_filters.all.find { |one| one.title == title } or raise GoneError, "filter"
        @limits.put(id, own(found.title, found.terms))
      end

      # Writes one, keeps it and puts it on. title :: its name; terms :: CQL. Raises InputError (:title, :terms).
      def write(id, title, terms)
        filter = own(title, terms)
        @context.own_filters.keep(filter.title, Strategy::Cql.write(filter.tree), at: @context.now)
        @limits.put(id, filter)
      end

      # No longer offered; a search that has it keeps it.
      def forget(title) = @context.own_filters.remove(title)

      private

      def own(title, terms)
        raise InputError, { terms: HINT } if terms.strip.empty?

        Strategy::OwnFilter.new(title:, tree: read(terms))
      end

      # A filter stands in every inquiry, so it cannot name a line of one.
      def read(terms)
        tree = Strategy::Cql.read(terms, @context.vocabulary)
        Strategy::Lines.new({}).resolve(tree)
      rescue InputError => e
        raise InputError, { terms: e.errors.values.first }
      end
    end
  end
end
