# frozen_string_literal: true

module Hobrin
  module Appraisal
    # Papers that two people have both weighed, each without seeing the other's sheet.
    #
    # pairs :: Array of Pair; kind :: key of the kind of question, or nil; records :: Hash of id to
    #   Records::Record
    class DualAppraisal < Value
      attributes :pairs, :kind, :records

      # One paper: first, second :: Paper, as each of the two weighed it; kind :: of the question
      class Pair < Value
        attributes :first, :second, :kind

        def record_id = first.record_id

        # The keys of Points at which they differ, in the order of the sheet.
        def differing = Points.differing(first, second, questions.keys)
        def name(key) = Points.name(key, questions)

        def agree? = differing.empty?

        # The sheet that holds: the first reader's, but where the second one's is taken, and with
        # the sentence that was settled on. second_at :: keys of Points; finding :: String
        def settled(second_at: [], finding: agreed_finding)
          Points.mixed(first, second, differing & second_at).with(finding:)
        end

        # The questions of both sheets: Hash of key to text; of an answer to another sheet, any
        # text.
        def questions
          sheets = [first.sheet(kind), second.sheet(kind), *Checklists::ALL.values]
          sheets.flat_map(&:questions).uniq(&:key).to_h { |question| [question.key, question.text] }
        end

        def agreed_finding = first.finding.empty? ? second.finding : first.finding
      end

      # Statistics::Agreement of the answers to questions that both answered, by Answer::WORDS.
      def answers
        table(Paper::Answer::WORDS.keys, pairs.flat_map do |pair|
          shared = pair.first.answers.keys & pair.second.answers.keys
          shared.map { |key| [pair.first.answers[key].says, pair.second.answers[key].says] }
        end)
      end

      # Of the concern that error came in, by Appraisal::Checklists::Concern::LEVELS.
      def concerns = table(Checklists::Concern::LEVELS, both { |paper| paper.concern(kind) })

      # Of the level of evidence, 1 to 5.
      def levels
        table([*1..5], both { |paper| paper.level(records.fetch(paper.record_id), kind).number })
      end

      # What the numbers say, as an Array of sentences.
      def words
        return [Book.t("appraisal.dual.nothing_yet")] if pairs.empty?

        [Book.t("appraisal.dual.agreement", count: pairs.size, alike: pairs.count(&:agree?)), *answered, *of_concerns.kappa]
      end

      private

      def of_concerns
        Statistics::Agreement::Words.new(concerns, what: Book.t("appraisal.dual.judgements"), weighting: :linear,
                                                   of: Book.t("appraisal.dual.risk_of_bias"))
      end

      def answered
        return [] if answers.total.zero?

        said = Statistics::Agreement::Words.new(answers, what: Book.t("appraisal.dual.answers"))
        [Book.t("appraisal.dual.questions", count: answers.total, agreed: said.agreed, by_chance: said.by_chance)]
      end

      def both
        pairs.map { |pair| [yield(pair.first), yield(pair.second)] }.select(&:all?)
      end

      def table(names, said)
        counts = said.tally
        rows = names.map { |row| names.map { |column| counts.fetch([row, column], 0) } }
        Statistics::Agreement.new(rows)
      end

      # The points of a sheet, each of which two people can judge otherwise: how the study was made,
      # each answer, each concern that was set, each part of whether it applies. Sentences that show
      # an answer, and reasons, go with their point; they are no point of their own.
      #
      # A point has a key such as "design" or "answers.random".
      module Points
        SAID = Book.names("appraisal.dual.point", %w[design reviewed graded])
        MOVED = { -1 => :stronger, 0 => :as_table, 1 => :weaker }.transform_values do |key|
          Book.t("appraise.paper.level_move.#{key}")
        end.freeze
        NOTHING = Book.t("appraisal.dual.nothing_said")
        WHOLE = %w[design reviewed].freeze
        private_constant :SAID, :MOVED, :NOTHING, :WHOLE

        class << self
          # paper :: Paper. Gives a Hash of key to what is judged, without reasons and sentences.
          def of(paper)
            { "design" => paper.design, "reviewed" => paper.reviewed, "graded" => paper.graded,
              **keyed("answers", paper.answers, &:says),
              **keyed("concerns", paper.concerns, &:concern),
              **keyed("applies", paper.applies) { |near| near } }
          end

          # The keys at which two papers are judged otherwise. questions :: the keys of questions in
          # the order of their sheets
          def differing(one, other, questions)
            first, second = of(one), of(other)
            keys = (first.keys | second.keys).reject { |key| first[key] == second[key] }
            answers, others = keys.partition { |key| key.start_with?("answers.") }
            before, after = others.partition { |key| WHOLE.include?(key) }
            [*before, *answers.sort_by { |key| questions.index(parts(key).last) }, *after]
          end

          # Whether a paper says anything at a point.
          def said?(key, paper) = of(paper).key?(key) && of(paper)[key] != ""

          # A paper that is as the base is, but at some points as another. keys :: of them
          def mixed(base, other, keys)
            whole = SAID.keys.intersection(keys).map(&:to_sym)
            changes = other.to_h.slice(*whole, *(:graded_why if keys.include?("graded")))
            changes = %i[answers concerns applies].reduce(changes) do |all, part|
              all.merge(part => put(base.public_send(part), other.public_send(part), part, keys))
            end
            base.with(**changes)
          end

          # What a point is called. questions :: Hash of key to text
          def name(key, questions)
            part, rest = parts(key)
            case part
            when "answers" then questions.fetch(rest)
            when "concerns" then Book.t("appraisal.dual.set_judgement", domain: Checklists::GROUPS.fetch(rest).downcase)
            when "applies" then Book.t("appraisal.dual.applicability", part: Paper::Applicability::PARTS.fetch(rest).downcase)
            else SAID.fetch(key)
            end
          end

          # What a paper says there, in words.
          def words(key, paper)
            said = of(paper)[key]
            case parts(key).first
            when "answers" then Paper::Answer::WORDS.fetch(said, NOTHING)
            when "concerns" then Checklists::Concern::WORDS.fetch(said) { Book.t("appraise.paper.by_rule") }
            when "applies" then Paper::Applicability::NEAR.fetch(said, NOTHING)
            when "graded" then MOVED.fetch(said)
            else said.empty? ? NOTHING : Design.fetch(said).name
            end
          end

          # Why it says so: a sentence of the paper, or the reason that was given; "" for none.
          def because(key, paper)
            part, rest = parts(key)
            case part
            when "answers" then paper.answers[rest]&.shown.to_s
            when "concerns" then paper.concerns[rest]&.why.to_s
            when "graded" then paper.graded_why
            else ""
            end
          end

          private

          def keyed(part, given) = given.to_h { |key, one| ["#{part}.#{key}", yield(one)] }

          def parts(key)
            part, rest = key.split(".", 2)
            [part, rest&.to_sym]
          end

          # A point that the other says nothing of is taken out.
          def put(base, other, part, keys)
            taken = keys.filter_map { |key| parts(key).then { |of, name| name if of == part.to_s } }
            base.except(*taken).merge(other.slice(*taken))
          end
        end
      end
    end
  end
end
