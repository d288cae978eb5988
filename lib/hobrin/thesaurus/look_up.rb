# frozen_string_literal: true

module Hobrin
  class Thesaurus
    # Finds headings for what is being typed: the last word may be unfinished. In one of three ways:
    #
    # ranked   :: by where it was found: label from its start, also-called name from its start, at a
    #   word within the label, within an also-called name, words of the definition; shorter names first
    # contains :: only labels that hold what was typed, anywhere; begins :: only labels that begin
    #   with it
    class LookUp
      # heading :: the heading; name :: the name that matched, which may be an also-called one
      class Match < Value
        attributes :heading, :name, :rank

        def also_called? = name != heading.label
      end

      WAYS = %i[ranked contains begins].freeze
      DEFINITION_RANK = 4
      private_constant :DEFINITION_RANK

      def initialize(headings)
        @labels = NameList.new(headings.map { |heading| [heading, heading.label] })
        @others = NameList.new(headings.flat_map do |heading|
          heading.also_called.map { |name| [heading, name] }
        end)
        @definitions = NameList.new(headings.map { |heading| [heading, heading.definition] })
      end

      # typed :: String; limit :: how many at most; way :: one of WAYS.
      # Gives an Array of Match, one for each heading.
      def call(typed, limit:, way: :ranked)
        words = Text::Tokens.of(typed)
        return [] if words.empty?

        case way
        when :ranked then ranked(words, limit)
        when :begins then matches(@labels.beginning(words.join(" "), limit), 0)
        when :contains then matches(@labels.containing(words.join(" "), limit), 0)
        end
      end

      private

      def ranked(words, limit)
        typed = words.join(" ")
        label_first, label_within = @labels.at_words(typed, limit)
        other_first, other_within = @others.at_words(typed, limit)
        hits = [label_first, other_first, label_within, other_within]
        found = hits.each_with_index.flat_map { |some, rank| matches(some, rank) }.uniq(&:heading)
        return found.first(limit) if found.size >= limit

        (found + by_definition(words, limit)).uniq(&:heading).first(limit)
      end

      def by_definition(words, limit)
        @definitions.with_words(words, limit).map do |heading, _|
          Match.new(heading:, name: heading.label, rank: DEFINITION_RANK)
        end
      end

      def matches(hits, rank) = hits.map { |heading, name| Match.new(heading:, name:, rank:) }
    end
  end
end
