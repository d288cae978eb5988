# frozen_string_literal: true

module Hobrin
  module Tools
    module Benchmarks
      # What Weigh computes, beside the plain way: each pooled value worked out from its papers
      # anew.
      module Appraising
        PAPERS = 200
        TESTS = 20
        SEED = 16
        private_constant :PAPERS, :TESTS, :SEED

        class << self
          # Array of Run::Line.
          def call = [leave_one_out, tests]

          private

          def results
            random = Random.new(SEED)
            Array.new(PAPERS) do
              Statistics::Pooling::Result.new(effect: random.rand(-0.8..0.4),
                                              variance: random.rand(0.01..0.3))
            end
          end

          def leave_one_out
            some = results
            ms = Work::Timing.median do
              Statistics::Pooling::InverseVariance.call(some, tau2: :reml, hartung_knapp: :never_narrower)
              Statistics::Pooling::Comparisons.leave_one_out(some, tau2: :reml)
            end
            plain = Work::Timing.once do
              some.each { |one| Statistics::Pooling::InverseVariance.call(some - [one], tau2: :reml) }
            end
            Run::Line.new(work: "Weigh: pooled, and without each", ms:, plain_ms: plain,
                          note: "#{PAPERS} papers, REML")
          end

          def tests
            random = Random.new(SEED)
            some = Array.new(TESTS) do
              Statistics::Accuracy.new(true_positives: random.rand(30..90), false_negatives: random.rand(2..20),
                                       false_positives: random.rand(5..60), true_negatives: random.rand(80..200))
            end
            ms = Work::Timing.median { Statistics::Pooling::Bivariate.new(some).call }
            Run::Line.new(work: "Weigh: a test in both directions at once", ms:, plain_ms: nil,
                          note: "#{TESTS} papers")
          end
        end
      end
    end
  end
end
