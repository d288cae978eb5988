# frozen_string_literal: true

module Hobrin
  module Tools
    module Learning
      # How well the likeliest-first order finds what a person would keep, tried on the sample's
      # inquiries: a wide set around each question is read to its end by a reader who keeps what the
      # search finds in all its blocks and what is made as the question needs it. Both are ours,
      # sample and reader.
      class Screening
        # kind :: of the question; records :: Array of Record; keep :: Hash of id to whether it is
        #   kept
        class Pile < Value
          attributes :kind, :records, :keep

          def keepers = keep.each_value.count(true)
        end

        # How many papers were read in each order until GOAL of the keepers were found.
        # estimates :: Array of Estimate; chances :: Array of [likelihood, whether it is kept]
        class Run < Value
          attributes :kind, :papers, :keepers, :seed, :likeliest, :newest, :chance, :estimates,
                     :chances

          def share = likeliest.fdiv(newest)
        end

        # What "may I stop?" said at one time, and how many were left.
        class Estimate < Value
          attributes :read, :expected, :low, :high, :left

          def holds? = left.between?(low, high)
        end

        GOAL = 0.95
        # After how much of the pile the estimate is looked at.
        LOOKS = [0.35, 0.5, 0.7].freeze
        # Once the goal is reached, only the estimates matter: learning anew after each paper is not
        # needed.
        RARELY = 8
        STRONG = 2
        private_constant :RARELY, :STRONG

        class << self
          # The piles of the sample's inquiries. context :: Services::Context of a home with the
          # sample
          def piles(context, ids: 1..5)
            ids.map { |id| pile(context, Services::Inquiries::Read.new(context).call(id)) }
          end

          private

          # What any two blocks of the search find together; of a search of two, what the first one
          # does.
          def pile(context, opened)
            blocks = opened.inquiry.searched_blocks.map { |block| context.evaluator.call(block.tree) }
            wide = blocks.size > 2 ? blocks.combination(2).map { |one, two| one & two }.reduce(:|) : blocks.first
            kind = opened.question.kind
            numbers = wide.to_a
            records = context.library.numbered_all(numbers)
            keep = records.zip(numbers).to_h do |record, number|
              [record.id, opened.cascade.joined.include?(number) && fit?(record, kind)]
            end
            Pile.new(kind:, records:, keep:)
          end

          def fit?(record, kind)
            design = Appraisal::Design.proposed(record)&.key
            return false if record.retracted? || design.nil?
            return %w[qualitative systematic_review].include?(design) if kind == "experience"

            %w[systematic_review
               guideline].include?(design) || Appraisal::Level.by_design(kind).to_h.fetch(design,
                                                                                          9) <= STRONG
          end
        end

        # pile :: Pile; likeness :: Screening::Likeness of the library
        def initialize(pile, likeness)
          @pile = pile
          @traits = pile.records.to_h { |record| [record.id, Hobrin::Screening::Likeness::Traits.of(record, likeness)] }
          @goal = (GOAL * pile.keepers).ceil
        end

        # Gives a Run. seed :: of the order in which the reader begins
        def call(seed)
          shuffled = @pile.records.map(&:id).shuffle(random: Random.new(seed))
          newest = @pile.records.sort_by { |record| [record.published.to_s, record.id] }.reverse.map(&:id)
          read, estimates, chances = reading(shuffled)
          Run.new(kind: @pile.kind, papers: @pile.records.size, keepers: @pile.keepers, seed:,
                  likeliest: until_goal(read), newest: until_goal(newest), chance: until_goal(shuffled),
                  estimates:, chances:)
        end

        private

        def until_goal(ids)
          found = 0
          ids.index { |id| (found += 1 if @pile.keep[id]) && found == @goal } + 1
        end

        # The papers in the order in which they are read, with what was said on the way.
        def reading(left)
          read, estimates, chances = [], [], []
          looks = LOOKS.map { |share| (share * left.size).round }
          model = nil
          until left.empty?
            model = learned(read) if model.nil? || found(read) < @goal || (read.size % RARELY).zero? || looks.include?(read.size)
            following = model ? left.max_by { |id| model.call(@traits[id]) } : left.first
            look(model, left, read, estimates, chances) if model && looks.include?(read.size)
            left -= [following]
            read << following
          end
          [read, estimates, chances]
        end

        def found(read) = read.count { |id| @pile.keep[id] }

        def decided(read) = read.map { |id| [@traits[id], @pile.keep[id]] }

        def learned(read)
          decided = decided(read)
          Hobrin::Screening::Prediction.new(decided) if decided.any?(&:last) && !decided.all?(&:last)
        end

        def look(model, left, read, estimates, chances)
          calibration = Hobrin::Screening::Calibration.of(decided(read))
          likely = left.map { |id| calibration.call(model.call(@traits[id])) }
          stopping = Hobrin::Screening::StoppingEstimate.new(likely)
          estimates << Estimate.new(read: read.size, expected: stopping.expected, low: stopping.low, high: stopping.high,
                                    left: left.count { |id| @pile.keep[id] })
          chances.concat(likely.zip(left.map { |id| @pile.keep[id] }))
        end

        # The parts of docs/sifting.md that are made anew: what Screening found, as tables.
        class Page
          BINS = 5
          private_constant :BINS

          # runs :: Array of Screening::Run
          def initialize(runs)
            @runs = runs
          end

          # text :: the page as it was. Gives it with its made parts as they are now.
          def call(text) = Examples::MadeParts.put(text, { "reading" => reading, "stopping" => stopping })

          # The middle of the shares of newest-first that likeliest-first needs.
          def middle = @runs.map(&:share).sort[@runs.size / 2]

          private

          def reading
            rows = @runs.group_by(&:kind).map do |kind, runs|
              one = runs.first
              cells = [kind, one.papers, one.keepers, *%i[likeliest newest chance].map { |way| range(runs.map(&way)) },
                       range(runs.map { |run| (100 * run.share).round }, " %")]
              "| #{cells.join(" | ")} |"
            end
            ["| question | papers | keepers | likeliest first | newest first | chance | of newest first |",
             "| --- | ---: | ---: | ---: | ---: | ---: | ---: |", *rows, "",
             "The middle of all runs: #{(100 * middle).round} % of what newest first needs."].join("\n")
          end

          def stopping
            [estimates, "", "Brier score #{brier.round(3)}; of a guess of their share for all, #{base.round(3)}.", "",
             "| said to be kept with | papers | said | were |", "| --- | ---: | ---: | ---: |", *bins].join("\n")
          end

          def estimates
            rows = Screening::LOOKS.each_with_index.map do |share, place|
              some = @runs.filter_map { |run| run.estimates.find { |one| one.read == (run.papers * share).round } }
              said = some.sum(&:expected) / some.size
              left = some.sum(&:left).fdiv(some.size)
              held = some.count { |one| one.left <= one.high }
              "| #{(100 * share).round} % | #{said.round(1)} | #{left.round(1)} | #{held} of #{some.size} |" if place
            end
            ["| read | expected, on average | left, on average | not more than said |",
             "| ---: | ---: | ---: | ---: |", *rows].join("\n")
          end

          def chances = @chances ||= @runs.flat_map(&:chances)
          def brier = chances.sum { |likely, kept| (likely - (kept ? 1 : 0))**2 } / chances.size
          def base = chances.count(&:last).fdiv(chances.size).then { |share| share * (1 - share) }

          def bins
            chances.group_by { |likely, _| [(likely * BINS).floor, BINS - 1].min }.sort.map do |bin, some|
              said = some.sum(&:first) / some.size
              were = some.count(&:last).fdiv(some.size)
              from, to = [bin, bin + 1].map { |edge| 100 * edge / BINS }
              "| #{from} to #{to} % | #{some.size} | #{(100 * said).round} % | #{(100 * were).round} % |"
            end
          end

          def range(numbers, unit = "")
            low, high = numbers.minmax
            low == high ? "#{low}#{unit}" : "#{low} to #{high}#{unit}"
          end
        end
      end
    end
  end
end
