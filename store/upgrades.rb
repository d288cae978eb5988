# frozen_string_literal: true

module Hobrin
  module Store
    # Steps that lead a stored inquiry of an older format to the present one. A change of the format
    # adds one step and one to FORMAT; a step that was released is never altered.
    # spec/fixtures/documents holds documents of every format.
    module Upgrades
      FORMAT = 9

      # Format that a step starts from, to a Proc from the data of that format (Hash with Symbols
      # for keys) to the next one's.
      #
      # 1 to 2: of a review it is asked what it reviewed; nothing was said of that before.
      # 2 to 3: citations are followed in rounds; there were none.
      # 3 to 4: outcomes are things of their own, see ToOutcomes.
      # 4 to 5: a ward thinks of more than the plan and measures it; nothing was said of that before.
      # 6 to 7: other catalogues are asked; none was.
      # 7 to 8: an outcome names its arms, a result says how people came to its groups; nothing was
      # said of either, see ToArms.
      # 8 to 9: a signature says what was open and why it was given all the same, see ToSignOff.
      STEPS = {
        1 => ->(data) { data.merge(papers: data[:papers].map { |paper| { **paper, reviewed: "" } }) },
        2 => ->(data) { data.merge(rounds: []) },
        3 => ->(data) { ToOutcomes.call(data) },
        4 => ->(data) { data.merge(acting: { considerations: {}, decision: "", measures: [], signed: [] }) },
        5 => ->(data) { data.merge(acting: { **data[:acting], steps: [], cycles: [] }) },
        6 => ->(data) { data.merge(elsewhere: []) },
        7 => ->(data) { ToArms.call(data) },
        8 => ->(data) { ToSignOff.call(data) }
      }.freeze

      # data :: Hash as stored; steps, format :: for a test of the road itself
      # Gives the data in the present format. Raises StateError for a format that is newer than this
      # program.
      def self.call(data, steps: STEPS, format: FORMAT)
        stored = data.fetch(:format)
        if stored > format
          raise StateError,
                Book.t("errors.inquiries.newer", format: stored, reads: format)
        end

        (stored...format).reduce(data) do |now, step|
          steps.fetch(step).call(now).merge(format: step + 1)
        end
      end

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

      # The step of Upgrades from format 7 to 8.
      module ToArms
        ARMS = { intervention: "", comparison: "" }.freeze
        SINGLE = { kind: "single", size: nil, icc: nil, correlation: nil, adjusted: false, shared: 1 }.freeze
        private_constant :ARMS, :SINGLE

        class << self
          # data :: Hash of format 7. Gives one of format 8.
          def call(data)
            weighing = data[:weighing]
            papers = weighing[:papers].map { |paper| paper(paper) }
            outcomes = weighing[:outcomes].map { |outcome| { **outcome, arms: ARMS } }
            data.merge(weighing: { **weighing, papers:, outcomes: })
          end

          private

          def paper(paper)
            { **paper, reported: paper[:reported].map { |result| { **result, allocation: SINGLE } } }
          end
        end
      end

      # The step of Upgrades from format 8 to 9.
      module ToSignOff
        # data :: Hash of format 8. Gives one of format 9.
        def self.call(data)
          acting = data[:acting]
          signed = acting[:signed].map { |signature| { **signature, gaps: [], reason: "" } }
          weighing = data[:weighing]
          papers = weighing[:papers].map { |paper| { **paper, sentences: {} } }
          measures = acting[:measures].map { |measure| { **measure, better: nil } }
          data.merge(peer_reviews: [], acting: { **acting, signed:, measures: }, weighing: { **weighing, papers: })
        end
      end
    end
  end
end
