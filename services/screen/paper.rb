# frozen_string_literal: true

module Hobrin
  module Services
    module Screen
      # What is known of one paper: what stands around it, and what its own text says.
      module Paper
        # What stands around a paper: what it cites, what cites it, what is like it, each with where it
        # stands in the inquiry.
        class Around
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
            @library.records_by_id(ids.first(MOST)).sort_by { |record| record.published.to_s }.reverse
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

        # What is to be known of one paper beside its abstract: whether it is what it says it is,
        # whether its numbers fit together, and what it has to do with other papers.
        class Closely < Service
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
            super
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
            [record, *reports_of(record)].max_by { |report| report.published.to_s }
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
  end
end
