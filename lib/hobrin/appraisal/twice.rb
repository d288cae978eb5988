# frozen_string_literal: true

module Hobrin
  module Appraisal
    # Papers that two people have both weighed, each without seeing the other's sheet.
    #
    # pairs :: Array of Pair; kind :: key of the kind of question, or nil; records :: Hash of id to
    #   Records::Record
    class Twice < Value
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
          sheets = [first.sheet(kind), second.sheet(kind), *Sheets::ALL.values]
          sheets.flat_map(&:questions).uniq(&:key).to_h { |one| [one.key, one.text] }
        end

        def agreed_finding = first.finding.empty? ? second.finding : first.finding
      end

      # Statistics::Agreement of the answers to questions that both answered, by Answer::WORDS.
      def answers
        table(Answer::WORDS.keys, pairs.flat_map do |pair|
          shared = pair.first.answers.keys & pair.second.answers.keys
          shared.map { |key| [pair.first.answers[key].says, pair.second.answers[key].says] }
        end)
      end

      # Of the concern that error came in, by Sheets::Concern::LEVELS.
      def concerns = table(Sheets::Concern::LEVELS, both { |paper| paper.concern(kind) })

      # Of the level of evidence, 1 to 5.
      def levels
        table([*1..5], both { |paper| paper.level(records.fetch(paper.record_id), kind).number })
      end

      # What the numbers say, as an Array of sentences.
      def words
        return ["Nobody has weighed a paper a second time yet."] if pairs.empty?

        papers = pairs.size == 1 ? "1 paper" : "#{pairs.size} papers"
        ["Both have weighed #{papers}, and judged #{pairs.count(&:agree?)} alike in every point.",
         *answered, *of_concerns.kappa]
      end

      private

      def of_concerns
        Statistics::AgreementWords.new(concerns, what: "papers’ concerns", weighting: :linear,
                                                 of: "the concern that error came in")
      end

      def answered
        return [] if answers.total.zero?

        said = Statistics::AgreementWords.new(answers, what: "answers")
        questions = answers.total == 1 ? "1 question" : "#{answers.total} questions"
        ["Of #{questions} that both answered they #{said.agreed}; #{said.by_chance}."]
      end

      def both
        pairs.map { |pair| [yield(pair.first), yield(pair.second)] }.select(&:all?)
      end

      def table(names, said)
        counts = said.tally
        rows = names.map { |one| names.map { |two| counts.fetch([one, two], 0) } }
        Statistics::Agreement.new(rows)
      end
    end
  end
end
