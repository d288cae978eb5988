# frozen_string_literal: true

module Hobrin
  module Services
    # What the Sift step shows: the ladder of the papers left to read, which to read first, the list
    # as the person looks at it, and the paper that is open.
    class ReadSift
      # records :: the first papers of the list, at most MOST; total :: how many it has
      # all :: how many papers there are in whatever part; open :: the Record being read, or nil
      # matched :: Retrieval::MatchedPlaces; refused :: what is wrong with the words to find, or nil
      class ReadingList < Value
        attributes :records, :total, :all, :open, :matched, :refused

        # The Record before or after the open one, or nil.
        def beside(step)
          place = records.index { |record| record.id == open&.id }
          records[place + step] if place && (place + step) >= 0
        end
      end

      # A part of the list under a heading: name :: a text, "" for a list that is not grouped
      class Group < Value
        attributes :name, :records
      end

      # rung :: Appraisal::Ladder::Rung; read, kept :: how many of its papers; newest :: their latest
      #   year, or nil
      class Step < Value
        attributes :rung, :read, :kept, :newest
      end

      MOST = 300
      # How many of a rung's newest papers are thought of for the three to read first.
      THOUGHT_OF = 8
      private_constant :THOUGHT_OF

      # opened :: OpenInquiry; view :: Sifting::ListView
      def initialize(context, opened, view: Sifting::ListView::EVERYTHING)
        @context = context
        @library = context.library
        @opened = opened
        @inquiry = opened.inquiry
        @view = view
      end

      # record_id :: the paper to open, or nil for the first unread one. Raises GoneError for an
      # unknown paper.
      def call(record_id: nil)
        records = listed
        open = record_id ? find(records, record_id) : first_unread(records)
        ReadingList.new(records:, total: list.size, all: set.size, open:, matched:, refused: @refused)
      end

      # The id of the first unread paper after one that was just decided, as the list was before; that
      # one again when all are read.
      def following(record_id)
        ids = listed.map(&:id)
        place = ids.index(record_id) || -1
        order = ids.rotate(place + 1) - [record_id]
        order.find { |other| @inquiry.decision(other).nil? } || record_id
      end

      # The records of the list in groups, as the person looks at them. Array of Group.
      def groups
        case @view.group
        when :none then [Group.new(name: "", records: listed)]
        when :year then grouped(listed) { |record| record.year.to_s }.sort_by(&:name).reverse
        when :rung then by_rung
        end
      end

      # The ids of the whole list, in no order.
      def ids = @library.ids(list)

      # What is learned from the decisions so far.
      def likeliest = @likeliest ||= Likeliest.new(@context, @opened)

      # Minutes for one paper at the pace of the last decisions, nil while there are too few. Pauses do
      # not count.
      def pace = Sifting::Pace.call(@context.inquiries.times_of(@opened.id, :paper_decided, last: Sifting::Pace::LAST))

      # How many of all papers have their full text free.
      def free = set.overlap(free_ones)

      # How many of all papers have which verdict: Hash of verdict, nil for those that are unread, to
      # a count.
      def tally
        counts = Sifting::Decision::VERDICTS.to_h do |verdict|
          decided = @inquiry.decisions.select { |one| one.verdict == verdict }.map(&:record_id)
          [verdict, set.overlap(@library.set(decided))]
        end
        { **counts, nil => set.size - counts.values.sum }
      end

      # The ladder from the top: Array of Step.
      def ladder
        read, kept = [@inquiry.decisions.map(&:record_id), @inquiry.kept_ids].map { |ids| @library.set(ids) }
        rungs.map do |rung|
          Step.new(rung:, read: rung.papers.overlap(read), kept: rung.papers.overlap(kept),
                   newest: @library.newest(rung.papers, limit: 1).first&.year)
        end
      end

      # Array of Appraisal::ReadFirst::Choice.
      def read_first
        Appraisal::ReadFirst.call(rungs) do |rung|
          newest = @library.newest_set(rung.papers, limit: THOUGHT_OF)
          near = closeness(newest)
          @library.numbered_all(newest.to_a).zip(newest.map { |number| near.fetch(number, 0.0) })
        end
      end

      private

      def set = @opened.cascade.final
      def evaluator = @context.evaluator
      def rungs = @rungs ||= Appraisal::Ladder.new(set, @inquiry.question.kind, evaluator.index).call

      # The papers of the list as a RecordSet.
      def list
        @list ||= [of_rung, of_part, found].compact.reduce(set) { |left, papers| left & papers }
      end

      # An unknown rung is as none.
      def of_rung = rungs.find { |rung| rung.key == @view.rung }&.papers

      def of_part
        case @view.part
        when :all then nil
        when :free then free_ones
        when :unread then set - @library.set(@inquiry.decisions.map(&:record_id))
        else @library.set(@inquiry.decisions.select { |one| one.verdict == @view.part }.map(&:record_id))
        end
      end

      def found
        evaluator.call(Strategy::TextTerm.read(@view.find)) unless @view.find.strip.empty?
      rescue InputError => e
        @refused = e.message
        nil
      end

      def listed
        @listed ||= case @view.order
                    when :newest then @library.newest(list, limit: MOST)
                    when :strongest then strongest
                    when :closest then closest
                    when :likeliest then likeliest_first
                    end
      end

      def strongest
        rungs.reduce([]) do |records, rung|
          break records if records.size >= MOST

          records + @library.newest(rung.papers & list, limit: MOST - records.size)
        end
      end

      # What has none of the words comes last, newest first.
      def closest
        numbers = closeness(list).keys.first(MOST)
        left = list - Records::RecordSet.of(numbers)
        @library.numbered_all(numbers) + @library.newest(left, limit: MOST - numbers.size)
      end

      # What is read comes last, newest first; all of it, as long as there is nothing to learn from.
      def likeliest_first
        return @library.newest(list, limit: MOST) unless likeliest.any?

        numbers = likeliest.call.keys.select { |number| list.include?(number) }.first(MOST)
        left = list - Records::RecordSet.of(numbers)
        @library.numbered_all(numbers) + @library.newest(left, limit: MOST - numbers.size)
      end

      def free_ones = evaluator.index.facet(:flag, [Records::Flags::FREE])

      def grouped(records, &) = records.group_by(&).map { |name, some| Group.new(name:, records: some) }

      def by_rung
        numbers = @library.numbers(listed.map(&:id))
        names = listed.to_h { |record| [record.id, rungs.find { |rung| rung.papers.include?(numbers[record.id]) }&.name.to_s] }
        order = rungs.map(&:name)
        grouped(listed) { |record| names[record.id] }.sort_by { |group| order.index(group.name) || order.size }
      end

      def closeness(papers)
        leaves = @inquiry.searched_blocks.flat_map { |block| block.in_use.map(&:leaf) }
        @library.closeness(papers, leaves.flat_map { |leaf| Sifting::SearchWords.of(leaf) })
      end

      def find(records, record_id)
        found = records.find { |record| record.id == record_id } || @library.record(record_id)
        found or raise GoneError, "paper"
      end

      def first_unread(records)
        records.find { |record| @inquiry.decision(record.id).nil? } || records.first
      end

      def matched
        Retrieval::MatchedPlaces.new(@inquiry.searched_blocks.to_h do |block|
          [block.key, block.in_use.map(&:leaf)]
        end)
      end
    end
  end
end
