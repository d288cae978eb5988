# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Parts
        # What the parts of a report have in common.
        class Part
          include Text::Numerals

          # material :: Material
          def initialize(material)
            @material = material
          end

          private

          attr_reader :material

          def brief = material.brief
          def acting = material.acting

          # Nil without anything in it.
          def section(key, title, *blocks)
            blocks = blocks.flatten.compact
            Section.new(key:, title:, blocks:) unless blocks.empty?
          end

          def words(text, as = :plain) = (Words.new(text:, as:) unless text.to_s.strip.empty?)
          def items(list) = (Items.new(list:) unless list.empty?)
          def grid(name, columns, rows) = (Grid.new(name:, columns:, rows:) unless rows.empty?)
        end
      end
    end
  end
end
