# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Screen
        # The open paper, read closely: what it is, whether its numbers fit, and what it has to do
        # with others.
        class Pane
          # A part of the pane: chosen :: whether it is shown
          class Part < Value
            attributes :name, :path, :chosen
          end

          # A section of the abstract: name :: "" where the text names none; sentences :: Array of
          # Told
          class Section < Value
            attributes :name, :sentences
          end

          # told :: what a sentence tells, a key of TOLD, or nil; matched in it :: highlighted
          class Told < Value
            attributes :text, :told
          end

          TOLD = { design: "how made", results: "found",
                   conclusion: "concludes" }.freeze
          NAMES = { background: "Background", methods: "Methods", results: "Results",
                    conclusion: "Conclusion" }.freeze
          # Results that can be used have a number beside people or an effect.
          FOUND = /\d+(?:,\d{3})* (?:of|out of) \d|\d\s?%|\b(?:CI|ratio|difference)\b/
          private_constant :NAMES, :FOUND

          # around_counts :: how many papers of the library it cites, and how many cite it
          attr_reader :record, :around_counts

          # page :: Page; record :: Records::Record; context :: Services::Context
          def initialize(page, record, context)
            @page = page
            @record = record
            @close = Services::Screen::Paper::Closely.new(context).call(record)
            @around_counts = Services::Screen::Paper::Around.new(context, page.opened).counts(record)
            freeze
          end

          def parts
            { nil => "Abstract", "around" => "Around it",
              "full" => "Full text, cite" }.map do |show, name|
              count = show == "around" ? " #{around_counts.sum}" : ""
              Part.new(name: "#{name}#{count}", path: @page.path_showing(show),
                       chosen: @page.shown == show)
            end
          end

          def sections
            groups = close.passage.sentences.chunk_while { |one, two| one.section == two.section }
            groups.map do |some|
              Section.new(name: NAMES.fetch(some.first.section, ""), sentences: some.map { |sentence| told(sentence) })
            end
          end

          # What a reader is warned of, in words: Array of [words, Record or nil].
          def warnings
            [*standing, *doubts.map { |words| [words, nil] },
             *([["Possible duplicate of:", close.double_of]] if close.double_of),
             *close.reports.map { |other| ["May report the same participants as", other] },
             (["Not indexed yet: found by text words only.", nil] unless record.indexed?),
             (["No abstract, title only.", nil] if record.abstract.to_s.empty?)].compact
          end

          # What the label says, what the text tells, and whether they agree; in words.
          def label = close.label&.name || "none stated"
          def made_as = close.made_as
          def told_design = made_as.design && Appraisal::Design.fetch(made_as.design).name

          def made_words
            case made_as.verdict
            when :agree then "The methods agree."
            when :disagree then "The methods suggest otherwise: #{told_design.downcase}."
            else untold_words
            end
          end

          def disagreements = close.disagreements

          def numbers_words
            return "No numbers here can be checked." if disagreements.empty? && !close.worked_out
            return "The numbers that can be checked agree." if disagreements.empty?

            "#{disagreements.size == 1 ? "Two numbers" : "#{disagreements.size} pairs of numbers"} do not agree:"
          end

          def review? = close.label&.key == "systematic_review"

          private

          attr_reader :close

          def standing
            [(["Retracted: do not use as evidence.", nil] if record.retracted?),
             (["Protocol: no results yet.", nil] if protocol?)].compact
          end

          # What close reading found, said where nobody overlooks it.
          def doubts
            [*("The label and the methods disagree: check the design." if made_as.verdict == :disagree),
             *("Two numbers disagree: see below." if disagreements.any?)]
          end

          def protocol? = close.label&.key == "protocol"

          def untold_words
            return "The methods do not say." if told_design.nil?

            "No label; the methods suggest: #{told_design.downcase}."
          end

          def told(sentence) = Told.new(text: sentence.text, told: kind_of(sentence))

          def kind_of(sentence)
            return :design if close.made_as.sentence == sentence
            return :conclusion if sentence.section == :conclusion

            :results if [:results, nil].include?(sentence.section) && sentence.text.match?(FOUND)
          end

          # What stands around a paper, each with where it stands in this inquiry.
          class Around
            # A list of papers: name :: its heading; note :: a sentence beside it, or ""
            class Group < Value
              attributes :name, :note, :papers
            end

            # A paper with where it stands: in_set :: whether it is among those to read
            class Near < Value
              attributes :record, :facts, :standing, :path, :in_set, :must_find
            end

            LEADS = "A review's own references are the shortest way to single studies."
            private_constant :LEADS

            # page :: Sift
            def initialize(page, context)
              @page = page
              @reader = Services::Screen::Paper::Around.new(context, page.opened)
              freeze
            end

            # record :: that the others stand around. Gives an Array of Group.
            def groups(record, review:)
              found = @reader.call(record)
              [Group.new(name: "It cites", note: review ? LEADS : "", papers: papers(found[:cites])),
               Group.new(name: "Cited by", note: "", papers: papers(found[:cited_by])),
               Group.new(name: "Like it by its words", note: "", papers: papers(found[:alike]))]
            end

            # near :: Services::Screen::Paper::Around::Near. Gives a Near.
            def near(near)
              record = near.record
              Near.new(record:, facts: facts(near), standing: standing(near.standing), path: @page.path_to_paper(record),
                       in_set: near.standing.in_set, must_find: @page.inquiry.must_find.include?(record.id))
            end

            private

            def papers(all) = all.map { |one| near(one) }

            def facts(near)
              design = Appraisal::Design.proposed(near.record)&.name || "study type not stated"
              like = near.likeness && "#{@page.hundredths(near.likeness)} of 100 alike"
              [near.record.year, design, like].compact.join(" · ")
            end

            def standing(standing)
              verdict = standing.decision && Page::VERDICTS.fetch(standing.decision.verdict)
              reason = standing.decision&.reason
              return "in this set, #{verdict || "not screened"}#{": #{reason.downcase}" if reason}" if standing.in_set
              return "not here#{", #{verdict} earlier" if verdict}" unless standing.kept_out

              "kept out by #{step(standing.kept_out)}#{", #{verdict} earlier" if verdict}"
            end

            def step(source)
              return "block #{@page.letter(source.key)}" if source.is_a?(Strategy::Block)

              Narrowing::AppliedLimit::Wording.named(source.leaf).sub(/\A./, &:downcase)
            end
          end
        end
      end
    end
  end
end
