# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Word
        # What one press of a button changes of a term.
        class TermForm < Form
          # A term that was put aside needs its card no more.
          CLOSING = %w[cross_out remove].freeze
          private_constant :CLOSING

          def edit
            return Edits::Terms::TurnHeading.new(term_id:, choice:) if fields.some_text(:turn)

            case fields.text(:do)
            when "cross_out" then Edits::Terms::CrossOut.new(term_id:, reason: fields.text(:reason))
            when "take_back" then Edits::Terms::Restore.new(term_id:)
            when "take_away" then Edits::Terms::Exclude.new(term_id:)
            when "remove" then Edits::Terms::Remove.new(term_id:)
            when "reword" then Edits::Terms::Reword.new(term_id:, leaf:)
            else moved || unknown
            end
          end

          def after(_outcome)
            After.new(stay: { "open" => CLOSING.include?(fields.text(:do)) ? "" : fields.text(:open) })
          end

          private

          def term_id = id(:term, of: "term")

          # The name of an aspect comes with a mark of its own, so that none can be taken for one of
          # the other two.
          def choice
            turn = fields.text(:turn)
            return turn.to_sym if %w[narrower main].include?(turn)

            turn.delete_prefix("aspect:")
          end

          def moved
            case fields.text(:do)
            when "up" then Edits::Terms::Move.new(term_id:, by: -1)
            when "down" then Edits::Terms::Move.new(term_id:, by: 1)
            when "move" then Edits::Terms::Send.new(term_id:, to: fields.text(:to))
            end
          end

          def leaf
            where = fields.list(:in).map(&:to_sym) & Strategy::TextTerm::FIELDS.keys
            text = fields.text(:text)
            return Strategy::TextTerm.read(text, fields: where) unless fields.text(:as) == "near"

            near = { distance: fields.number(:distance), ordered: fields.checked?(:ordered) }
            Strategy::Proximity.split(text, split: fields.number(:split) || 1, fields: where, **near)
          end
        end
      end
    end
  end
end
