# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Narrow
        # The limits that can be put on, group by group, each with what it would leave.
        class LimitChoices
          include Formatting

          # Further limits that unfold below the usual ones, each with why it stands where it does.
          # :full_text is a flag.
          FURTHER = { flag: ["Only", "two of them mean both"], sex: ["Sex"], species: ["Species"], journal: ["Journal"],
                      place: ["Place"], added: ["Added to its source", "for a look at what is new"],
                      full_text: ["Full text", "last of all: what is free is not what is best"],
                      language: ["Language", "last of all: no measure of quality"] }.freeze
          FULL_TEXT = "free full text"
          MOST_PLACES = 12
          private_constant :FURTHER, :FULL_TEXT, :MOST_PLACES

          # name :: of the limit; note :: why it stands there, or nil; choices :: Array of Choice
          class Group < Value
            attributes :name, :title, :note, :choices

            # Whether something can be typed in it, so that it is shown without choices, too.
            def typed? = %i[added journal].include?(name)
          end

          # One value that could be put on: given :: Hash of what its form sends; loses :: must-find
          #   papers
          class Choice < Value
            attributes :words, :meaning, :given, :size, :change, :loses
          end

          # mentioned :: limits that the question says and that wait to be put on; dates :: the usual published years,
          # both as Array of Choice; years :: the papers of each year, as Page::Years
          attr_reader :mentioned, :dates, :years

          # usual :: age groups and study types; further :: those that unfold, none while they are folded; Arrays of Group
          attr_reader :usual, :further

          # page :: Page; reader :: Services::Narrow::Read
          def initialize(page, reader)
            @page = page
            said = reader.mentioned.map(&:preview)
            @mentioned = said.map { |preview| choice(preview) }
            # What the question says is offered apart.
            offered = lambda do |name|
              reader.call([name]).fetch(name).reject { |preview| said.any? { |other| other.leaf == preview.leaf } }
            end
            @dates = choices(:dates, offered)
            @years = Page::Years.new(page, limits.find { |limit| limit.name == :dates }&.leaf, reader.per_year)
            @usual = read_usual(offered)
            @further = further? ? read_further(offered) : []
            freeze
          end

          # Whether the further limits are shown.
          def further?
            @page.showing?("limits") || limits.any? { |limit| FURTHER.key?(limit.name) } ||
              @page.errors.keys.intersect?(%i[since journal])
          end

          def chosen?(name) = limits.any? { |limit| limit.name == name }
          def any_on? = limits.any?(&:on)

          # A preview as a choice. preview :: Narrowing::Previews::Preview
          def choice(preview)
            leaf = preview.leaf
            Choice.new(words: preview.wording, meaning: meaning(preview), given: { limit: leaf.name, **given(leaf) },
                       size: preview.size, change: change_words(preview.change), loses: preview.lost)
          end

          def change_words(change) = change.zero? ? "±0" : signed(change)

          private

          def limits = @page.inquiry.limits

          def read_usual(offered)
            ages = "one more means either" if chosen?(:age)
            types = "one more means either" if chosen?(:type)
            types ||= "the study filter does this already: use one of the two" if chosen?(:filter)
            [Group.new(name: :age, title: "Age group", note: ages, choices: choices(:age, offered)),
             Group.new(name: :type, title: "Study type", note: types, choices: choices(:type, offered))]
          end

          def read_further(offered)
            groups = FURTHER.map do |name, (title, note)|
              Group.new(name:, title:, note:, choices: choices(name, offered))
            end
            groups.select { |group| group.choices.any? || group.typed? }
          end

          # In the order in which they are offered; of places only the commonest. offered :: gives the previews of a
          # limit's values, as Narrowing::Previews::Preview
          def choices(name, offered)
            found = case name
                    when :full_text then offered.call(:flag).select { |preview| full_text?(preview) }
                    when :flag then largest_first(offered.call(:flag)).reject { |preview| full_text?(preview) }
                    when :place then largest_first(offered.call(:place)).first(MOST_PLACES)
                    when :sex, :species, :language then largest_first(offered.call(name))
                    else offered.call(name)
                    end
            found.map { |preview| choice(preview) }
          end

          def largest_first(previews) = previews.sort_by { |preview| -preview.size }
          def full_text?(preview) = preview.leaf.values == [FULL_TEXT]

          # What a form sends for a limit.
          def given(leaf)
            case leaf.name
            when :added then { since: leaf.from }
            when :dates then { from_year: leaf.from_year, to_year: leaf.to_year }
            when :filter then { filter: leaf.label }
            else { "values[]": leaf.values }
            end
          end

          # What a value means, where its name does not say it.
          def meaning(preview)
            return unless preview.leaf.name == :age

            Records::AgeGroups::MEANINGS[preview.wording.downcase] unless preview.wording.match?(/\d/)
          end
        end
      end
    end
  end
end
