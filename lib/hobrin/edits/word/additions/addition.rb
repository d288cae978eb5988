# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # What all edits that add terms to a block have in common: which leaves those are is for each
      # to say.
      #
      # block :: key of the block
      class Addition < Edit
        STEP = :word
        # The field at which a refusal is said.
        FIELD = :typed

        # What was read.
        #
        # typed :: Hash of each leaf to what was typed for it, nil where that is the leaf itself;
        #   without :: Array of those leaves that take papers away; facts :: further facts
        class Reading < Value
          attributes :typed, :without, :facts

          def initialize(typed:, without: [], facts: {}) = super

          def self.of(leaves) = new(typed: leaves.to_h { |leaf| [leaf, nil] })

          def leaves = typed.keys
        end

        # Raises InputError when there is nothing to add, all of it is there already, or the element
        # is not searched.
        def call(inquiry, surroundings)
          reading = read(surroundings)
          refuse("Choose at least one.") if reading.leaves.empty?

          element = inquiry.question.element(block)
          refuse("This element is not searched. Change that on Ask.") unless element&.searched?

          fresh = reading.leaves.reject { |leaf| inquiry.block(block).holds?(leaf) }
          refuse(reading.typed.map { |leaf, typed| held(leaf, typed) }.join(" ")) if fresh.empty?

          taken = reading.without & fresh
          away = taken.empty? ? {} : { without: taken.map(&:label) }
          Change.new(inquiry: grown(inquiry, fresh, taken), kind: :terms_added,
                     facts: { letter: element.letter, leaves: fresh - taken, **away, **reading.facts })
        end

        private

        # The inquiry with leaves added, some of them as terms that take papers away.
        def grown(inquiry, leaves, without)
          leaves.reduce(inquiry) do |now, leaf|
            added = now.with_leaf(block, leaf)
            next added unless without.include?(leaf)

            added.with_block(added.block(block).replace(now.next_term) { |term| term.with(excluded: true) })
          end
        end

        # A text read as a list: a Reading.
        def listed(text, surroundings)
          list = InputError.at(self.class::FIELD) do
            Strategy::PastedList.read(text, thesaurus: surroundings.evaluator.thesaurus, vocabulary: surroundings.vocabulary,
                                            known: known(surroundings))
          end
          leaves = list.leaves + list.without
          refuse(list.refused.map { |entry, why| "“#{entry}”: #{why}" }.join(" ")) if leaves.empty?

          Reading.new(typed: leaves.to_h { |leaf| [leaf, nil] }, without: list.without, facts: { refused: list.refused })
        end

        # Whether a word occurs in any paper.
        def known(surroundings)
          lambda do |word|
            !surroundings.evaluator.call(Strategy::TextTerm.read(word)).empty?
          rescue InputError
            false
          end
        end

        # Hook: gives a Reading.
        def read(_surroundings) = raise(NotImplementedError)

        def refuse(message) = raise(InputError, { self.class::FIELD => message })

        def heading(label, surroundings)
          found = surroundings.evaluator.thesaurus.heading(label)
          refuse("“#{label}” is not a heading of this thesaurus.") unless found

          Strategy::Heading.of(found.label, surroundings.evaluator.thesaurus)
        end

        def words(text) = InputError.at(self.class::FIELD) { Strategy::TextTerm.read(text) }

        def held(leaf, typed)
          return "“#{leaf.label}” is in this block already." if typed.nil? || Text::Tokens.line(typed) == Text::Tokens.line(leaf.label)

          "“#{typed}” is filed under #{leaf.label}, which is in this block already. " \
            "Put it in quotation marks to search it as words."
        end
      end
    end
  end
end
