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
        #   facts :: further facts
        class Reading < Value
          attributes :typed, :facts

          def self.of(leaves) = new(typed: leaves.to_h { |leaf| [leaf, nil] }, facts: {})

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

          Change.new(inquiry: fresh.reduce(inquiry) do |grown, leaf|
            grown.with_leaf(block, leaf)
          end, kind: :terms_added,
                     facts: { letter: element.letter, leaves: fresh, **reading.facts })
        end

        private

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
