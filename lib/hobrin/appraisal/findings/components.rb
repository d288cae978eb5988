# frozen_string_literal: true

module Hobrin
  module Appraisal
    module Findings
      # What is proposed for each component of Confidence.
      class Components
        # So many papers with their own words are enough.
        ENOUGH = 3
        private_constant :ENOUGH

        def initialize(finding, papers, kind)
          @finding = finding
          @kind = kind
          @for = papers.select { |paper| finding.support[paper.record_id]&.speaks == :for }
          @against = finding.ids(:against).size
        end

        # Gives a Hash of component to [steps, why].
        def call = { method:, relevance:, coherence:, adequacy: }

        private

        def method
          levels = @for.map { |paper| paper.concern(@kind) }
          high, silent = [levels.count(:high), levels.count(nil)]
          said = "#{high} of #{@for.size} papers are of high " \
                 "concern#{", #{silent} not answered" if silent.positive?}."
          [share(high), said]
        end

        def relevance
          far = @for.count { |paper| paper.near == :far }
          [share(far), "#{far} of #{@for.size} papers are about people or places far from ours."]
        end

        # Down by one from a quarter on that say otherwise, by two from a half on.
        def coherence
          all = @for.size + @against
          steps = if @against * 2 >= all && all.positive? then -2
                  else @against * 4 >= all && @against.positive? ? -1 : 0
                  end
          [steps, "#{@against} of #{all} papers say otherwise."]
        end

        def adequacy
          told = @for.count { |paper| !@finding.support[paper.record_id].words.empty? }
          steps = @for.size < 2 ? -2 : (@for.size < ENOUGH || told < ENOUGH ? -1 : 0)
          say = @for.size == 1 ? "paper says" : "papers say"
          [steps, "#{@for.size} #{say} so, #{told} in words that stand here; #{ENOUGH} with words are enough."]
        end

        # Down by one where more than half are, by two where all of two or more are.
        def share(count)
          return 0 if @for.empty? || count * 2 <= @for.size

          count == @for.size && count > 1 ? -2 : -1
        end
      end
    end
  end
end
