# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Narrow step.
      class Narrow < Step
        MOST_NAMED = 3
        SILENT = { age: "state no age", type: "state no study type", dates: "state no year" }.freeze
        private_constant :MOST_NAMED, :SILENT

        def steps = standing.cascade.steps
        def largest = steps.map(&:size).max || 1
        def previews = @previews ||= Services::ReadNarrow.new(@context).call(standing)

        def label(step)
          return block_label(step.source) if step.block?

          Narrowing::Wording.of(step.source.leaf)
        end

        def block_label(block)
          name = question.element(block.key).name
          block.joins == :not ? "Not: #{name}" : name[0].upcase + name[1..]
        end

        def letter(step) = question.element(step.source.key).letter
        def colour(step) = step.block? ? "ink-#{tone(step.source.key)}" : "ink-limit"

        # As `label`, with a long list of values cut after the second.
        def short_label(step)
          values = step.block? ? [] : step.source.leaf.then { |leaf| leaf.is_a?(Strategy::Limit) ? leaf.values : [] }
          return label(step) if values.size <= MOST_NAMED || values == Records::AgeGroups::ADULTS

          "#{values.first(2).join(", ").capitalize} or #{values.size - 2} more"
        end

        # For each limit that took away papers that say nothing it could go by, a sentence that says so.
        def unstated = Services::ReadNarrow.new(@context).silences(standing).map { |silence| unstated_by(silence) }

        # The place of the step whose removals are shown, or nil.
        def opened
          place = fields.number(:opened)
          place if place.is_a?(Integer) && place.between?(0, steps.size - 1)
        end

        def taken_away = Services::ReadNarrow.new(@context).taken_away(standing, opened)

        def year(field) = errors.empty? ? current_dates&.public_send(field) : fields.text(field)

        def aim(field) = errors[:aim] ? fields.text(:"aim_#{field}") : inquiry.aim.public_send(field)

        def chosen?(name) = inquiry.limits.any? { |limit| limit.name == name }

        MOST_OFFERED = 7
        MOST_OF_A_KIND = 2
        # Further limits that unfold below the usual ones.
        FURTHER = { flag: "Only", sex: "Sex", species: "Species", language: "Language", place: "Place" }.freeze
        MOST_PLACES = 12

        def what_if_reader = @what_if_reader ||= Services::ReadWhatIfs.new(@context)
        def all_what_ifs = @all_what_ifs ||= what_if_reader.call(inquiry)

        # The ones that are shown: all, or the nearest to the aim with no more than two of a kind, so that there is a choice.
        def what_ifs
          return all_what_ifs if fields.text(:show) == "all"

          seen = Hash.new(0)
          all_what_ifs.select { |one| (seen[one.what_if.move.kind] += 1) <= MOST_OF_A_KIND }.first(MOST_OFFERED)
        end

        # The what-if whose papers are open to view, or nil.
        def looked_at = all_what_ifs.find { |one| one.number == fields.number(:what_if) }
        def known = @known ||= what_if_reader.known(standing, all_what_ifs)
        def way = @way ||= (what_if_reader.way(inquiry) if fields.text(:show) == "way")

        # "lost by “Adults, 19 and over” and “2016 to 2026”"
        def lost_by(known)
          return "nothing is searched" if known.steps.empty?

          "lost by #{known.steps.map { |step| "“#{short_label(step)}”" }.join(" and ")}"
        end

        def lost_words(offer)
          return "" if inquiry.must_find.empty?

          lost = offer.lost.size
          lost.zero? ? "none lost" : "#{lost} of #{inquiry.must_find.size} lost"
        end

        # The previews of a further limit; of places only the commonest.
        def further(name)
          Services::ReadNarrow.new(@context).call(standing, [name]).fetch(name).sort_by { |one| -one.size }
                              .first(name == :place ? MOST_PLACES : 40)
        end

        # What the check of the search found, by group, each with its number; nil while it is not open.
        def findings
          return unless fields.text(:show) == "check"

          all = Services::MendSearch.new(@context).findings(inquiry)
          @findings ||= all.each_with_index.group_by { |finding, _| finding.group }
        end

        def further? = fields.text(:show) == "limits" || inquiry.limits.any? { |limit| FURTHER.key?(limit.name) }

        # The next sensible thing to do, by where the count stands.
        def advice
          on = inquiry.limits.count(&:on)
          todo = case inquiry.aim.standing(standing.final)
                 when :inside then "Read them."
                 when :above then "Put a limit on: the numbers beside each say what it would leave."
                 else on.zero? ? "Give the blocks more names at Word." : "Switch a limit off, or add names at Word."
                 end
          "#{standing_words.capitalize}. #{todo}"
        end

        private

        def unstated_by(silence)
          step = silence.step
          fresh = ", #{silence.not_indexed} of them because they are not indexed yet" if silence.not_indexed.positive?
          "#{silence.papers} of the #{step.removed.size} papers that “#{short_label(step)}” took away " \
            "#{SILENT.fetch(step.source.name)}#{fresh}. Open the step to look at them."
        end

        def current_dates = inquiry.limits.find { |limit| limit.name == :dates }&.leaf
      end
    end
  end
end
