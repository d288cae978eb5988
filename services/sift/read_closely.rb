# frozen_string_literal: true

module Hobrin
  module Services
    # What is to be known of one paper beside its abstract: whether it is what it says it is,
    # whether its numbers fit together, and what it has to do with other papers.
    class ReadClosely
      # passage :: CloseReading::Passage of the abstract; label :: Appraisal::Design of its labels,
      #   or nil; made_as :: CloseReading::MadeAs::Answer; disagreements :: of CloseReading::Numbers
      # worked_out :: whether there was a number to work out anew; double_of :: the Record that came
      #   first when this is the same paper once more, or nil; reports :: Records of other reports
      #   of the same study; full :: whether a full text was read too
      class Paper < Value
        attributes :passage, :label, :made_as, :disagreements, :worked_out, :double_of, :reports,
                   :full
      end

      def initialize(context)
        @context = context
        @library = context.library
      end

      # record :: Records::Record. Gives a Paper.
      def call(record)
        passage = CloseReading::Passage.new(record.abstract)
        full = @context.papers.text(record.id)
        read = full ? CloseReading::Passage.new(full) : passage
        label = Appraisal::Design.proposed(record)
        Paper.new(passage:, label:, made_as: made_as(passage, read, label), full: !full.nil?,
                  disagreements: CloseReading::Numbers.call(passage), worked_out: worked_out?(passage),
                  double_of: double_of(record), reports: reports(record, passage))
      end

      # The latest report of the people that a record reports on: the record itself as long as there
      # is no later one.
      def newest_report(record)
        [record, *reports_of(record)].max_by { |one| one.published.to_s }
      end

      # Records of other reports of the people that one reports on.
      def reports_of(record) = reports(record, CloseReading::Passage.new(record.abstract))

      private

      # The abstract first: a full text tells of other people's work too.
      def made_as(passage, full, label)
        [passage, full].uniq.map { |text| CloseReading::MadeAs.new(text, label&.key).call }
                       .then do |answers|
          answers.find { |answer| answer.verdict != :untold } || answers.first
        end
      end

      def worked_out?(passage)
        passage.sentences.any? do |sentence|
          CloseReading::Share.all_in(sentence).any?(&:percent) || CloseReading::Estimate.all_in(sentence).any?(&:interval?)
        end
      end

      def double_of(record)
        number = @library.number(record.id) or return
        first = @library.duplicates.within(Records::RecordSet.of([number]))[number]
        first && @library.numbered(first)
      end

      # Second reports cite the first, so only those that are tied to it are looked at.
      def reports(record, passage)
        counts = CloseReading::SameStudy.counts(passage).map { |part, whole| "#{part} of #{whole}" }
        return [] if counts.size < CloseReading::SameStudy::ENOUGH

        @library.records_by_id(@library.citations.tied_with(record, counts)).select do |other|
          other.types.intersect?(record.types) && other.abstract &&
            CloseReading::SameStudy.call(passage, CloseReading::Passage.new(other.abstract))
        end
      end
    end
  end
end
