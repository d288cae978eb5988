# frozen_string_literal: true

module Hobrin
  module Services
    # Adds terms to a block: what a person typed, picked or pasted.
    class AddTerms
      # seen :: see ChangeInquiry
      def initialize(context, seen: nil)
        @context = context
        @thesaurus = context.thesaurus
        @change = ChangeInquiry.new(context, seen:)
      end

      # typed :: free typing, read by the thesaurus. Raises InputError (:typed).
      def call(id, key, typed)
        parts = Thesaurus::Reading.new(@thesaurus).call(typed)
        raise InputError, { typed: "Write a name for this: a word, a phrase, or several." } if parts.empty?

        typed = parts.to_h do |part|
          [part.kind == :heading ? heading_leaf(part.label) : words_leaf(part.text), part.text]
        end
        add(id, key, typed.keys, names: typed)
      end

      # parts :: Array of [:heading or :words, text]: a reading as the person left it
      def parts(id, key, parts)
        add(id, key, parts.map { |kind, text| kind == :heading ? heading_leaf(text) : words_leaf(text) })
      end

      def words(id, key, *typed) = add(id, key, typed.map { |text| words_leaf(text) })

      # Raises InputError when a label is no heading.
      def heading(id, key, *labels) = add(id, key, labels.map { |label| heading_leaf(label) })

      # A heading searched in a way of its own. narrower, main, aspects :: as in Strategy::Heading
      def heading_as(id, key, label, narrower:, main:, aspects:)
        allowed = heading_leaf(label).then { |leaf| @thesaurus.heading(leaf.label).aspects }
        narrower &&= @thesaurus.narrower?(label)
        add(id, key, [Strategy::Heading.new(label:, narrower:, main:, aspects: aspects & allowed)])
      end

      def author(id, key, name) = add(id, key, [said(:typed) { Strategy::Author.read(name) }])

      def journal(id, key, name)
        add(id, key, [Strategy::Journal.named(said(:typed) { @context.vocabulary.journal(name) })])
      end

      # text :: see Strategy::PastedList. Gives the entries that could not be read, as [entry, why]; the others are added.
      # Raises InputError (:list) when none can.
      def list(id, key, text)
        list = Strategy::PastedList.read(text, thesaurus: @thesaurus, vocabulary: @context.vocabulary)
        refused = list.refused.map { |entry, why| "“#{entry}”: #{why}" }.join(" ")
        raise InputError, { list: refused } if list.leaves.empty?

        add(id, key, list.leaves, :list)
        list.refused
      end

      private

      def words_leaf(text) = said(:typed) { Strategy::Words.read(text) }

      # Says at the entry line what a leaf says of itself.
      def said(field)
        yield
      rescue InputError => e
        raise InputError, { field => e.message }
      end

      def heading_leaf(label)
        heading = @thesaurus.heading(label)
        raise InputError, { typed: "“#{label}” is not a heading of this thesaurus." } unless heading

        Strategy::Heading.new(label: heading.label, narrower: @thesaurus.narrower?(heading.label))
      end

      def held(leaf, name)
        if name.nil? || Text::Tokens.line(name) == Text::Tokens.line(leaf.label)
          return "“#{leaf.label}” is in this block already."
        end

        "“#{name}” is filed under #{leaf.label}, which is in this block already. " \
          "Put it in quotation marks to search it as words."
      end

      # names :: Hash of leaf to what was typed for it
      def add(id, key, leaves, field = :typed, names: {})
        raise InputError, { field => "Choose at least one." } if leaves.empty?

        @change.call(id, step: :word) do |inquiry|
          element = inquiry.question.element(key)
          raise InputError, { field => "This element is not searched. Change that on Ask." } unless element&.searched?

          fresh = leaves.uniq.reject { |leaf| inquiry.block(key).holds?(leaf) }
          raise InputError, { field => leaves.uniq.map { |leaf| held(leaf, names[leaf]) }.join(" ") } if fresh.empty?

          [fresh.reduce(inquiry) { |grown, leaf| grown.with_leaf(key, leaf) },
           "Added #{fresh.map { |leaf| Strategy::Wording.of(leaf) }.join(", ")} to #{element.letter}"]
        end
      end
    end
  end
end
