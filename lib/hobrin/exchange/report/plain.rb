# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      # A report to and from plain data, so that one that was signed can be opened as it was.
      module Plain
        BLOCKS = { "words" => Words, "grid" => Grid, "items" => Items, "picture" => Picture }.freeze
        private_constant :BLOCKS

        class << self
          # Gives a Hash that JSON can hold.
          def dump(report)
            sections = report.sections.map do |section|
              { key: section.key, title: section.title, blocks: section.blocks.map { |one| block(one) } }
            end
            { title: report.title, sample: report.sample, made: report.made.iso8601, sections: }
          end

          # data :: Hash with Symbols for keys. Gives a Report.
          def load(data)
            sections = data[:sections].map do |one|
              Section.new(key: one[:key].to_sym, title: one[:title], blocks: one[:blocks].map { |block| opened(block) })
            end
            Report.new(title: data[:title], sample: data[:sample], made: Date.iso8601(data[:made]),
                       sections:)
          end

          private

          def block(one) = { block: BLOCKS.key(one.class), **one.to_h }

          def opened(data)
            rest = data.except(:block)
            rest[:as] = rest[:as].to_sym if rest.key?(:as)
            BLOCKS.fetch(data[:block]).new(**rest)
          end
        end
      end
    end
  end
end
