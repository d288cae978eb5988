# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      # What reads differently in two versions of a report.
      module Since
        # title :: of the section; gone, come :: Array of texts that only one of them has
        class Part < Value
          attributes :title, :gone, :come
        end

        # older, newer :: Report. Gives an Array of Part, for the sections that differ.
        def self.of(older, newer)
          (newer.sections.map(&:key) | older.sections.map(&:key)).filter_map do |key|
            one, other = [older, newer].map { |report| report.section(key) }
            before, now = [one, other].map do |section|
              section ? section.blocks.flat_map(&:lines).tally : {}
            end
            gone, come = [only(before, now), only(now, before)]
            Part.new(title: (other || one).title, gone:, come:) if gone.any? || come.any?
          end
        end

        # A text that stands twice counts twice.
        def self.only(these, those)
          these.flat_map { |text, count| [text] * [count - those.fetch(text, 0), 0].max }
        end
        private_class_method :only
      end
    end
  end
end
