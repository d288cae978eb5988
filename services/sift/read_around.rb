# frozen_string_literal: true

module Hobrin
  module Services
    # What stands around a paper: what it cites, what cites it, what is like it, each with where it
    # stands in the inquiry.
    class ReadAround
      # record :: Records::Record; standing :: Standing; likeness :: 0 to 1, or nil
      class Near < Value
        attributes :record, :standing, :likeness
      end

      # in_set :: whether the paper is among those to read; decision :: Screening::Decision or nil
      # kept_out :: the Strategy::Block or AppliedLimit that keeps it out, nil when none does
      class Standing < Value
        attributes :in_set, :decision, :kept_out
      end

      MOST = 25
      ALIKE = 8
      private_constant :MOST, :ALIKE

      # opened :: OpenInquiry
      def initialize(context, opened)
        @library = context.library
        @opened = opened
      end

      # How many it cites and how many cite it, in the library: [Integer, Integer].
      def counts(record) = @library.citations.counts(record)

      # Arrays of Near: { cites:, cited_by:, alike: }
      def call(record)
        alike = @library.alike(record, limit: ALIKE)
        { cites: near(records(cites(record))), cited_by: near(records(cited_by(record))),
          alike: near(alike.map(&:first), alike.map(&:last)) }
      end

      # Array of Near, for any records.
      def near(records, likeness = [])
        standings(records).zip(records, likeness).map do |standing, record, like|
          Near.new(record:, standing:, likeness: like)
        end
      end

      private

      def cites(record) = @library.citations.cited_by([record.id]).fetch(record.id)
      def cited_by(record) = @library.citations.citing([record.id]).fetch(record.id)

      def records(ids)
        @library.records_by_id(ids.first(MOST)).sort_by { |one| one.published.to_s }.reverse
      end

      def standings(records)
        numbers = @library.numbers(records.map(&:id))
        records.map do |record|
          number = numbers.fetch(record.id)
          Standing.new(in_set: @opened.cascade.final.include?(number), decision: @opened.inquiry.decision(record.id),
                       kept_out: @opened.cascade.kept_out_by(number))
        end
      end
    end
  end
end
