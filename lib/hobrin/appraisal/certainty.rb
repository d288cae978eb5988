# frozen_string_literal: true

module Hobrin
  module Appraisal
    # How sure one may be of what the papers say together on an outcome: GRADE's way (Guyatt et al., BMJ
    # 2008;336:924 and J Clin Epidemiol 2011;64:380 and following; from memory). It begins by how
    # the studies were made, goes down for five reasons and up for three. Each step is proposed
    # from numbers that the reason names; a person may set it otherwise and says why.
    #
    # start :: 4 for high, 2 for low; lines :: Array of Line; level :: 1 to 4
    class Certainty < Value
      # domain :: Symbol; proposed :: steps, −2 to 2; why :: the numbers behind it, in a sentence
      # judgement :: Outcome::Judgement or nil
      class Line < Value
        attributes :domain, :proposed, :why, :judgement

        def steps = judgement ? judgement.steps : proposed
        def up? = UP.include?(domain)
      end

      attributes :start, :start_why, :lines, :level

      LEVELS = { 4 => "high", 3 => "moderate", 2 => "low", 1 => "very low" }.freeze
      DOMAINS = { bias: "Risk of bias", inconsistency: "Inconsistency", indirectness: "Indirectness",
                  imprecision: "Imprecision", unpublished: "Not published", large: "Large effect",
                  gradient: "More of it, more effect", against: "What is left out would weaken it" }.freeze
      UP = %i[large gradient against].freeze

      def word = LEVELS.fetch(level)

      # Whether the steps of a line count towards the level.
      def counts?(line) = self.class.counts?(line, start, lines)

      class << self
        # pool :: Together::Pool; kind :: key of the kind of question, or nil; protocols :: how many
        #   protocols of such studies have no results yet
        # Gives a Certainty; nil where no paper is counted.
        def of(pool, kind:, protocols: 0)
          return if pool.studies.empty?

          start, start_why = Start.of(pool)
          proposed = Proposals.new(pool, kind:, protocols:).call
          lines = proposed.map do |domain, (steps, why)|
            Line.new(domain:, proposed: steps, why:, judgement: pool.outcome.judgements[domain])
          end
          new(start:, start_why:, lines:, level: level(start, lines))
        end

        # Up only from low, and only where nothing led down: a strong effect of doubtful studies
        # proves little.
        def counts?(line, start, lines)
          !line.up? || (start < 4 && lines.none? { |other| !other.up? && other.steps.negative? })
        end

        private

        def level(start, lines)
          (start + lines.sum { |line| counts?(line, start, lines) ? line.steps : 0 }).clamp(1, 4)
        end
      end
    end
  end
end
