# frozen_string_literal: true

module Hobrin
  module Services
    # The search of an inquiry in other catalogues: how it would be asked there, and what came of
    # it.
    class ReadElsewhere
      # What one catalogue gave: search :: Narrowing::State::ExternalSearch; import :: Store::Imports::Import or
      #   nil; found :: of its records, those that the search here finds; doubles :: of its records,
      #   those that another record is the same paper as; only :: those that no other is
      class Given < Value
        attributes :search, :import, :given, :found, :doubles, :only
      end

      # opened :: OpenInquiry; crossed_out :: whether terms that are crossed out are asked for, too: there
      #   they may find papers
      def initialize(context, opened, crossed_out: false)
        @context = context
        @opened = opened
        @crossed_out = crossed_out
      end

      # The terms that are crossed out.
      def crossed_out_terms = @opened.inquiry.searched_blocks.flat_map(&:terms).select(&:crossed_out?)

      def sources = @context.library.sources.all

      # Those that can be asked a search.
      def askable = sources.select(&:sru?)

      # A Catalogue::Plan for a Store::Sources::Source, as it would be sent, or with other texts for
      #   some lines. texts :: Hash of number to String
      def plan(source, texts: {})
        plan = Catalogue::Plan::Planning.new(cascade:, question: @opened.question,
                                             ability: source.ability,
                                             evaluator: @context.evaluator).call
        texts.empty? ? plan : plan.edited(texts)
      end

      # The search as text to copy: Hash of its name to the text, in CQL and in plain Boolean.
      def texts
        inquiry = @opened.inquiry
        limits = inquiry.limits.select(&:on).map(&:leaf)
        cql = inquiry.tree ? Strategy::Cql.write(inquiry.with(included_ids: []).tree) : ""
        { plain: Catalogue::PlainBoolean.new(blocks: inquiry.ordered_blocks, limits:).call, cql: }
      end

      # Array of Given, in the order in which they were asked.
      def given = @opened.inquiry.elsewhere.map { |search| one(search) }

      private

      def cascade
        return @opened.cascade unless @crossed_out

        inquiry = @opened.inquiry
        inquiry.with(blocks: inquiry.blocks.map(&:restored)).cascade(@context.evaluator)
      end

      def one(search)
        import = import(search)
        numbers = import ? @context.library.imports.numbers(import.id) : []
        set = Records::RecordSet.of(numbers) & @context.evaluator.index.everything
        doubles = @context.library.duplicates.twins(set)
        Given.new(search:, import:, given: set.size, found: set.overlap(@opened.cascade.final),
                  doubles: doubles.size,
                  only: set.size - doubles.size)
      end

      # One that was taken back is still told of; one of another library is not.
      def import(search)
        search.import_id && @context.library.imports.find(search.import_id)
      rescue GoneError
        nil
      end
    end
  end
end
