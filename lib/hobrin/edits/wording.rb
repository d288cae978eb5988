# frozen_string_literal: true

module Hobrin
  module Edits
    # What was done, in the words of the trail, from the kind and the facts that it keeps. The one
    # place that says them.
    #
    #   Wording.of(:term_moved, { label: "sleep*", by: -1 }) # => "Moved sleep* up"
    module Wording
      # What Wording says of changes on Act.
      module ActWording
        TEMPLATES = {
          brief_written: "Wrote the conclusion and the change plan",
          deliberated: "Wrote what speaks for and against", decided: "Decided: %{decision}",
          measure_written: "Measure “%{name}”, %{points} numbers", measure_dropped: "Took away the measure “%{name}”",
          steps_planned: "Planned %{steps} steps, %{done} done, and %{cycles} small cycles",
          brief_signed: "%{name} signed off the brief, version %{version}",
          brief_signed_despite: "%{name} signed off the brief, version %{version}, with %{gaps} points open: %{reason}"
        }.freeze
        # What several lines of one kind are together.
        SEVERAL = { brief_written: "changes of the brief", measure_written: "changes of measures",
                    steps_planned: "changes of the steps" }.freeze
      end

      # What Wording says of changes on Weigh.
      module WeighWording
        TEMPLATES = {
          outcome_written: "Outcome “%{name}”", outcome_dropped: "Took away the outcome “%{name}”",
          result_written: "Numbers for “%{name}” of “%{title}”",
          result_dropped: "Took away the numbers for “%{name}” of “%{title}”",
          result_taken_out: "Not counted for “%{name}”: “%{title}”",
          result_counted: "Counted again for “%{name}”: “%{title}”",
          trap_mended: "Mended for “%{name}”: “%{title}” %{says}",
          trap_counted: "Counted for “%{name}” in spite of it: “%{title}” %{says}",
          put_together: "“%{name}” put together: %{measure}, %{model}, %{level} %% intervals",
          weigh_apart: "%{readers} appraise the papers independently from now on (appraised before, outside: %{papers})",
          finding_written: "Finding: %{text}", finding_dropped: "Took away the finding: %{text}"
        }.freeze
        # Of so many points a line tells what each said; its facts have them all.
        TOLD = 3
        private_constant :TOLD
        # What several lines of one kind are together.
        SEVERAL = {
          outcome_written: "changes of outcomes", result_written: "results written down",
          result_taken_out: "results taken out",
          weighed_twice: "papers weighed twice", sheet_settled: "sheets settled",
          trap_mended: "traps mended", put_together: "changes of how to put together", certainty_judged: "reasons judged",
          finding_written: "findings written", finding_judged: "components judged"
        }.freeze

        class << self
          # "Settled the sheet of “Earplugs …”: by chance? Ann yes, Bo no: yes"
          def twice(kind, facts)
            first, second = facts[:readers]
            return "#{first} and #{second} weighed “#{facts[:title]}” alike" if kind == :weighed_twice

            points = facts[:differed].first(TOLD).map do |name, one, other, holds|
              "#{name} #{first} #{one.downcase}, #{second} #{other.downcase}: #{holds.downcase}"
            end
            more = facts[:differed].size - points.size
            points << "and #{more} more" if more.positive?
            "Settled the sheet of “#{facts[:title]}”: #{points.join("; ")}"
          end

          # "Certainty of “Delirium”, imprecision: −1, since …"
          def judged(facts)
            of = "“#{facts[:name] || facts[:text]}”, #{facts[:domain].downcase}"
            return "#{of}: as proposed" unless facts[:steps]

            steps = facts[:steps].zero? ? "no change" : facts[:steps].to_s.sub("-", "−")
            "#{of}: #{steps}, since #{facts[:why]}"
          end
        end
      end

      # %{…} is filled in from the facts as they are; what needs more has a method below.
      TEMPLATES = {
        question_asked: "Wrote the question", copied: "Copied from an inquiry with %{lines} lines on its trail",
        archive_opened: "Opened as a copy of an archive of %{made} with %{lines} lines on its trail",
        term_crossed_out: "Crossed out %{label} in %{letter}", term_taken_back: "Took back %{label} in %{letter}",
        term_excluded: "Takes away %{label} in %{letter}", term_removed: "Removed %{label} in %{letter}",
        term_sent: "Moved %{label} to %{letter}", block_moved: "Moved %{letter} up",
        limits_switched_off: "Switched all limits off", aim_set: "Aim %{from} to %{to} papers",
        must_find_added: "Must find “%{title}”", must_find_removed: "Must-find paper taken off",
        paper_included: "Added manually: “%{title}”", paper_released: "No longer added manually: “%{title}”",
        decision_noted: "Noted on “%{title}”", decision_taken_back: "Took back the decision on “%{title}”",
        threads_followed: "Followed the citations of %{from} papers, round %{round}: %{found} found",
        paper_weighed: "Weighed “%{title}”",
        read_apart: "%{readers} screen the papers independently from now on (decided before, outside: %{decisions})",
        hidden: "Hidden from you while two people work independently",
        search_reviewed: "%{name} reviewed the search: %{verdict}",
        brought_from_elsewhere: "Brought in from %{source}: up to %{most} records",
        line_restored: "Restored line %{line}", line_named: "Named line “%{name}”: %{rule}",
        text_forgotten: "A text was removed for good from this inquiry",
        line_removed: "Took off the named line “%{name}”", **WeighWording::TEMPLATES, **ActWording::TEMPLATES
      }.freeze
      LIMITS = { limit_put: "Limit", limit_removed: "Took off limit", limit_switched: "Switched limit",
                 limit_moved: "Moved up limit" }.freeze
      VERDICTS = { "keep" => "Included", "drop" => "Excluded", "unsure" => "Unsure of" }.freeze
      # What each of two reviewers said.
      SAID = { "keep" => "include", "drop" => "exclude", "unsure" => "unsure" }.freeze
      # What several lines of one kind are together.
      SEVERAL = {
        asked_elsewhere: "searches in other catalogues", question_written: "changes of the question",
        terms_added: "terms added", term_crossed_out: "terms crossed out",
        term_removed: "terms removed", heading_turned: "headings searched in another way",
        term_reworded: "terms reworded",
        term_moved: "terms moved", limit_put: "limits put on", limit_removed: "limits taken off",
        moves_tried: "what-ifs tried", move_dismissed: "what-ifs dismissed", finding_mended: "findings mended",
        must_find_added: "must-find papers named", paper_included: "papers added manually",
        paper_decided: "papers decided", read_twice: "papers read twice",
        hidden: "lines hidden from you", settled: "differences settled", decision_noted: "notes on papers", paper_weighed: "papers weighed",
        **WeighWording::SEVERAL, **ActWording::SEVERAL, undone: "changes undone", done_again: "changes done again"
      }.freeze
      private_constant :TEMPLATES, :LIMITS, :VERDICTS, :SAID, :SEVERAL

      class << self
        # kind :: Symbol; facts :: Hash, see Change. Raises ArgumentError for a kind that nothing is
        #   known of.
        def of(kind, facts)
          return format(TEMPLATES.fetch(kind), facts) if TEMPLATES.key?(kind)
          return "#{LIMITS.fetch(kind)} #{Narrowing::AppliedLimit::Wording.named(facts.fetch(:leaf))}" if LIMITS.key?(kind)

          case kind
          when :question_written then question(facts)
          when :terms_added, :heading_turned, :term_reworded, :term_moved, :block_joined then on_word(
            kind, facts
          )
          when :moves_tried, :move_dismissed, :finding_mended then on_narrow(kind, facts)
          when :blocks_started then "Added the first #{facts[:terms]} terms of the question to #{facts[:letters].join(", ")}"
          when :paper_decided then decided(facts)
          when :read_twice, :settled then read_twice(kind, facts)
          when :papers_decided then decided(facts.merge(title: nil))
          when :weighed_twice, :sheet_settled then WeighWording.twice(kind, facts)
          when :certainty_judged, :finding_judged then WeighWording.judged(facts)
          else on_trail(kind, facts)
          end
        end

        # Several lines of one kind in a row: "30 papers decided".
        def several(kind, count) = "#{count} #{SEVERAL.fetch(kind, "changes like this one")}"

        private

        def question(facts)
          limit = facts[:limit] && "limit #{Narrowing::AppliedLimit::Wording.named(facts[:limit])}"
          said = [*facts.fetch(:changes).map { |change| question_change(change) }, *limit].join("; ")
          said[0].to_s.upcase + said[1..].to_s
        end

        def question_change(change)
          case change.fetch(:what)
          when "reworded" then "reworded the question"
          when "situation" then "wrote the situation"
          when "kind" then "kind of question: #{Question::Kind.fetch(change[:kind]).name}"
          when "frame" then "frame: #{Question::Frame.fetch(change[:frame]).name}"
          when "declined" then "left the proposal “#{change[:words]}”"
          when "use" then "#{change[:letter]} is #{Question::Element::USES.fetch(change[:use].to_sym)}"
          when "phrases" then phrases(change)
          end
        end

        def phrases(change)
          change[:name].empty? ? "cleared #{change[:letter]}" : "#{change[:letter]}: #{change[:name]}"
        end

        def on_word(kind, facts)
          label, letter, leaf = facts.values_at(:label, :letter, :leaf)
          case kind
          when :terms_added
            added = facts[:leaves].map { |leaf| Strategy::Wording.of(leaf) }.join(", ")
            without = facts.fetch(:without, []).join(", ")
            return "Takes away #{without} in #{letter}" if added.empty? && !without.empty?

            ["Added #{added} to #{letter}", ("takes away #{without} in #{letter}" unless without.empty?)].compact.join("; ")
          when :heading_turned
            "Changed #{label} in #{letter}: #{Strategy::Wording.note(leaf, facts[:below])}"
          when :term_reworded
            "Changed #{label} in #{letter} to #{leaf.label} (#{Strategy::Wording.note(leaf)})"
          when :term_moved then "Moved #{label} #{facts[:by].positive? ? "down" : "up"}"
          when :block_joined then "#{letter} is #{Strategy::Block::OPERATORS.fetch(facts[:operator].to_sym)}"
          end
        end

        def on_narrow(kind, facts)
          case kind
          when :moves_tried then "Tried: #{facts[:moves].map { |move| move(move) }.join(", then ")}"
          when :move_dismissed then "Dismissed: #{move(facts)}"
          when :finding_mended
            text = Check::Texts.of(facts[:finding].to_sym, facts[:words])
            "#{text.press}: #{text.says}"
          end
        end

        def move(facts) = Narrowing::Moves::Wording.of(facts[:kind].to_sym, facts[:facts])

        def decided(facts)
          what = facts[:title] ? "“#{facts[:title]}”" : "#{facts[:papers]} papers at once"
          "#{VERDICTS.fetch(facts[:verdict])} #{what}#{" (#{facts[:reason]})" if facts[:reason]}"
        end

        def read_twice(kind, facts)
          said = facts[:read].map { |who, verdict, reason, _| [who, SAID.fetch(verdict.to_s), *("(#{reason})" if reason)].join(" ") }
          "#{kind == :settled ? "Settled" : "Both decided"}: #{decided(facts)}. #{said.join(", ")}"
        end

        def on_trail(kind, facts)
          case kind
          when :undone then "Undid: #{of(facts[:kind].to_sym, facts[:facts])}"
          when :done_again then "Did again: #{of(facts[:kind].to_sym, facts[:facts])}"
          when :asked_elsewhere
            "Asked #{facts[:source]}: #{facts[:count]} records#{", #{facts[:before]} the last time" if facts[:before]}"
          when :run_again
            "Run again: #{facts[:papers]} papers#{", #{facts[:fresh]} of them new" if facts[:fresh]}"
          else raise ArgumentError, "no words for #{kind}"
          end
        end
      end
    end
  end
end
