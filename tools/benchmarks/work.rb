# frozen_string_literal: true

module Hobrin
  module Tools
    module Benchmarks
      # The search that is measured: 3 blocks with 40 terms, and 6 limits. Broad, so that sets are
      # large.
      module Work
        BLOCKS = {
          "P" => { headings: ["Older People", "Inpatients", "Hospital Units", "Adults", "Nursing Homes",
                              "Surgical Patients"],
                   words: ["older people", "inpatient*", "ward*", "hospital*", "patients", "elderly", "nursing home*",
                           "surg*"] },
          "I" => { headings: ["Nursing Care", "Non-Drug Care", "Organisation of Care", "Devices and Supplies",
                              "Learning and Teaching"],
                   words: ["nurse*", "bedside", "randomi?ed", "care", "telephone*", "exercise",
                           "music", "alarm*"] },
          "O" => { headings: ["Complications", "Mental Conditions", "Pain", "Sleep", "Readmission"],
                   words: ["deliri*", "fell", "falls", "infection*", "pain", "anxi*", "sleep*",
                           "injur*"] }
        }.freeze
        LIMITS = { species: ["humans"], age: Records::AgeGroups::ADULTS, flag: ["peer reviewed"], language: %w[eng fra],
                   type: ["systematic review", "randomized controlled trial", "controlled trial",
                          "cohort study"] }.freeze
        private_constant :BLOCKS, :LIMITS

        class << self
          def blocks
            id = 0
            BLOCKS.map do |key, names|
              leaves = names[:headings].map { |label| Strategy::Heading.new(label:) } +
                       names[:words].map { |text| Strategy::TextTerm.new(text:) }
              terms = leaves.map { |leaf| Strategy::Block::Term.new(id: id += 1, leaf:) }
              Strategy::Block.new(key:, terms:)
            end
          end

          def limits
            leaves = LIMITS.map { |name, values| Strategy::Limit.new(name:, values:) }
            [*leaves, Strategy::Dates.years(from_year: 2010, to_year: 2026)].map { |leaf| Narrowing::AppliedLimit.new(leaf:) }
          end

          # The blocks with one term changed, which is what a person waits for.
          def changed(blocks, turn)
            first, *rest = blocks
            term = first.terms[turn % first.terms.size]
            [first.replace(term.id) { term.with(crossed_out: "for now") }, *rest]
          end

          # Every number of the Word step as a tree of its own: what a count for each would ask.
          def trees(blocks)
            blocks.flat_map { |block| [*of_terms(block), block.tree, *by_words(block)] } +
              blocks.combination(2).map { |pair| Strategy.join(pair) } + [Strategy.join(blocks)]
          end

          private

          def of_terms(block)
            block.in_use.flat_map do |term|
              others = (block.in_use - [term]).map(&:leaf)
              [term.leaf, Strategy::Except.new(kept: term.leaf, excluded: Strategy::AnyOf.of(others))]
            end
          end

          def by_words(block)
            headings, words = block.in_use.partition(&:heading?).map { |terms| Strategy::AnyOf.of(terms.map(&:leaf)) }
            [Strategy::Except.new(kept: words, excluded: headings)]
          end
        end

        # How long work takes.
        module Timing
          REPEATS = 7
          private_constant :REPEATS

          class << self
            # Milliseconds of one run of the block.
            def once
              from = Process.clock_gettime(Process::CLOCK_MONOTONIC)
              yield
              (Process.clock_gettime(Process::CLOCK_MONOTONIC) - from) * 1000
            end

            # The median of several runs, in milliseconds.
            def median(&) = Statistics.median(Array.new(REPEATS) { once(&) })
          end
        end
      end
    end
  end
end
