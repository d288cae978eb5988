# frozen_string_literal: true

module Hobrin
  module Services
    module Screen
      # The papers left to read as a person looks at them: which part, in which order, under which
      # headings.
      class List
        # A part of the list under a heading: name :: a text, "" for a list that is not grouped
        class Group < Value
          attributes :name, :records
        end

        MOST = 300

        # What is wrong with the words to find, nil for nothing. Known once the list was asked for.
        attr_reader :refused

        # opened :: OpenInquiry; view :: Screening::ListView
        def initialize(context, opened, view)
          @context = context
          @library = context.library
          @opened = opened
          @inquiry = opened.inquiry
          @view = view
        end

        # All papers left to read, in whatever part, as a RecordSet.
        def set = @set ||= @opened.cascade.final - @library.set(@opened.left_out)

        # Array of Appraisal::Ladder::Rung.
        def rungs
          @rungs ||= Appraisal::Ladder.new(set, @inquiry.question.kind, evaluator.index, doubles:).call
        end

        # The papers of the list as a RecordSet.
        def papers
          @papers ||= [of_rung, of_part, found].compact.reduce(set) { |left, some| left & some }
        end

        # The first of them as Records, at most MOST, in their order.
        def records
          @records ||= case @view.order
                       when :newest then newest(papers)
                       when :strongest then strongest
                       when :closest then first_by(closeness(papers).keys)
                       when :likeliest then likeliest_first
                       end
        end

        # The same in groups. Array of Group.
        def groups
          case @view.group
          when :none then [Group.new(name: "", records:)]
          when :year then grouped { |record| record.year.to_s }.sort_by(&:name).reverse
          when :rung then by_rung
          when :source then by_source
          end
        end

        # What is learned from the decisions so far.
        def likeliest = @likeliest ||= Likeliest.new(@context, @opened)

        # Those with free full text, of the whole library.
        def free = evaluator.index.facet(:flag, [Records::Flags::FREE])

        # How close papers are to the search's own words; see Store::Library::Nearness::Closeness.
        def closeness(papers)
          leaves = @inquiry.searched_blocks.flat_map { |block| block.in_use.map(&:leaf) }
          @library.closeness(papers, leaves.flat_map { |leaf| Screening::Likeness::SearchWords.of(leaf) })
        end

        private

        def evaluator = @context.evaluator

        # Those whose first record is here too.
        def doubles
          within = @library.duplicates.within(set).select { |_, first| set.include?(first) }
          Records::RecordSet.of(within.keys)
        end

        # An unknown rung is as none.
        def of_rung = rungs.find { |rung| rung.key == @view.rung }&.papers

        def of_part
          case @view.part
          when :all then nil
          when :free then free
          when :unread then set - decided(Screening::Decision::VERDICTS)
          else decided([@view.part])
          end
        end

        def decided(verdicts)
          decisions = @inquiry.decisions.select { |decision| verdicts.include?(decision.verdict) }
          @library.set(decisions.map(&:record_id))
        end

        def found
          evaluator.call(Strategy::TextTerm.read(@view.find)) unless @view.find.strip.empty?
        rescue InputError => e
          @refused = e.message
          nil
        end

        def newest(papers, limit: MOST) = @library.newest(papers, limit:)

        def strongest
          rungs.reduce([]) do |records, rung|
            break records if records.size >= MOST

            records + newest(rung.papers & papers, limit: MOST - records.size)
          end
        end

        # Those with these numbers first; the rest comes last, newest first.
        def first_by(numbers)
          first = numbers.first(MOST)
          left = papers - Records::RecordSet.of(first)
          @library.numbered_all(first) + newest(left, limit: MOST - first.size)
        end

        # What is read comes last; all of it, as long as there is nothing to learn from.
        def likeliest_first
          return newest(papers) unless likeliest.any?

          first_by(likeliest.call.keys.select { |number| papers.include?(number) })
        end

        def grouped(&)
          records.group_by(&).map { |name, some| Group.new(name:, records: some) }
        end

        # The one that brought the most first.
        def by_source
          numbers = @library.numbers(records.map(&:id))
          origins = @library.origins.of(numbers.values)
          grouped { |record| origins[numbers[record.id]] }.sort_by { |group| [-group.records.size, group.name] }
        end

        def by_rung
          numbers = @library.numbers(records.map(&:id))
          places = records.to_h do |record|
            [record.id, rungs.index { |rung| rung.papers.include?(numbers[record.id]) } || rungs.size]
          end
          groups = records.group_by { |record| places[record.id] }.sort.to_h
          groups.map { |place, some| Group.new(name: rungs[place]&.name.to_s, records: some) }
        end

        # What Hobrin learns from the decisions so far about the papers that are unread.
        class Likeliest
          # opened :: OpenInquiry
          def initialize(context, opened)
            @context = context
            @inquiry = opened.inquiry
            @set = opened.cascade.final
          end

          # Whether there is anything to learn from: a paper kept and a paper dropped.
          def any? = verdicts.include?(:keep) && verdicts.include?(:drop)

          # Hash of the number of each unread paper to how likely it is to be kept, the likeliest first:
          # an order, and no more than that; what is to be counted with is calibrated.
          def call
            @call ||= unread.to_h { |number| [number, keeping.call(traits.fetch(number))] }
                            .sort_by { |_, likely| -likely }.to_h
          end

          # What speaks for a record and against: Array of [trait, share], the strongest first; see
          # Screening::Prediction. Of single words only those that name a thing: others tell a person nothing.
          def reasons(record)
            number = @context.library.number(record.id)
            found = keeping.reasons(@context.traits([number]).fetch(number))
            found.select { |trait, _| trait.name.include?(" ") || @context.thesaurus.word?(trait.name) }
          end

          # Gives a Screening::StoppingEstimate.
          def stopping
            @stopping ||= begin
              calibration = Screening::Calibration.of(examples)
              Screening::StoppingEstimate.new(call.values.map { |likely| calibration.call(likely) })
            end
          end

          private

          def verdicts = @verdicts ||= @inquiry.decisions.map(&:verdict)

          def unread
            @unread ||= (@set - @context.library.set(@inquiry.decisions.map(&:record_id))).to_a
          end

          def traits = @traits ||= @context.traits(unread)

          def keeping = @keeping ||= Screening::Prediction.new(examples)

          # Papers of which the person was unsure teach nothing.
          def examples
            @examples ||= begin
              decided = @inquiry.decisions.reject { |decision| decision.verdict == :unsure }
              numbers = decided.to_h { |decision| [decision.record_id, decision.verdict == :keep] }
              by_id = @context.library.numbers(numbers.keys)
              known = @context.traits(by_id.values)
              numbers.filter_map { |id, kept| by_id[id] && [known.fetch(by_id[id]), kept] }
            end
          end
        end
      end
    end
  end
end
