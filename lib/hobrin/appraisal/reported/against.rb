# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
      # How the groups of a result stand against the two arms that its outcome compares.
      module Against
        SWAPPED = [%i[without with], [:without, nil], [nil, :with]].freeze
        SAME = [%i[without without], %i[with with]].freeze
        private_constant :SWAPPED, :SAME

        class << self
          # group, comparison :: names in words, "" where none is given; arms :: CloseReading::Arms.
          # Gives :swapped, :arms for groups that are neither of the two, or nil.
          def names(group, comparison, arms)
            sides = [group, comparison].map { |name| arms.side(name) unless name.empty? }
            return :swapped if SWAPPED.include?(sides)

            :arms if SAME.include?(sides) || sides.first == :other || (sides.last == :other && !arms.comparison.empty?)
          end

          # By what the sentence that gives the numbers calls the groups. reported :: a Reported
          def sentence(reported, arms)
            return unless Form.fetch(reported.form).two_groups

            offers = CloseReading::Offers.all_in(CloseReading::Passage.new(reported.shown), [reported.form], arms:)
            offer = offers.find { |offer| [offer, offer.turned].any? { |way| same?(way, reported) } }
            return unless offer&.settled && offer.labels.any? { |label| !label.empty? }

            :swapped unless same?(offer, reported)
          end

          private

          def same?(offer, reported)
            offer.typed.all? { |name, text| Typed.number(text) == Typed.number(reported.typed[name].to_s) }
          end
        end
      end
    end
  end
end
