# frozen_string_literal: true

module Hobrin
  module Catalogue
    class Translation
      # Several parts put together by one Boolean; those that were left out are not there.
      module Joined
        # parts :: Array of Part; word :: "or" or "and"; the block makes one tree of several
        def self.call(parts, word)
          notes = parts.flat_map(&:notes).uniq
          there = parts.reject(&:left_out?)
          return Part.new(became: nil, text: "", notes:) if there.empty?

          texts = there.map(&:text).uniq
          Part.new(became: yield(there.map(&:became)), notes:,
                   text: texts.one? ? texts.first : "(#{texts.join(" #{word} ")})")
        end
      end
    end
  end
end
