# frozen_string_literal: true

module Hobrin
  module Appraisal
    module Sheets
      # How much concern there is that error came in, by group of questions and in all.
      #
      # The rule, which stands on the sheet: a "no" is of high concern (of some, where it often
      # cannot be otherwise), "mostly" and "not told" of some, "yes" of low. A group is as its
      # worst answer, the whole as its worst group. A group without an answer says nothing (common
      # practice, no source).
      module Concern
        LEVELS = %i[low some high].freeze
        WORDS = { low: "low concern", some: "some concern", high: "high concern" }.freeze
        RULE = "A “no” is of high concern, “mostly” and “not told” of some. A group is as its worst answer, " \
               "the whole " \
               "as its worst group."

        # A concern that a person set otherwise: concern :: one of LEVELS; why :: the reason
        class Set < Value
          attributes :concern, :why

          LONGEST = 300
          private_constant :LONGEST

          # Raises InputError (:concerns).
          def initialize(concern:, why:)
            @concern = concern.to_s.to_sym
            @why = why.to_s.strip.freeze
            raise InputError, { concerns: "Choose low, some or high." } unless LEVELS.include?(@concern)
            raise InputError, { concerns: "Say why the concern is set otherwise." } if @why.empty?
            raise InputError, { concerns: "Keep the reason to #{LONGEST} characters." } if @why.size > LONGEST

            freeze
          end
        end

        class << self
          # questions :: Array of Question; answers :: Hash of key to Answer; set :: Hash of group to Set
          # Gives a Hash of group to one of LEVELS, groups that say nothing left out.
          def by_group(questions, answers, set = {})
            questions.group_by(&:group).filter_map do |group, some|
              found = set[group]&.concern || worst(some.filter_map { |question| of(question, answers[question.key]) })
              [group, found] if found
            end.to_h
          end

          # Of the whole paper; nil when nothing is answered.
          def overall(by_group) = worst(by_group.values)

          private

          def of(question, answer)
            case answer&.says
            when :yes then :low
            when :mostly, :not_told then :some
            when :no then question.light ? :some : :high
            end
          end

          def worst(levels) = levels.max_by { |level| LEVELS.index(level) }
        end
      end
    end
  end
end
