# frozen_string_literal: true

module Hobrin
  module Services
    # Runs a search that is written as CQL, beside any inquiry or after the lines of one.
    class Search
      # tree :: what was read; set :: the RecordSet that it finds
      class Found < Value
        attributes :tree, :set

        def size = set.size
        def cql = Strategy::Cql.write(tree)
      end

      SLICE = 500
      private_constant :SLICE

      def initialize(context)
        @context = context
      end

      # cql :: String; inquiry_id :: whose trail's lines cql.resultSetId names, or nil
      # Raises InputError (:cql, :line), and GoneError for an unknown inquiry.
      def call(cql, inquiry_id: nil)
        tree = Strategy::Cql.read(cql, @context.vocabulary)
        tree = trees(inquiry_id).resolve(tree)
        Found.new(tree:, set: @context.evaluator.call(tree))
      end

      # The records found, newest first.
      def records(found, limit: nil)
        @context.library.newest(found.set, limit: limit || found.size)
      end

      # The same one after the other, for more than memory should hold.
      def each_record(found, limit: nil, &block)
        return enum_for(:each_record, found, limit:) unless block

        ids(found, limit:).each_slice(SLICE) do |some|
          @context.library.records_by_id(some).each(&block)
        end
      end

      def ids(found, limit: nil) = @context.library.ids(found.set, limit:)

      private

      def trees(inquiry_id)
        return Strategy::Lines.new({}) unless inquiry_id

        saved = @context.inquiries.find(inquiry_id)
        Surroundings.new(@context, saved).trail.lines(saved.inquiry)
      end
    end
  end
end
