# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Narrow
        # The study filters: of which kind they are shown, which there are, and what each would
        # leave.
        class FilterChoices
          include Formatting

          # A kind to choose: path :: of the card with its filters
          class Kind < Value
            attributes :name, :path, :chosen
          end

          # rows :: Services::Narrow::ReadFilters::Rows, the published ones from wide to narrow; own :: those written
          # here, while the card is open
          attr_reader :rows, :own

          # page :: Page; reader :: Services::Narrow::ReadFilters
          def initialize(page, reader)
            @page = page
            @all_kinds = reader.kinds
            @rows = reader.call(kind)
            @own = reader.own if open?
            freeze
          end

          # Whether their card is open.
          def open? = @page.showing?("filters") || trouble?

          # The kind that was asked for, else that of the question.
          def kind
            [@page.fields.text(:kind), @page.question.kind, @all_kinds.first].find { |kind| @all_kinds.include?(kind) }
          end

          def name(kind = self.kind)
            kind == "reviews" ? Book.t("narrow.filters.reviews") : Question::Kind.fetch(kind).name
          end

          def card_path = @page.path(show: "filters")
          def close_path = @page.path

          def kinds
            @all_kinds.map do |offered|
              Kind.new(name: name(offered), path: @page.path(show: "filters", kind: offered), chosen: offered == kind)
            end
          end

          # What a row leaves: what its preview says, or what is left while it is on.
          def size(row) = row.preview ? row.preview.size : @page.opened.final
          def change(row) = @page.limits.change_words(row.preview.change)

          # The published sensitivity or specificity in percent; a dash where it is not to hand, or not
          # that of these terms.
          def percent(published, figure)
            value = published.public_send(figure)
            value && published.as_published? ? "#{value} %" : "—"
          end

          # Where a filter comes from, in short.
          def origin(published)
            changed = Book.t("narrow.filters.terms_changed") unless published.as_published?
            ["#{published.source}.", published.note, changed].compact.join(" ")
          end

          # Where the original looked and where this looks, and what became of its figures.
          def adapted(published)
            [Book.t("narrow.filters.fields_changed", original: published.searched, here: published.here),
             changed(published)].compact.join(" ")
          end

          # Where a narrower width leaves more than a wider one: which, in words; nil where none
          # does.
          def out_of_order
            wide, narrow = rows.each_cons(2).find { |one, other| size(one) < size(other) }
            return unless wide

            Book.t("narrow.filters.wrong_way", broad: wide.leaf.width, broad_papers: count_of(size(wide), "paper"),
                                               narrow: narrow.leaf.width, narrow_papers: size(narrow))
          end

          def joined = @page.opened.cascade.joined.size

          # Whether a limit to study types, which does the same work, is there as well.
          def types_too? = @page.limits.chosen?(:type)

          # What was typed of a filter that was refused.
          def typed(name) = trouble? ? @page.fields.text(name) : ""

          private

          def changed(published)
            return if published.as_published?

            figures = [published.sensitivity, published.specificity]
            own = Book.t("narrow.filters.figures_do_not_apply", figures: figures.join(" and ")) if figures.all?
            Book.t("narrow.filters.changed", change: published.changed, own:)
          end

          def trouble? = @page.errors.keys.intersect?(%i[title terms replace])
        end
      end
    end
  end
end
