# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Word
        # How a block is joined, or, on the cascade, switched and moved.
        class BlockForm < Form
          def self.step(fields) = fields.one_of(:from, %i[narrow]) || :word

          def edit
            block = fields.text(:key)
            step = self.class.step(fields)
            case fields.text(:do)
            when "switch" then Edits::Blocks::Switch.new(block:, step:)
            when "up" then Edits::Blocks::MoveUp.new(block:, step:)
            when "" then Edits::Blocks::Join.new(block:, operator:, step:)
            else unknown
            end
          end

          def after(_outcome) = After.new(step: self.class.step(fields))

          private

          def operator
            fields.one_of(:operator, Strategy::Block::OPERATORS.keys) or
              raise InputError, { operator: "Choose how this block is joined." }
          end
        end
      end
    end
  end
end
