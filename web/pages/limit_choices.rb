# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The limits that can be put on, group by group, each with what it would leave.
      class LimitChoices
        # Further limits that unfold below the usual ones, each with why it stands where it does. :full_text is a flag.
        FURTHER = { flag: ["Only", "two of them mean both"], sex: ["Sex"], species: ["Species"], journal: ["Journal"],
                    place: ["Place"], added: ["Added to its source", "for a look at what is new"],
                    full_text: ["Full text", "last of all: what is free is not what is best"],
                    language: ["Language", "last of all: no measure of quality"] }.freeze
        FULL_TEXT = "free full text"
        MOST_PLACES = 12
        private_constant :FULL_TEXT, :MOST_PLACES

        # page :: Narrow; reader :: Services::ReadNarrow
        def initialize(page, reader)
          @page = page
          @reader = reader
        end

        # The previews of a limit in the order in which they are offered; of places only the commonest. What the question says
        # is offered apart.
        def of(name)
          case name
          when :full_text then previews(:flag).select { |one| full_text?(one) }
          when :flag then largest_first(:flag).reject { |one| full_text?(one) }
          when :place then largest_first(:place).first(MOST_PLACES)
          when :sex, :species, :language then largest_first(name)
          else previews(name)
          end
        end

        # Limits that the question says and that wait to be put on.
        def stated = @stated ||= @reader.stated(@page.standing)

        def chosen?(name) = limits.any? { |limit| limit.name == name }
        def any_on? = limits.any?(&:on)

        # Whether the further limits are shown.
        def further?
          @page.showing?("limits") || limits.any? { |limit| FURTHER.key?(limit.name) } ||
            @page.errors.keys.intersect?(%i[since journal])
        end

        # What a form sends for a limit: Array of [name of the field, value].
        def given(leaf)
          case leaf
          when Strategy::Dates then leaf.name == :added ? [["since", leaf.from]] : years(leaf)
          when Strategy::Filter then [["filter", leaf.label]]
          else leaf.values.map { |value| ["values[]", value] }
          end
        end

        # What a further value means, where its name does not say it.
        def meaning(preview)
          return unless preview.leaf.name == :age

          Records::AgeGroups::MEANINGS[preview.wording.downcase] unless preview.wording.match?(/\d/)
        end

        # The papers of each year, and the years that the dates let through, for the picture.
        def per_year = @per_year ||= @reader.per_year(@page.standing)

        def span
          first, last = per_year.counts.keys.minmax
          [dates&.from_year&.clamp(first, last) || first, dates&.to_year&.clamp(first, last) || last]
        end

        # A year as typed, or as the limit has it.
        def year(field) = @page.errors.empty? ? dates&.public_send(field) : @page.fields.text(field)

        private

        def limits = @page.inquiry.limits
        def dates = limits.find { |limit| limit.name == :dates }&.leaf
        def years(leaf) = [["from_year", leaf.from_year], ["to_year", leaf.to_year]]
        def full_text?(preview) = preview.leaf.values == [FULL_TEXT]

        def previews(name)
          said = stated.map { |one| one.preview.leaf }
          @reader.call(@page.standing, [name]).fetch(name).reject { |one| said.include?(one.leaf) }
        end

        def largest_first(name) = previews(name).sort_by { |one| -one.size }
      end
    end
  end
end
