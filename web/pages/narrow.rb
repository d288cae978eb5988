# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Narrow step.
      class Narrow < Step
        MOST_NAMED = 3
        SILENT = { age: "state no age", type: "state no study type", dates: "state no year", sex: "state no sex",
                   species: "do not say whether people or animals", language: "state no language", place: "state no place",
                   added: "do not say when they were added" }.freeze
        private_constant :MOST_NAMED, :SILENT

        def steps = standing.cascade.steps
        def largest = steps.map(&:size).max || 1
        def reader = @reader ||= Services::ReadNarrow.new(@context)

        # Where the tools of a step send what they do.
        def step_path(step) = path(step.block? ? "blocks/#{step.source.key}" : "limits/#{step.source.name}")

        # Whether a step has one of its kind above it.
        def movable?(place)
          above = place.positive? && steps[place - 1]
          above && kind_of(above) == kind_of(steps[place])
        end

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
        def unstated = reader.silences(standing).map { |silence| unstated_by(silence) }

        # The place of the step whose removals are shown, or nil.
        def opened
          place = fields.number(:opened)
          place if place.is_a?(Integer) && place.between?(0, steps.size - 1)
        end

        def order = fields.one_of(:order, %i[newest strongest]) || :newest
        def more? = fields.text(:more) == "yes"
        def taken_away = reader.taken_away(standing, opened, order:, limit: more? ? MOST_OPENED : FEW_OPENED)

        # The papers that were let in by hand, and how many of them the search does not find without that.
        def let_in = @let_in ||= reader.let_in(standing)
        def brought_in = standing.final - steps.last.size

        def year(field) = errors.empty? ? current_dates&.public_send(field) : fields.text(field)

        # The papers of each year, and the years that the dates let through, for the picture.
        def per_year = @per_year ||= reader.per_year(standing)

        def span
          first, last = per_year.counts.keys.minmax
          dates = current_dates
          [dates&.from_year&.clamp(first, last) || first, dates&.to_year&.clamp(first, last) || last]
        end

        def aim(field) = errors[:aim] ? fields.text(:"aim_#{field}") : inquiry.aim.public_send(field)

        def chosen?(name) = inquiry.limits.any? { |limit| limit.name == name }

        MOST_OFFERED = 7
        MOST_OF_A_KIND = 2
        FEW_OPENED = 8
        MOST_OPENED = 40
        # Further limits that unfold below the usual ones, each with why it stands where it does. :full_text is a flag.
        FURTHER = { flag: ["Only"], sex: ["Sex"], species: ["Species"], journal: ["Journal"], place: ["Place"],
                    added: ["Added to its source", "for a look at what is new"],
                    full_text: ["Full text", "last of all: what is free is not what is best"],
                    language: ["Language", "last of all: no measure of quality"] }.freeze
        FULL_TEXT = "free full text"
        MOST_PLACES = 12
        private_constant :FEW_OPENED, :MOST_OPENED, :FULL_TEXT, :MOST_PLACES

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

        # The previews of a limit in the order in which they are offered; of places only the commonest.
        def choices(name)
          case name
          when :full_text then previews(:flag).select { |one| one.leaf.values.include?(FULL_TEXT) }
          when :flag then largest_first(:flag).reject { |one| one.leaf.values.include?(FULL_TEXT) }
          when :place then largest_first(:place).first(MOST_PLACES)
          when :sex, :species, :language then largest_first(name)
          else previews(name)
          end
        end

        # What a form sends for a limit: Array of [name of the field, value].
        def given(leaf)
          case leaf
          when Strategy::Dates then leaf.name == :added ? [["since", leaf.from]] : [["from_year", leaf.from_year], ["to_year", leaf.to_year]]
          when Strategy::Filter then [["filter", leaf.label]]
          else leaf.values.map { |value| ["values[]", value] }
          end
        end

        # What a further value means, where its name does not say it.
        def meaning(preview)
          return unless preview.leaf.name == :age

          Records::AgeGroups::MEANINGS[preview.wording.downcase] unless preview.wording.match?(/\d/)
        end

        # Limits that the question says and that wait to be put on.
        def stated = @stated ||= reader.stated(standing)

        # Study filters: the kind that is shown, the kinds there are, their rows, and those written here.
        def filters? = fields.text(:show) == "filters" || errors.key?(:title) || errors.key?(:terms)
        def filter_kind = [fields.text(:kind), question.kind, filter_reader.kinds.first].find { |kind| filter_reader.kinds.include?(kind) }
        def filter_kinds = filter_reader.kinds.to_h { |kind| [kind, kind_name(kind)] }
        def filter_kind_name = kind_name(filter_kind)
        def filter_rows = @filter_rows ||= filter_reader.call(standing, filter_kind)
        def own_filters = @own_filters ||= filter_reader.own(standing)
        def typed(name) = errors[:title] || errors[:terms] ? fields.text(name) : ""

        # The must-find paper for which two changes are looked for.
        def looking_for_two?(known) = fields.text(:two) == known.record.id
        def pair = @pair ||= what_if_reader.pair(inquiry, fields.text(:two))
        def two_path(known) = "#{path}?two=#{Rack::Utils.escape(known.record.id)}"

        # How the search does so far, in sentences.
        def rate_lines
          rates = reader.rates(standing)
          [(found_line(rates) if rates.known.positive?), (precision_line(rates) if rates.read.positive?)].compact
        end

        # What the check of the search found, by group, each with its number; nil while it is not open.
        def findings
          return unless fields.text(:show) == "check"

          all = Services::MendSearch.new(@context).findings(inquiry)
          @findings ||= all.each_with_index.group_by { |finding, _| finding.group }
        end

        def further?
          fields.text(:show) == "limits" || inquiry.limits.any? { |limit| FURTHER.key?(limit.name) } ||
            errors.keys.intersect?(%i[since journal])
        end

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

        def previews(name) = reader.call(standing, [name]).fetch(name)
        def largest_first(name) = previews(name).sort_by { |one| -one.size }
        def filter_reader = @filter_reader ||= Services::ReadFilters.new(@context)
        def kind_name(kind) = kind == "reviews" ? "Reviews" : Question::Kind.fetch(kind).name
        def kind_of(step) = step.block? ? step.source.joins : :limit

        def found_line(rates)
          share = rates.sensitivity
          "Sensitivity to your must-find papers: #{rates.found} of #{rates.known}, #{percent(share)}."
        end

        def precision_line(rates)
          kept = "Of #{count_of(rates.read, "paper")} read, #{rates.kept} kept: precision #{percent(rates.precision)}"
          needed = rates.number_needed_to_read
          needed ? "#{kept}; #{decimal(needed, 1)} read for each one kept." : "#{kept}."
        end

        # "19 % (95 % interval 9 to 35 %)"
        def percent(share)
          low, high = [share.low, share.high].map { |one| (one * 100).round }
          "#{(share.estimate * 100).round} % (95 % interval #{low} to #{high} %)"
        end

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
