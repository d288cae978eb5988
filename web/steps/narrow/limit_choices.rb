# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Narrow
        # The limits that can be put on, group by group, each with what it would leave.
        class LimitChoices
          include Formatting

          # Further limits that unfold below the usual ones. :full_text is a flag.
          FURTHER = %i[flag sex species journal place added full_text language].freeze
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
            @page.showing?("limits") || limits.any? { |limit| FURTHER.include?(limit.name) } ||
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
            ages = Book.t("narrow.limits.either") if chosen?(:age)
            types = Book.t("narrow.limits.either") if chosen?(:type)
            types ||= Book.t("narrow.limits.filter_does") if chosen?(:filter)
            [Group.new(name: :age, title: Book.t("narrow.limits.age"), note: ages, choices: choices(:age, offered)),
             Group.new(name: :type, title: Book.t("narrow.limits.type"), note: types, choices: choices(:type, offered))]
          end

          def read_further(offered)
            groups = FURTHER.map { |name| Group.new(name:, **texts(name), choices: choices(name, offered)) }
            groups.select { |group| group.choices.any? || group.typed? }
          end

          def texts(name)
            note = "narrow.limits.note.#{name}"
            { title: Book.t("narrow.limits.title.#{name}"), note: (Book.t(note) if Book.has?(note)) }
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
