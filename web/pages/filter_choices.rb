# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The study filters: of which kind they are shown, which there are, and what each would leave.
      class FilterChoices
        # page :: Narrow; reader :: Services::ReadFilters
        def initialize(page, reader)
          @page = page
          @reader = reader
        end

        # Whether their card is open.
        def open? = @page.showing?("filters") || trouble?

        # The kind that was asked for, else that of the question.
        def kind = [@page.fields.text(:kind), @page.question.kind, kinds.first].find { |kind| kinds.include?(kind) }

        def kinds = @reader.kinds
        def name(kind) = kind == "reviews" ? "Reviews" : Question::Kind.fetch(kind).name

        # Services::ReadFilters::Rows: the published ones from wide to narrow, and those written here.
        def rows = @rows ||= @reader.call(@page.standing, kind)
        def own = @own ||= @reader.own(@page.standing)

        # What was typed of a filter that was refused.
        def typed(name) = trouble? ? @page.fields.text(name) : ""

        private

        def trouble? = @page.errors.keys.intersect?(%i[title terms])
      end
    end
  end
end
