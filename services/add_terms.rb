# frozen_string_literal: true

module Hobrin
  module Services
    # Adds what a person typed, or one heading they picked, to a block.
    class AddTerms
      def initialize(context)
        @context = context
      end

      # typed :: free typing, read by the thesaurus. Raises InputError (:typed).
      def call(id, key, typed)
        parts = Thesaurus::Reading.new(@context.library.thesaurus).call(typed)
        raise InputError, { typed: "Write a name for this: a word, a phrase, or several." } if parts.empty?

        add(id, key, parts.map { |part| leaf(part) })
      end

      def words(id, key, typed) = add(id, key, [words_leaf(typed)])

      # Raises InputError when the label is no heading.
      def heading(id, key, label) = add(id, key, [heading_leaf(label)])

      private

      def leaf(part) = part.kind == :heading ? heading_leaf(part.label) : words_leaf(part.text)

      def words_leaf(text)
        Strategy::Words.read(text)
      rescue InputError => e
        raise InputError, { typed: e.message }
      end

      def heading_leaf(label)
        heading = @context.library.thesaurus.heading(label)
        raise InputError, { typed: "“#{label}” is not a heading of this thesaurus." } unless heading

        Strategy::Heading.new(label: heading.label, narrower: @context.library.thesaurus.narrower?(heading.label))
      end

      def add(id, key, leaves)
        ChangeInquiry.new(@context).call(id, step: :word) do |inquiry|
          searched!(inquiry, key)
          fresh = leaves.uniq.reject { |leaf| inquiry.block(key).holds?(leaf) }
          raise InputError, { typed: "“#{leaves.map(&:label).join(", ")}” is in this block already." } if fresh.empty?

          [fresh.reduce(inquiry) { |grown, leaf| grown.with_leaf(key, leaf) },
           "Added #{fresh.map { |leaf| describe(leaf) }.join(", ")} to #{key}"]
        end
      end

      def searched!(inquiry, key)
        return if inquiry.question.element(key)&.searched?

        raise InputError, { typed: "This element is not searched. Change that on Ask." }
      end

      def describe(leaf) = leaf.is_a?(Strategy::Heading) ? "heading #{leaf.label}" : "words #{leaf.text}"
    end
  end
end
