# frozen_string_literal: true

require "set"

module Hobrin
  # The headings of a library and how they hang together. A heading may have several broader ones, so
  # "narrower" means everything below it, through every branch.
  #
  # Raises InputError when a broader or related heading does not exist, when a name leads to two
  # headings, or when headings are broader than themselves in a circle; the heading is named.
  class Thesaurus
    attr_reader :headings

    # headings :: Array of Thesaurus::Heading
    def initialize(headings)
      @headings = headings.sort_by(&:label).freeze
      @by_label = @headings.to_h { |heading| [heading.label, heading] }.freeze
      @by_name = names_of(@headings).freeze
      @children = children_of(@headings).freeze
      @closure = Closure.new(@children).call
      @look_up = LookUp.new(@headings)
      freeze
    end

    def inspect = "#<#{self.class} of #{headings.size} headings>"

    # The heading with exactly this preferred label, or nil.
    def heading(label) = @by_label[label]

    # The heading that a name leads to, by label or also-called name, folded; or nil.
    #
    #   thesaurus.named("acute confusion").label # => "Delirium"
    def named(name) = @by_name[Text::Tokens.of(name)]

    # Labels directly below a heading, sorted.
    def children(label) = @children.fetch(label, [].freeze)

    # A heading's label and the labels of all headings below it, as a frozen Array; the label alone when
    # there is no such heading.
    def with_narrower(label) = @closure.fetch(label) { [label].freeze }

    def narrower?(label) = with_narrower(label).size > 1

    # Headings for what a person typed, best first; see LookUp.
    def look_up(typed, limit: 8) = @look_up.call(typed, limit:)

    # The most words that any name has: how far a reader of free typing must look ahead.
    def longest_name = @by_name.keys.map(&:size).max || 0

    private

    def names_of(headings)
      headings.each_with_object({}) do |heading, names|
        heading.names.each do |name|
          key = Text::Tokens.of(name)
          other = names[key]
          refuse("“#{name}” leads to both #{other.label} and #{heading.label}.") if other && other != heading

          names[key] = heading
        end
      end
    end

    def children_of(headings)
      children = headings.to_h { |heading| [heading.label, []] }
      headings.each do |heading|
        heading.broader.each { |above| children.fetch(above) { missing(heading, above) } << heading.label }
        heading.related.each { |label| @by_label.key?(label) || missing(heading, label) }
      end
      children.transform_values(&:freeze)
    end

    def missing(heading, label) = refuse("#{heading.label} names “#{label}”, which is no heading here.")

    def refuse(message) = raise(InputError, { thesaurus: message })
  end
end
