# frozen_string_literal: true

require "tmpdir"

module Hobrin
  module Tools
    module Benchmarks
      # Makes a library of so many made-up records in a folder of its own and measures the engine
      # over it; the plain way does the same work in the same run.
      class Run
        # size :: records; lines :: Array of Line; import, plain_import :: records a second;
        #   memory_mb :: of a serving process at its most
        class Table < Value
          attributes :size, :lines, :import, :plain_import, :memory_mb, :file_mb

          # All the way down, for JSON.
          def figures = to_h.merge(lines: lines.map(&:to_h))
        end

        # work :: what; ms :: the engine's milliseconds; plain_ms :: the plain way's, or nil;
        # note :: of what it is made; xapian_ms :: Xapian's, or nil
        class Line < Value
          attributes :work, :ms, :plain_ms, :note, :xapian_ms

          def initialize(xapian_ms: nil, **rest)
            super
          end

          def ratio = plain_ms && (plain_ms / ms)
          def xapian_ratio = xapian_ms && (xapian_ms / ms)
        end

        WHAT_IFS = 150
        # So many statements of each kind are done the plain way, and the time multiplied: all of
        # them would take half an hour.
        PLAIN_NUMBERS = 15
        PLAIN_WHAT_IFS = 2
        PLAIN_PREVIEWS = 3
        XAPIAN_WHAT_IFS = 10
        MUST_FIND = 6
        # Those that the plain way knows, too.
        LIMITS = [*Strategy::Limit::NAMES, :dates].freeze
        private_constant :WHAT_IFS, :PLAIN_NUMBERS, :PLAIN_WHAT_IFS, :PLAIN_PREVIEWS, :XAPIAN_WHAT_IFS, :MUST_FIND,
                         :LIMITS

        def initialize(size, err:)
          @size = size
          @err = err
        end

        # Gives a Table.
        def call
          Dir.mktmpdir("hobrin-bench") do |folder|
            @home = Pathname(folder)
            @context = Boot.context(home: @home)
            @xapian = XapianCounts.in(@home, Thesaurus.new(Demo::SampleThesaurus.headings))
            import, plain_import = Making.new(@context, @size, home: @home, err: @err,
                                                               beside: @xapian).call
            @xapian&.ready
            agree!
            @plain = Store::Library::PlainCounts.new(Store::Database.open(@home.join("library.sqlite3"), kind: :library),
                                                     @context.library.thesaurus)
            Table.new(size: @size, lines:, import:, plain_import:, memory_mb: serving(:memory),
                      file_mb: (@home.join("library.sqlite3").size / 1_048_576.0).round)
          end
        end

        private

        def lines
          [cold_word_step, word_step, what_ifs, previews, *Screening.new(@context).call,
           *Appraising.call,
           Line.new(work: "start to first page", ms: serving(:first_page), plain_ms: nil, note: "library built")]
        end

        def evaluator = @context.evaluator

        def cold_word_step
          evaluator
          ms = Work::Timing.median { evaluator.forget.then { word_figures(Work.blocks) } }
          trees = Work.trees(Work.blocks)
          @plain_word_ms = sampled(trees, PLAIN_NUMBERS) { |tree| @plain.call(masked(tree)) }
          @xapian_word_ms = by_xapian(trees)
          terms = Work.blocks.sum { |block| block.terms.size }
          Line.new(work: "Word step, cold", ms:, plain_ms: @plain_word_ms, xapian_ms: @xapian_word_ms,
                   note: "#{trees.size} numbers, #{terms} terms")
        end

        def word_step
          word_figures(Work.blocks)
          turn = 0
          ms = Work::Timing.median { word_figures(Work.changed(Work.blocks, turn += 1)) }
          Line.new(work: "Word step after one changed term", ms:, plain_ms: @plain_word_ms, xapian_ms: @xapian_word_ms,
                   note: "leaves warm, what did not change kept; the plain way counts each number")
        end

        def word_figures(blocks)
          blocks.each { |block| Retrieval::BlockFigures.of(block, evaluator) }
          blocks.combination(2).each { |pair| evaluator.count(Strategy.join(pair)) }
          evaluator.count(Strategy.join(blocks))
        end

        def what_ifs
          state = Narrowing::State.new(blocks: Work.blocks, limits: Work.limits)
          moves = Narrowing::Moves.new(state, thesaurus: @context.library.thesaurus,
                                              today: @context.clock.today).call.first(WHAT_IFS)
          must_find = Records::RecordSet.of(evaluator.call(state.tree).first(MUST_FIND))
          run = -> { Narrowing::WhatIfs.new(state, evaluator:, must_find:).call(moves, aim: Narrowing::Target.new) }
          run.call
          plain_ms = sampled(moves, PLAIN_WHAT_IFS) do |move|
            of_move(state, move).each do |tree|
              @plain.call(masked(tree))
            end
          end
          Line.new(work: "#{moves.size} what-ifs", ms: Work::Timing.median(&run), plain_ms:,
                   xapian_ms: @xapian && sampled(moves, XAPIAN_WHAT_IFS) { |move| by_xapian(of_move(state, move)) },
                   note: "papers, in, out, must-find")
        end

        # What one what-if asks: how many are left, how many come, how many go.
        def of_move(state, move)
          before, after = state.tree, move.state.tree
          [after, without(after, before), without(before, after)]
        end

        # Milliseconds of all by doing some, drawn by chance: work of one kind may stand at every
        # other place.
        def sampled(all, count, &block)
          some = all.sample(count, random: Random.new(count))
          Work::Timing.once { some.each(&block) } * all.size / some.size
        end

        def by_xapian(trees)
          @xapian && Work::Timing.once { trees.each { |tree| @xapian.call(masked(tree)) } }
        end

        # What is measured must be the same work. Raises StateError when Xapian counts otherwise.
        def agree!
          return unless @xapian

          tree = [*Work.trees(Work.blocks),
                  Narrowing::State.new(blocks: Work.blocks, limits: Work.limits).tree].find do |one|
            @xapian.call(masked(one)) != evaluator.count(one)
          end
          raise StateError, "Xapian counts otherwise: #{Strategy::Cql.write(tree)}" if tree
        end

        def previews
          limits = Work.limits
          cascade = Narrowing::Cascade.of(blocks: Work.blocks, limits:, evaluator:)
          run = -> { Narrowing::Previews.new(cascade:, limits:, evaluator:, today: @context.clock.today).call(LIMITS).values.flatten }
          values = run.call
          trees = values.map { |preview| with(limits, preview.leaf) }
          plain_ms = sampled(trees, PLAIN_PREVIEWS) { |tree| @plain.call(masked(tree)) }
          Line.new(work: "previews of all unused limits", ms: Work::Timing.median(&run), plain_ms:,
                   xapian_ms: by_xapian(trees), note: "#{values.size} values")
        end

        def with(limits, leaf)
          others = limits.map(&:leaf).reject { |limit| limit.name == leaf.name }
          Strategy::AllOf.of([*Work.blocks.map(&:tree), *others, leaf])
        end

        def without(kept, excluded) = Strategy::Except.new(kept:, excluded:)

        def masked(tree) = Spelled.new.call(tree)

        # The plain way knows no masks within a word; it gets the two spellings.
        class Spelled < Strategy::TreeWalker
          private

          def leaf(leaf)
            return leaf unless leaf.is_a?(Strategy::TextTerm) && leaf.text == "randomi?ed"

            Strategy::AnyOf.of(%w[randomised randomized].map { |text| leaf.with(text:) })
          end
        end
        private_constant :Spelled

        # In a process of its own, as it would serve: milliseconds to the first page, or the most
        # megabytes it took.
        def serving(what)
          out = IO.popen(
            [RbConfig.ruby, File.expand_path("serving.rb", __dir__), what.to_s, @home.to_s], &:read
          )
          Float(out)
        end
      end
    end
  end
end
