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

          # told :: what a sentence tells, design, results, conclusion, or nil; matched in it :: highlighted
          class Told < Value
            attributes :text, :told
          end

          # Results that can be used have a number beside people or an effect.
          FOUND = /\d+(?:,\d{3})* (?:of|out of) \d|\d\s?%|\b(?:CI|ratio|difference)\b/
          private_constant :FOUND

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
            { nil => Book.t("screen.paper.abstract"), "around" => Book.t("screen.paper.around"),
              "full" => Book.t("screen.paper.full_text") }.map do |show, name|
              count = show == "around" ? " #{around_counts.sum}" : ""
              Part.new(name: "#{name}#{count}", path: @page.path_showing(show),
                       chosen: @page.shown == show)
            end
          end

          def sections
            groups = close.passage.sentences.chunk_while { |one, two| one.section == two.section }
            groups.map do |some|
              Section.new(name: section_name(some.first.section), sentences: some.map { |sentence| told(sentence) })
            end
          end

          # What a reader is warned of, in words: Array of [words, Record or nil].
          def warnings
            [*standing, *doubts.map { |words| [words, nil] },
             *([[Book.t("screen.paper.duplicate_of"), close.double_of]] if close.double_of),
             *close.reports.map { |other| [Book.t("screen.paper.same_participants"), other] },
             ([Book.t("screen.paper.not_indexed"), nil] unless record.indexed?),
             ([Book.t("screen.paper.no_abstract"), nil] if record.abstract.to_s.empty?)].compact
          end

          # What the label says, what the text tells, and whether they agree; in words.
          def label = close.label&.name || Book.t("screen.paper.none_stated")
          def made_as = close.made_as
          def told_design = made_as.design && Appraisal::Design.fetch(made_as.design).name

          def made_words
            case made_as.verdict
            when :agree then Book.t("screen.paper.agree")
            when :disagree then Book.t("screen.paper.disagree", design: told_design.downcase)
            else untold_words
            end
          end

          def disagreements = close.disagreements

          def numbers_words
            return Book.t("screen.paper.nothing_to_check") if disagreements.empty? && !close.worked_out
            return Book.t("screen.paper.numbers_agree") if disagreements.empty?

            Book.t("screen.paper.numbers_disagree", count: disagreements.size)
          end

          def review? = close.label&.key == "systematic_review"

          private

          attr_reader :close

          def standing
            [([Book.t("screen.paper.retracted"), nil] if record.retracted?),
             ([Book.t("screen.paper.protocol"), nil] if protocol?)].compact
          end

          # What close reading found, said where nobody overlooks it.
          def doubts
            [*(Book.t("screen.paper.check_design") if made_as.verdict == :disagree),
             *(Book.t("screen.paper.check_numbers") if disagreements.any?)]
          end

          def section_name(section)
            key = "screen.paper.section.#{section}"
            Book.has?(key) ? Book.t(key) : ""
          end

          def protocol? = close.label&.key == "protocol"

          def untold_words
            return Book.t("screen.paper.methods_silent") if told_design.nil?

            Book.t("screen.paper.no_label", design: told_design.downcase)
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

            # page :: Sift
            def initialize(page, context)
              @page = page
              @reader = Services::Screen::Paper::Around.new(context, page.opened)
              freeze
            end

            # record :: that the others stand around. Gives an Array of Group.
            def groups(record, review:)
              found = @reader.call(record)
              hint = review ? Book.t("screen.paper.review_hint") : ""
              [Group.new(name: Book.t("screen.paper.cites"), note: hint, papers: papers(found[:cites])),
               Group.new(name: Book.t("screen.paper.cited_by"), note: "", papers: papers(found[:cited_by])),
               Group.new(name: Book.t("screen.paper.similar_words"), note: "", papers: papers(found[:alike]))]
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
              design = Appraisal::Design.proposed(near.record)&.name || Book.t("screen.paper.type_not_stated")
              like = near.likeness && Book.t("screen.paper.likeness", share: @page.hundredths(near.likeness))
              [near.record.year, design, like].compact.join(" · ")
            end

            def standing(standing)
              verdict = standing.decision && Page::VERDICTS.fetch(standing.decision.verdict)
              return in_set(verdict, standing.decision&.reason) if standing.in_set

              where = if standing.kept_out then Book.t("screen.paper.removed_by", step: step(standing.kept_out))
                      else Book.t("screen.paper.not_here")
                      end
              verdict ? Book.t("screen.paper.decided_earlier", where:, verdict:) : where
            end

            def in_set(verdict, reason)
              return Book.t("screen.paper.in_set_not_screened") unless verdict

              if reason
                Book.t("screen.paper.in_set_because", verdict:,
                                                      reason: Screening::Decision::Reasons.name(reason).downcase)
              else
                Book.t(
                  "screen.paper.in_set", verdict:
                )
              end
            end

            def step(source)
              return Book.t("screen.paper.block", letter: @page.letter(source.key)) if source.is_a?(Strategy::Block)

              Narrowing::AppliedLimit::Wording.named(source.leaf).sub(/\A./, &:downcase)
            end
          end
        end
      end
    end
  end
end
