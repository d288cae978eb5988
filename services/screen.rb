# frozen_string_literal: true

module Hobrin
  module Services
    # What the Screen step reads.
    module Screen
      # What the Sift step shows: the ladder of the papers left to read, which to read first, the list
      # as the person looks at it, and the paper that is open.
      class Read
        # records :: the first papers of the list, at most SiftList::MOST; total :: how many it has
        # all :: how many papers there are in whatever part; open :: the Record being read, or nil
        # matched :: Retrieval::Reasons::MatchedPlaces; refused :: what is wrong with the words to find, or nil
        class ReadingList < Value
          attributes :records, :total, :all, :open, :matched, :refused

          # The Record before or after the open one, or nil.
          def beside(step)
            place = records.index { |record| record.id == open&.id }
            records[place + step] if place && (place + step) >= 0
          end
        end

        # rung :: Appraisal::Ladder::Rung; read, kept :: how many of its papers; newest :: their
        #   latest year, or nil
        class Step < Value
          attributes :rung, :read, :kept, :newest
        end

        # How many of a rung's newest papers are thought of for the three to read first.
        THOUGHT_OF = 8
        private_constant :THOUGHT_OF

        # opened :: OpenInquiry; view :: Screening::ListView
        def initialize(context, opened, view: Screening::ListView::EVERYTHING)
          @context = context
          @library = context.library
          @opened = opened
          @inquiry = opened.inquiry
          @list = List.new(context, opened, view)
        end

        # record_id :: the paper to open, or nil for the first unread one. Raises GoneError for an
        # unknown paper.
        def call(record_id: nil)
          records = @list.records
          open = record_id ? find(records, record_id) : first_unread(records)
          ReadingList.new(records:, total: @list.papers.size, all: set.size, open:,
                          matched:, refused: @list.refused)
        end

        # How many papers stay with this inquiry, since the library lacks them.
        def own_papers = @context.own_records.of(@opened.id).size

        # The id of the first unread paper after one that was just decided, as the list was before;
        # that one again when all are read.
        def following(record_id)
          ids = @list.records.map(&:id)
          place = ids.index(record_id) || -1
          order = ids.rotate(place + 1) - [record_id]
          order.find { |other| @inquiry.decision(other).nil? } || record_id
        end

        # The records of the list in groups, as the person looks at them. Array of SiftList::Group.
        def groups = @list.groups

        # The ids of the whole list, in no order.
        def ids = @library.ids(@list.papers)

        # What is learned from the decisions so far.
        def likeliest = @list.likeliest

        # Minutes for one paper at the pace of the last decisions, nil while there are too few. Pauses
        # do not count.
        def pace
          Screening::StoppingEstimate::Pace.call(@context.inquiries.times_of(@opened.id, :paper_decided, last: Screening::StoppingEstimate::Pace::LAST))
        end

        # How many of all papers have their full text free.
        def free = set.overlap(@list.free)

        # How many of all papers have which verdict: Hash of verdict, nil for those that are unread,
        # to a count.
        def tally
          counts = Screening::Decision::VERDICTS.to_h do |verdict|
            decided = @inquiry.decisions.select { |decision| decision.verdict == verdict }.map(&:record_id)
            [verdict, set.overlap(@library.set(decided))]
          end
          { **counts, nil => set.size - counts.values.sum }
        end

        # The ladder from the top: Array of Step.
        def ladder
          read, kept = [@inquiry.decisions.map(&:record_id), @inquiry.kept_ids].map do |ids|
            @library.set(ids)
          end
          rungs.map do |rung|
            Step.new(rung:, read: rung.papers.overlap(read), kept: rung.papers.overlap(kept),
                     newest: @library.newest(rung.papers, limit: 1).first&.year)
          end
        end

        # Array of Appraisal::Ladder::ReadFirst::Choice. A newer report of the same people stands for an older.
        def read_first
          choices = Appraisal::Ladder::ReadFirst.call(rungs) do |rung|
            newest = @library.newest_set(rung.papers, limit: THOUGHT_OF)
            near = @list.closeness(newest)
            @library.numbered_all(newest.to_a).zip(newest.map { |number| near.fetch(number, 0.0) })
          end
          choices.map { |choice| choice.with(record: closely.newest_report(choice.record)) }.uniq { |choice| choice.record.id }
        end

        private

        def set = @list.set
        def closely = @closely ||= Paper::Closely.new(@context)
        def rungs = @list.rungs

        def find(records, record_id)
          found = records.find { |record| record.id == record_id } || @library.record(record_id)
          found or raise GoneError, "paper"
        end

        def first_unread(records)
          records.find { |record| @inquiry.decision(record.id).nil? } || records.first
        end

        def matched
          Retrieval::Reasons::MatchedPlaces.new(@inquiry.searched_blocks.to_h { |block| [block.key, block.in_use.map(&:leaf)] })
        end
      end

      # The papers of the list, or of a part of it, as a file in an open format.
      class ExportList
        def initialize(context, opened, view:)
          @context = context
          @opened = opened
          @view = view
        end

        # extension :: as for ExportEvidence. Gives a Download. Raises GoneError.
        def call(extension)
          format = Act::ExportEvidence::FORMATS.fetch(extension) { raise GoneError, "format" }
          records = @context.library.records_by_id(Read.new(@context, @opened, view: @view).ids)
          Download.new(name: "hobrin-#{@opened.id}-papers.#{extension}", type: format::TYPE,
                       body: format::Writer.call(records, sample: @context.snapshot.sample?))
        end
      end
    end
  end
end
