# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Twice
      # The points of a sheet, each of which two people can judge otherwise: how the study was made,
      # each answer, each concern that was set, each part of whether it applies. Sentences that show
      # an answer, and reasons, go with their point; they are no point of their own.
      #
      # A point has a key such as "design" or "answers.random".
      module Points
        SAID = { "design" => "How the study was made", "reviewed" => "What it reviewed",
                 "graded" => "Level moved" }.freeze
        MOVED = { -1 => "one stronger", 0 => "as the table says", 1 => "one weaker" }.freeze
        NOTHING = "nothing said"
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
            when "concerns" then "Concern set by hand: #{Sheets::GROUPS.fetch(rest).downcase}"
            when "applies" then "Applies to us: #{Applies::PARTS.fetch(rest).downcase}"
            else SAID.fetch(key)
            end
          end

          # What a paper says there, in words.
          def words(key, paper)
            said = of(paper)[key]
            case parts(key).first
            when "answers" then Answer::WORDS.fetch(said, NOTHING)
            when "concerns" then Sheets::Concern::WORDS.fetch(said, "by the rule")
            when "applies" then Applies::NEAR.fetch(said, NOTHING)
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
