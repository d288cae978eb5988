# frozen_string_literal: true

module Hobrin
  # The headings of a library and how they hang together. A heading may have several broader ones,
  # so "narrower" means everything below it, through every branch.
  #
  # Raises InputError when they do not hang together (see Integrity); each heading at fault is
  # named.
  class Thesaurus
    attr_reader :headings

    MOST_ERRORS_SAID = 10
    private_constant :MOST_ERRORS_SAID

    # headings :: Array of Thesaurus::Heading
    # checked  :: that they are known to hang together, as those that a library gives back are
    def initialize(headings, checked: false)
      refuse(headings) unless checked
      @headings = headings.sort_by(&:label).freeze
      @by_label = @headings.to_h { |heading| [heading.label, heading] }.freeze
      @by_uri = @headings.to_h { |heading| [heading.uri, heading] }.tap { |all| all.delete(nil) }.freeze
      @children = children_of(@headings).freeze
      @closure = Integrity::Closure.new(@children).call
      # Made when they are first asked for: with many thousand names they take seconds, and most
      # pages need neither.
      @late = {}
      @lock = Mutex.new
      freeze
    end

    def inspect = "#<#{self.class} of #{headings.size} headings>"

    # The heading with exactly this preferred label, or nil.
    def heading(label) = @by_label[label]

    # The heading with this URI, or nil.
    def at(uri) = @by_uri[uri]

    # The heading that a name leads to, by label or also-called name, folded; or nil. A label goes
    # before an also-called name.
    #
    #   thesaurus.named("acute confusion").label # => "Delirium"
    def named(name) = by_name[Text::Tokens.line(name)]

    # Every label and also-called name.
    def names = headings.flat_map(&:names)

    # The most words that any name has: how far a reader of free typing must look ahead.
    def longest_name
      late(:longest_name) { by_name.keys.map { |name| name.count(" ") + 1 }.max || 0 }
    end

    # Labels directly below a heading, sorted.
    def children(label) = @children.fetch(label, [].freeze)

    # A heading's label and the labels of all headings below it, as a frozen Array; the label alone
    # when there is no such heading.
    def with_narrower(label) = @closure.fetch(label) { [label].freeze }

    # The aspects that a heading allows, and with `narrower` those of all below it; each once. None
    # when there is no such heading.
    def aspects(label, narrower: false)
      labels = narrower ? with_narrower(label) : [label]
      labels.flat_map { |label| heading(label)&.aspects || [] }.uniq
    end

    def narrower?(label) = with_narrower(label).size > 1

    # Labels of the headings that are related, whichever of the two says so (SKOS S23: it goes both
    # ways); sorted.
    def related(label)
      late(:related) { related_both_ways }.fetch(label, [])
    end

    # Every place that a heading has: an Array of paths, each an Array of labels from the top down
    # to it.
    #
    #   thesaurus.places("Delirium") # => [["Conditions", "Confusion", "Delirium"], ["Conditions", "Complications", …]]
    def places(label)
      above = @by_label[label]&.broader || []
      return [[label]] if above.empty?

      above.flat_map { |broader| places(broader).map { |path| [*path, label] } }
    end

    # Headings for what a person typed, best first; see LookUp.
    def look_up(typed, limit: 8, way: :ranked)
      late(:look_up) { LookUp.new(headings) }.call(typed, limit:, way:)
    end

    # Headings whose names share words with these, nearest first; see NearNames.
    def near(words, limit:) = late(:near) { NearNames.new(headings) }.call(words, limit:)

    # The word of its names that is spelled most like this one, nil when it is one of them or none
    # is near; see Spelling.
    def spelling(word) = late(:spelling) { Spelling.new(names) }.call(word)

    # Whether any of its names has this word of four letters or more, folded.
    def word?(word) = late(:spelling) { Spelling.new(names) }.named?(word)

    private

    def refuse(headings)
      errors = Integrity.new(headings).errors
      return if errors.empty?

      more = errors.size > MOST_ERRORS_SAID ? Book.t("terms.headings.more", count: errors.size - MOST_ERRORS_SAID) : ""
      raise InputError, { thesaurus: errors.first(MOST_ERRORS_SAID).join(" ") + more }
    end

    def related_both_ways
      pairs = headings.flat_map do |heading|
        heading.related.flat_map { |other| [[heading.label, other], [other, heading.label]] }
      end
      pairs.group_by(&:first).transform_values { |same| same.map(&:last).uniq.sort.freeze }
    end

    def by_name = late(:by_name) { names_to_headings }

    def late(name)
      @late[name] || begin
        made = yield
        @lock.synchronize { @late[name] ||= made.freeze }
      end
    end

    # Labels are written last, so that they win.
    def names_to_headings
      also = @headings.reverse.flat_map do |heading|
        heading.also_called.map { |name| [name, heading] }
      end
      [*also, *@headings.map { |heading| [heading.label, heading] }].to_h do |name, heading|
        [Text::Tokens.line(name), heading]
      end
    end

    def children_of(headings)
      children = headings.to_h { |heading| [heading.label, []] }
      headings.each do |heading|
        heading.broader.each { |above| children.fetch(above) << heading.label }
      end
      children.transform_values(&:freeze)
    end

    # One subject heading.
    #
    # label :: the preferred name; also_called :: other names that lead here
    # broader, related :: labels of other headings, any number; aspects :: the aspects allowed with it
    # use_instead :: labels of the headings that took its place, none while it is in use itself
    # added :: the year it came into the thesaurus, or nil; uri, notation :: as its source has them,
    #   or nil
    class Heading < Value
      attributes :label, :also_called, :definition, :broader, :related, :aspects, :use_instead,
                 :added, :uri, :notation

      def initialize(label:, also_called: [], definition: "", broader: [], related: [], aspects: [],
                     use_instead: [], added: nil, uri: nil, notation: nil)
        raise ArgumentError, "a heading needs a label" if label.to_s.strip.empty?

        @label = label.dup.freeze
        @definition = definition.dup.freeze
        @also_called, @broader, @related, @aspects, @use_instead =
          [also_called, broader, related, aspects, use_instead].map do |names|
            names.map { |name| name.dup.freeze }.freeze
          end
        @added = added
        @uri = uri&.dup.freeze
        @notation = notation&.dup.freeze
        freeze
      end

      def names = [label, *also_called]
    end
  end
end
