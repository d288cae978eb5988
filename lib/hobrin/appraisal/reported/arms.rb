# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
      # Groups of one paper that share a comparison group, as one result: counts are added up,
      # means put together with their spread (the formula of the textbooks; see
      #   Statistics::Spread.together).
      module Arms
        class << self
          # arms :: Array of Reported, two or more of one form. Gives a Reported in place of the first.
          # Raises InputError (:trap) where that cannot be done.
          def together(arms)
            refuse if arms.size < 2 || arms.map(&:form).uniq.size > 1

            first = arms.first
            group = arms.map(&:group).reject(&:empty?).join(" or ")[0, 120]
            case first.form
            when "counts", "events_over_time" then first.with(group:, typed: sums(arms))
            when "estimate" then refuse
            else of_means(arms, group)
            end
          end

          private

          def refuse
            raise(InputError, { trap: Book.t("appraisal.errors.arms") })
          end

          # What belongs to the groups is added up; what belongs to the comparison is the same in
          # all.
          def sums(arms)
            names = Form.fetch(arms.first.form).fields.map(&:name)
            added = names.to_h do |name|
              [name, arms.sum { |arm| number(arm.typed[name], name) }.to_s]
            end
            { **arms.first.typed, **added }
          end

          def number(text, name) = name == :time ? Figures::Typed.number(text) : Figures::Typed.whole(text)

          def of_means(arms, group)
            pairs = arms.map(&:values)
            one, two = [Statistics::Spread.together(pairs.map(&:first)), pairs.first.last]
            typed = { **typed(one, ""), **typed(two, Form::OTHER) }
            arms.first.with(group:, form: "means_sd", typed:)
          end

          # All digits are kept: what is small beside its scale must not be rounded away.
          def typed(group, prefix)
            { mean: plain(group.mean), deviation: plain(group.deviation), size: group.size.to_s }
              .transform_keys { |name| :"#{prefix}#{name}" }
          end

          # Fifteen figures, without an exponent.
          def plain(value)
            places = value.zero? ? 1 : (14 - Math.log10(value.abs).floor).clamp(0, 20)
            format("%.#{places}f", value).sub(/(\.\d+?)0+\z/, '\1')
          end
        end

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
              offer.typed.all? { |name, text| Figures::Typed.number(text) == Figures::Typed.number(reported.typed[name].to_s) }
            end
          end
        end
      end
    end
  end
end
