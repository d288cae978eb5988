# frozen_string_literal: true

module Hobrin
  module Edits
    # What was done, in the words of the trail, from the kind and the facts that it keeps. The one
    # place that says them.
    #
    #   Wording.of(:term_moved, { label: "sleep*", by: -1 }) # => "Moved sleep* up"
    module Wording
      # Of so many points a line says what each person answered; its facts have them all.
      MOST_POINTS = 3
      LIMITS = %i[limit_put limit_removed limit_switched limit_moved].freeze
      private_constant :MOST_POINTS, :LIMITS

      class << self
        # kind :: Symbol; facts :: Hash, see Change. Raises ArgumentError for a kind that nothing is known of.
        def of(kind, facts)
          return change(kind, limit: Narrowing::AppliedLimit::Wording.named(facts.fetch(:leaf))) if LIMITS.include?(kind)

          case kind
          when :question_written then question(facts)
          when :terms_added, :heading_turned, :term_reworded, :term_moved, :block_joined then on_terms(kind, facts)
          when :moves_tried, :move_dismissed, :finding_mended then on_narrow(kind, facts)
          when :blocks_started then change(kind, terms: facts[:terms], letters: facts[:letters].join(", "))
          when :paper_decided then decided(facts)
          when :papers_decided then decided(facts.merge(title: nil))
          when :read_twice, :settled then decided_by_two(kind, facts)
          when :weighed_twice, :sheet_settled then appraised_by_two(kind, facts)
          when :certainty_judged, :finding_judged then judged(facts)
          when :undone, :done_again, :asked_elsewhere, :run_again then on_trail(kind, facts)
          else plain(kind, facts)
          end
        end

        # Several lines of one kind in a row: "30 papers screened".
        def several(kind, count)
          key = "changes.several.#{kind}"
          Book.t(Book.has?(key) ? key : "changes.several.other_kind", count:)
        end

        private

        def change(kind, **gaps) = Book.t("changes.of.#{kind}", **gaps)

        # What the facts fill in as they are.
        def plain(kind, facts)
          raise ArgumentError, "no words for #{kind}" unless Book.has?("changes.of.#{kind}")

          change(kind, **facts)
        end

        def question(facts)
          limit = facts[:limit] && Book.t("changes.question.limit", limit: Narrowing::AppliedLimit::Wording.named(facts[:limit]))
          said = [*facts.fetch(:changes).map { |part| question_part(part) }, *limit].join("; ")
          said[0].to_s.upcase + said[1..].to_s
        end

        def question_part(part)
          what = part.fetch(:what)
          what = "cleared" if what == "phrases" && part[:name].empty?
          names = case what
                  when "kind" then { kind: Question::Kind.fetch(part[:kind]).name }
                  when "frame" then { frame: Question::Frame.fetch(part[:frame]).name }
                  when "use" then { use: Question::Element::USES.fetch(part[:use].to_sym) }
                  end
          Book.t("changes.question.#{what}", **part, **names.to_h)
        end

        def on_terms(kind, facts)
          label, letter, leaf = facts.values_at(:label, :letter, :leaf)
          case kind
          when :terms_added then terms_added(facts)
          when :heading_turned then change(kind, label:, letter:, note: Strategy::Wording.note(leaf, facts[:below]))
          when :term_reworded then change(kind, label:, letter:, changed: leaf.label, note: Strategy::Wording.note(leaf))
          when :term_moved then change(facts[:by].positive? ? :term_moved_down : :term_moved_up, label:)
          when :block_joined then change(kind, letter:, operator: Strategy::Block::OPERATORS.fetch(facts[:operator].to_sym))
          end
        end

        def terms_added(facts)
          added = facts[:leaves].map { |leaf| Strategy::Wording.of(leaf) }.join(", ")
          excluded = facts.fetch(:without, []).join(", ")
          kind = if excluded.empty? then :terms_added
                 else added.empty? ? :terms_excluded : :terms_added_and_excluded
                 end
          change(kind, added:, excluded:, letter: facts[:letter])
        end

        def on_narrow(kind, facts)
          case kind
          when :moves_tried then change(kind, moves: facts[:moves].map { |move| move(move) }.join(Book.t("narrow.must_find.then")))
          when :move_dismissed then change(kind, move: move(facts))
          when :finding_mended
            text = Check::Texts.of(facts[:finding].to_sym, facts[:words])
            change(kind, press: text.press, says: text.says)
          end
        end

        def move(facts) = Narrowing::Moves::Wording.of(facts[:kind].to_sym, facts[:facts])

        def decided(facts)
          what = facts[:title] ? "“#{facts[:title]}”" : change(:papers_at_once, count: facts[:papers])
          key = facts[:reason] ? :decided_drop_because : :"decided_#{facts[:verdict]}"
          change(key, what:, reason: reason(facts[:reason]))
        end

        # A reason to exclude, by its tag; nil for none.
        def reason(tag) = tag && Screening::Decision::Reasons.name(tag).downcase

        def decided_by_two(kind, facts)
          said = facts[:read].map do |who, verdict, tag, _|
            [who, Book.t("changes.said.#{verdict}"), *("(#{reason(tag)})" if tag)].join(" ")
          end
          change(kind == :settled ? :settled : :both_decided, decision: decided(facts), said: said.join(", "))
        end

        # "Resolved the checklist of “Earplugs …”: by chance? Ann yes, Bo no: yes"
        def appraised_by_two(kind, facts)
          first, second = facts[:readers]
          return change(kind, first:, second:, title: facts[:title]) if kind == :weighed_twice

          points = facts[:differed].first(MOST_POINTS).map do |name, one, other, final|
            change(:sheet_point, name:, first:, second:, one: one.downcase, other: other.downcase, final: final.downcase)
          end
          more = facts[:differed].size - points.size
          points << change(:more_points, count: more) if more.positive?
          change(kind, title: facts[:title], points: points.join("; "))
        end

        # "“Delirium”, imprecision: −1, because …"
        def judged(facts)
          of = { name: facts[:name] || facts[:text], domain: facts[:domain].downcase }
          return change(:judged_as_proposed, **of) unless facts[:steps]

          steps = facts[:steps].zero? ? change(:no_change) : facts[:steps].to_s.sub("-", "−")
          change(:judged, **of, steps:, why: facts[:why])
        end

        def on_trail(kind, facts)
          case kind
          when :undone, :done_again then change(kind, change: of(facts[:kind].to_sym, facts[:facts]))
          when :asked_elsewhere then change(facts[:before] ? :asked_elsewhere_again : kind, **facts.slice(:source, :count, :before))
          when :run_again then change(facts[:fresh] ? :run_again_fresh : kind, **facts.slice(:papers, :fresh))
          end
        end
      end
    end
  end
end
