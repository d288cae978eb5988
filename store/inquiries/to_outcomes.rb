# frozen_string_literal: true

module Hobrin
  module Store
    # The step of Upgrades from format 3 to 4. Each paper had one outcome in words, with four
    # numbers or without; those that begin with the same word become one outcome, as they were put together before.
    # "Cannot tell" becomes "not told".
    module ToOutcomes
      CELLS = %i[events total comparison_events comparison_total].freeze
      UNNAMED = "An outcome without a name"
      LONGEST = 120
      # "Are these people like yours?" was a question of the sheet for any other paper.
      NEAR = { "yes" => "same", "no" => "far" }.freeze
      private_constant :NEAR, :CELLS, :UNNAMED, :LONGEST

      class << self
        # data :: Hash of format 3. Gives one of format 4.
        def call(data)
          groups = data[:papers].select { |paper| outcome?(paper) }.group_by { |paper| word(paper) }
          ids = groups.keys.each_with_index.to_h { |word, place| [word, place + 1] }
          outcomes = groups.map { |word, papers| outcome(ids[word], papers) }
          papers = data[:papers].map { |paper| paper(paper, ids[word(paper)]) }
          data.except(:papers).merge(weighing: { papers:, outcomes:, findings: [] })
        end

        private

        def outcome?(paper) = paper[:table] || !paper[:outcome].strip.empty?
        def word(paper) = Text::Tokens.of(paper[:outcome]).first.to_s

        def outcome(id, papers)
          names = papers.map { |paper| paper[:outcome].strip }.reject(&:empty?)
          name = names.min_by { |name| [-names.count(name), name.size] } || UNNAMED
          { id:, name: name[0, LONGEST], kind: "events", better: "less", matters: "important", worthwhile: nil,
            baseline: nil, judgements: {},
            way: { measure: "risk_ratio", model: "reml", knapp: true, level: 95 } }
        end

        def paper(paper, outcome_id)
          ours, answers = paper[:answers].partition { |key, _| key == :applies }.map(&:to_h)
          answers = answers.transform_values do |says|
            { says: says == "unclear" ? "not_told" : says, shown: "" }
          end
          applies = { people: NEAR[ours[:applies]] }.compact
          { **paper.except(:outcome, :table), answers:, concerns: {}, applies:,
                                              reported: reported(paper, outcome_id) }
        end

        def reported(paper, outcome_id)
          return [] unless paper[:table]

          [{ number: 1, outcome: outcome_id, form: "counts",
             typed: paper[:table].slice(*CELLS).transform_values(&:to_s),
             measure: nil, group: "", comparison: "", time: "", shown: "", turned: false, change: false, aside: nil,
             counted: [] }]
        end
      end
    end
  end
end
