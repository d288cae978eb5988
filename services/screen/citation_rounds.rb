# frozen_string_literal: true

module Hobrin
  module Services
    module Screen
      # The rounds in which citations were followed, with what they found, and what the next one would
      # go from.
      class CitationRounds
        # number :: from 1; from :: how many papers were followed; found :: Array of Tied, the most
        #   tied first
        class Round < Value
          attributes :number, :from, :found
        end

        # near :: ReadAround::Near; by :: Array of Records that it hangs on
        class Tied < Value
          attributes :near, :by
        end

        # A mark of the picture: record :: Record; kind :: :kept, :set, :found or :in (let in)
        class Mark < Value
          attributes :record, :kind
        end

        SHOWN = 60
        # More kept papers than these are not drawn: nobody could tell them apart.
        MOST_DRAWN = 300
        private_constant :SHOWN, :MOST_DRAWN

        def initialize(context, opened)
          @context = context
          @library = context.library
          @opened = opened
          @inquiry = opened.inquiry
          @around = Paper::Around.new(context, opened)
        end

        # Array of Round, the last first.
        def rounds
          @rounds ||= @inquiry.rounds.each_with_index.map { |round, place| read(round, place + 1) }.reverse
        end

        # How many papers the next round goes from.
        def next_from = Screening::CitationSearch.next_from(@inquiry)

        # What the picture shows: the kept papers and those found, and the lines between them as pairs
        # of ids [citing, cited].
        def picture
          kept = @library.records_by_id(drawn_ids)
          found = rounds.flat_map { |round| round.found.map { |tied| tied.near.record } }
          records = (kept + found).uniq(&:id)
          ids = records.to_h { |record| [record.id, true] }
          lines = records.flat_map do |record|
            record.cites.select { |cited| ids.key?(cited) }.map { |cited| [record.id, cited] }
          end
          [records.map { |record| Mark.new(record:, kind: kind(record)) }, lines]
        end

        # The rungs that some records stand on, from the top: Hash of name to the ids there.
        def rungs(records)
          numbers = @library.numbers(records.map(&:id))
          set = Records::RecordSet.of(numbers.values)
          Appraisal::Ladder.new(set, @inquiry.question.kind,
                                @context.evaluator.index).call.to_h do |rung|
            [rung.name, numbers.select { |_, number| rung.papers.include?(number) }.keys]
          end
        end

        private

        # The kept papers that the rounds went from come first.
        def drawn_ids
          kept = @inquiry.kept_ids
          return kept if kept.size <= MOST_DRAWN

          ((@inquiry.rounds.flat_map(&:from_ids) & kept) | kept).first(MOST_DRAWN)
        end

        def kind(record)
          @kept ||= @inquiry.kept_ids.to_h { |id| [id, true] }
          return :kept if @kept.key?(record.id)

          @inquiry.included_ids.include?(record.id) ? :in : :found
        end

        def read(round, number)
          neighbours = @library.citations.neighbours(round.from_ids)
          by = Screening::CitationSearch.of(round.from_ids, neighbours, known: []).to_h { |tied| [tied.record_id, tied.by] }
          records = @library.records_by_id(round.found_ids.first(SHOWN))
          sources = @library.records_by_id(round.from_ids).to_h { |record| [record.id, record] }
          found = @around.near(records).map do |near|
            Tied.new(near:, by: by.fetch(near.record.id, []).filter_map { |id| sources[id] })
          end
          Round.new(number:, from: round.from_ids.size, found:)
        end
      end
    end
  end
end
