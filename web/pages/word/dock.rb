# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Word
        # What stands at the foot of Word: how many papers the blocks have together, and what to do
        # next.
        class Dock
          include Formatting

          ADVICE = { few: "", none: "More names in a block find more: other words for it, or a broader heading.",
                     missing: "More names in a block find more: other words for it, or a broader heading.",
                     inside: "A person can read these as they are.", above: "The next step thins them out." }.freeze
          private_constant :ADVICE

          # page :: Word
          def initialize(page)
            @page = page
          end

          def size = cascade.joined.size

          # Where those papers are: "papers are in both", "paper is in P, while O has no name yet".
          def where
            verb = size == 1 ? "paper is" : "papers are"
            excluded = letters(of(:not).select { |column| column.block.tree })
            waiting = letters(of(:and) - filled)
            [[verb, inside].join(" "), ("not in #{excluded}" if excluded),
             ("while #{waiting} #{waiting.include?(" ") ? "have" : "has"} no name yet" if waiting && filled.any?)]
              .compact.join(", ")
          end

          # What keeps the papers few, or what to do with them.
          def advice
            joined = of(:and)
            return "No block is joined: join one at its foot." if joined.empty?
            return "Give each block its first name." if filled.empty?

            nothing = filled.select(&:nothing?)
            return "#{nothing.map(&:name).join(", ")}: nothing found yet." if nothing.any?
            return "Each block finds papers, but none is in all of them." if size.zero?

            "#{limits_words}#{reading_words}"
          end

          private

          def cascade = @page.opened.cascade
          def of(operator) = @page.columns.select { |column| column.block.operator == operator }
          def filled = of(:and).select { |column| column.block.tree }
          def letters(columns) = columns.empty? ? nil : columns.map(&:letter).join(" and ")

          def inside
            return "joined" if filled.empty?
            return "in #{letters(filled)}" if filled.size < of(:and).size
            return "in this block" if filled.size == 1

            filled.size == 2 ? "in both" : "in all #{filled.size}"
          end

          def limits_words
            on = @page.inquiry.limits.count(&:on)
            final = @page.opened.final
            words = @page.standing_words
            return "#{capital(words)}. #{ADVICE.fetch(@page.outlook.standing)}".strip if on.zero?

            "#{on} #{on == 1 ? "limit leaves" : "limits leave"} #{number(final)}: #{words}."
          end

          def reading_words
            kept = @page.question.elements.reject { |element| element.searched? || element.blank? }
            kept.empty? ? "" : " Not searched: #{kept.map { |element| "“#{element.name}”" }.join(", ")}."
          end
        end
      end
    end
  end
end
