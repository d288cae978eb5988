# frozen_string_literal: true

module Hobrin
  class Brief
    # What a sentence of the conclusion claims, against what the table of findings allows.
    module Claim
      # Words of what happens, and words that hold it back. Common practice, no source; the words
      # are ours.
      HAPPENS = /\b(?:lowers?|reduces?|prevents?|halves?|improves?|raises?|increases?|helps?|works?|saves?|decreases?|
                 cuts?|protects?|harms?|causes?|avoids?|shortens?|lengthens?)\b/ix
      PROBABLY = /\b(?:probably|likely)\b/i
      PERHAPS = /\b(?:may|might|could|perhaps|possibly|cannot tell|unclear|uncertain|not known)\b/i
      private_constant :HAPPENS, :PROBABLY, :PERHAPS

      class << self
        # rows :: Array of Appraisal::Findings::Row. Gives a sentence to begin from; nil where
        # nothing is found.
        def proposed(rows)
          row = rows.find(&:words) or return
          without, with = row.hundred.first(2).map { |share| (100 * share).round } if row.side && row.hundred
          people = ": of 100 like ours #{without} without it, #{with} with it" if without
          "#{row.words}#{people} (#{row.certainty.word} certainty)."
        end

        # What is claimed more surely than the findings allow, in a sentence; nil where nothing is.
        # sentence :: String; rows :: as above
        def too_sure(sentence, rows)
          level = rows.select do |row|
            row.certainty && row.effect
          end.map { |row| row.certainty.level }.max
          return if level.nil? || sentence.strip.empty?

          told = surest(sentence)
          return if told.nil? || told <= level

          "This says more than the findings allow: #{ALLOWED.fetch(level)}"
        end

        private

        # How surely the surest part of a sentence says that something happens: 4, 3 or 2; nil
        # where it does not say so.
        def surest(sentence)
          parts = sentence.split(/[;:,.]|\band\b/).grep(HAPPENS)
          parts.map { |part| part.match?(PERHAPS) ? 2 : (part.match?(PROBABLY) ? 3 : 4) }.max
        end
      end

      ALLOWED = { 4 => "", 3 => "none of them is more than moderate, so say “probably”.",
                  2 => "none of them is more than low, so say “may”.",
                  1 => "all are very low, so say that we cannot tell." }.freeze
      private_constant :ALLOWED
    end
  end
end
