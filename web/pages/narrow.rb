# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Narrow step: the cascade, and beside it what could be put on (`limits`, `filters`), what would change (`what_ifs`)
      # and the papers that must be found (`must_find`). What is open on it is named by `opened`, `what_if`, `two` and `show`.
      class Narrow < Step
        MOST_NAMED = 3
        SILENT = { age: "state no age", type: "state no study type", dates: "state no year", sex: "state no sex",
                   species: "do not say whether people or animals", language: "state no language",
                   place: "state no place", added: "do not say when they were added" }.freeze
        FEW_OPENED = 8
        MOST_OPENED = 40
        private_constant :MOST_NAMED, :SILENT, :FEW_OPENED, :MOST_OPENED

        def steps = standing.cascade.steps
        def largest = steps.map(&:size).max || 1
        def reader = @reader ||= Services::ReadNarrow.new(@context)
        def limits = @limits ||= LimitChoices.new(self, reader)
        def filters = @filters ||= FilterChoices.new(self, Services::ReadFilters.new(@context))
        def what_ifs = @what_ifs ||= WhatIfRows.new(self, Services::ReadWhatIfs.new(@context))
        def must_find = @must_find ||= MustFindRows.new(self, Services::ReadWhatIfs.new(@context))
        def showing?(part) = fields.text(:show) == part

        # Where the tools of a step send what they do.
        def step_path(step) = path(step.block? ? "blocks/#{step.source.key}" : "limits/#{step.source.slot}")

        # Whether a step has one of its kind above it.
        def movable?(place)
          above = place.positive? && steps[place - 1]
          above && kind_of(above) == kind_of(steps[place])
        end

        def label(step) = step.block? ? block_label(step.source) : Narrowing::Wording.of(step.source.leaf)
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

        def aim(field) = errors[:aim] ? fields.text(:"aim_#{field}") : inquiry.aim.public_send(field)

        # What the check of the search found, by group, each with its number; nil while it is not open.
        def findings
          return unless showing?("check")

          all = Services::MendSearch.new(@context).findings(inquiry)
          @findings ||= all.each_with_index.group_by { |finding, _| finding.group }
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

        def kind_of(step) = step.block? ? step.source.joins : :limit

        def block_label(block)
          name = question.element(block.key).name
          block.joins == :not ? "Not: #{name}" : name[0].upcase + name[1..]
        end

        def unstated_by(silence)
          step = silence.step
          fresh = ", #{silence.not_indexed} of them because they are not indexed yet" if silence.not_indexed.positive?
          "#{silence.papers} of the #{step.removed.size} papers that “#{short_label(step)}” took away " \
            "#{SILENT.fetch(step.source.name)}#{fresh}. Open the step to look at them."
        end
      end
    end
  end
end
