# frozen_string_literal: true

module Hobrin
  module Services
    # The study filter of an inquiry: a published one, or one of one's own, which is kept for other
    # inquiries too.
    class ChangeFilter
      HINT = "Write its terms as CQL, such as dc.type = \"cohort study\" or risk*."
      private_constant :HINT

      # seen :: see ApplyEdit
      def initialize(context, seen: nil)
        @context = context
        @apply = ApplyEdit.new(context, seen:)
      end

      # label :: such as "treatment/balanced". Gives an ApplyEdit::Outcome, as the others do. Raises
      #   InputError (:filter).
      def published(id, label) = @apply.call(id, Edits::Limits::ApplyFilter.new(label:))

      # Puts on a filter that was written here before. Raises GoneError.
      def kept(id, title)
        found = @context.own_filters.all.find do |one|
          one.title == title
        end or raise GoneError, "filter"
        put(id, own(found.title, found.terms))
      end

      # Writes one and puts it on; a librarian's is kept for other inquiries, too. title :: its name; terms :: CQL; replace :: whether it
      # may take the place of one of that name. Raises InputError (:title, :terms, :replace).
      def write(id, title, terms, replace: false)
        filter = own(title, terms)
        if !replace && @context.own_filters.kept?(filter.title) && ChangeHouse.new(@context).may?
          raise InputError, { replace: "There is a filter of this name already, for every inquiry. Choose another " \
                                       "name, or say that it is to be replaced." }
        end

        house = ChangeHouse.new(@context)
        house.filter(filter.title, Strategy::Cql.write(filter.tree)) if house.may?
        put(id, filter)
      end

      # No longer offered; a search that has it keeps it. Raises GoneError, RefusedError.
      def forget(id, title)
        raise GoneError, "filter" unless @context.own_filters.kept?(title)

        ChangeHouse.new(@context).filter(title, nil)
        ApplyEdit::Outcome.new(opened: ReadInquiry.new(@context).call(id), change: nil, line: nil)
      end

      private

      def put(id, filter) = @apply.call(id, Edits::Limits::Apply.new(leaf: filter))

      # A filter stands in every inquiry, so it cannot name a line of one.
      def own(title, terms)
        raise InputError, { terms: HINT } if terms.strip.empty?

        tree = InputError.at(:terms) do
          Strategy::Lines.new({}).resolve(Strategy::Cql.read(terms, @context.vocabulary))
        end
        Strategy::Filters::OwnFilter.new(title:, tree:)
      end
    end
  end
end
