# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # The sheet of one paper: how it was made, the questions that fit, whether it is about
        # people like ours.
        class Checklist
          # What a person may do to a level: each as a form sends it, with the key of its name.
          MOVES = { "-1" => :stronger, "0" => :as_table, "1" => :weaker }.freeze
          private_constant :MOVES

          # A group of questions: concern :: in words, nil where nothing is answered; set :: Array of
          #   [value, name, whether it is chosen]; why :: of what was set
          class Group < Value
            attributes :key, :name, :items, :concern, :set, :why
          end

          # A question: answers :: Array of [answer, in words, whether it was given]; shown :: the sentence
          #   that shows it; offers :: Array of sentences that may; note :: where a "no" weighs less
          #   than elsewhere, nil where it does not
          class Item < Value
            attributes :key, :text, :answers, :shown, :offers, :note
          end

          # Where the paper stands for two who weigh it apart: see Services::Appraise::DualAppraisal#standing.
          attr_reader :standing

          # page :: Page; row :: Brief::EvidenceRow; apart :: Services::Appraise::DualAppraisal
          def initialize(page, row, apart)
            @page = page
            @row = row
            @standing = apart.standing(record.id)
            @both = apart.names if standing
            @passage = CloseReading::Passage.new(record.abstract)
            @answers = sheet ? sheet.questions.to_h { |question| [question.key, answer(question.key)] }.compact : {}
            freeze
          end

          def record = @row.record

          # Where the sheet is sent, and whether that is for everybody who works on the inquiry, for
          # this person alone, or for nobody now.
          def path = standing ? @page.path(:sheet) : @page.path
          def changed_by = { nil => :all, mine: :me, waiting: :me }.fetch(standing, :nobody)

          # What two who weigh the paper apart are told of it, nil where it is weighed as any other.
          def apart_words
            Book.t("appraise.paper.dual.#{standing}", people: @both) if standing
          end

          # Where the two settle it, once both are done.
          def path_to_settle = (@page.path(:sheets) if standing == :open)

          def design
            key = @page.typed_or(:design, @row.paper&.design)
            Appraisal::Design::ALL.find { |design| design.key == key } || Appraisal::Design.proposed(record)
          end

          def designs
            choose = design ? [] : [["", Book.t("common.choose"), true]]
            choose + Appraisal::Design::ALL.map { |offered| [offered.key, offered.name, offered == design] }
          end

          # What a review may have reviewed: [key, name, whether it is chosen]; none for other
          # designs.
          def reviewable
            return [] unless design&.key == "systematic_review"

            chosen = reviewed&.key
            [["", Book.t("common.choose"), chosen.nil?]] +
              Appraisal::Level.reviewable(@page.question.kind).map { |offered| [offered.key, offered.name, offered.key == chosen] }
          end

          # Keys of the questions that are not answered yet.
          def open_questions = sheet ? sheet.questions.map(&:key) - answers.keys : []

          # Whether some are answered, and several are not.
          def some_open? = answers.any? && open_questions.size > 1

          # Whether a review's level waits for what it reviewed.
          def reviewed_open? = reviewable.any? && reviewed.nil?

          def level
            design && Appraisal::Level.of(record:, kind: @page.question.kind, design:, reviewed:, graded: graded.to_i,
                                          answers: answers.transform_values(&:says))
          end

          def moves = MOVES.map { |value, key| [value, Book.t("appraise.paper.level_move.#{key}"), value == graded] }

          # The sheet that fits the design; nil while that is not chosen.
          def sheet = design && Appraisal::Checklists.for(design, @page.question.kind)

          def groups
            return [] unless sheet

            found = Appraisal::Checklists::Concern.by_group(sheet.questions, answers,
                                                            @row.paper&.concerns || {})
            sheet.questions.group_by(&:group).map do |key, questions|
              group(key, questions, found[key])
            end
          end

          # The whole paper's concern in words; nil where nothing is answered.
          def concern
            found = Appraisal::Checklists::Concern.by_group(sheet.questions, answers,
                                                            @row.paper&.concerns || {})
            Appraisal::Checklists::Concern::WORDS[Appraisal::Checklists::Concern.overall(found)]
          end

          # Part, its name, and [near, in words, whether it was given].
          def applies
            stored = @row.paper&.applies || {}
            Appraisal::Paper::Applicability::PARTS.map do |part, name|
              given = @page.refused?(:applies) ? @page.fields.nested(:applies).text(part) : stored[part].to_s
              [part, name, Appraisal::Paper::Applicability::NEAR.map { |near, words| [near, words, near.to_s == given] }]
            end
          end

          # Where the sheet comes from, and by which rule its concerns are worked out.
          def rule = Book.t("appraise.paper.rule", source: sheet.spirit, rule: Appraisal::Checklists::Concern::RULE)

          # The sentences of the abstract, to choose from.
          def sentences = passage.sentences.map(&:text)

          # What was typed and refused, or what is stored, for a text of the sheet.
          def text(name) = @page.typed_or(name, @row.paper&.public_send(name).to_s)

          # [name of the outcome, path to its numbers] of what the paper gives.
          def results
            @row.results.map { |result| [result.outcome.name, @page.path_to_numbers(record, result.outcome)] }.uniq
          end

          private

          attr_reader :passage, :answers

          def reviewed
            key = @page.typed_or(:reviewed, @row.paper&.reviewed)
            Appraisal::Design::ALL.find { |design| design.key == key }
          end

          def graded = @page.typed_or(:graded, (@row.paper&.graded || 0).to_s)

          def answer(key)
            return @row.paper&.answers&.[](key) unless @page.refused?(:answers)

            says = @page.fields.nested(:answers).one_of(key, Appraisal::Paper::Answer::WORDS.keys)
            says && Appraisal::Paper::Answer.new(says:)
          end

          def shown(key)
            return @page.fields.nested(:shown).text(key) if @page.refused?(:shown)

            paper = @row.paper
            paper ? paper.answers[key]&.shown || paper.sentences[key].to_s : ""
          end

          def group(key, questions, concern)
            chosen = @row.paper&.concerns&.[](key)
            set = [["", Book.t("appraise.paper.by_rule"), chosen.nil?]] +
                  Appraisal::Checklists::Concern::WORDS.map { |value, words| [value, words, chosen&.concern == value] }
            items = questions.map { |question| item(question) }
            Group.new(key:, name: Appraisal::Checklists::GROUPS.fetch(key), items:, set:, why: chosen&.why.to_s,
                      concern: Appraisal::Checklists::Concern::WORDS[concern])
          end

          def item(question)
            given = answers[question.key]&.says
            answers = Appraisal::Paper::Answer::WORDS.map { |value, words| [value, words, value == given] }
            ask = shown(question.key).empty? && given != :not_told
            offers = ask ? question.sentences(passage).map(&:text) : []
            note = Book.t("appraise.paper.light") if question.light
            note = [note, Book.t("appraise.paper.sentence_chosen")].compact.join(" ") if @row.paper&.sentences&.key?(question.key)
            Item.new(key: question.key, text: question.text, answers:, shown: shown(question.key), offers:, note:)
          end
        end
      end
    end
  end
end
