# frozen_string_literal: true

module Hobrin
  module Edits
    # Every way in which terms are added to a block.
    module Additions
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
          refuse(Book.t("edits.errors.choose_one")) if reading.leaves.empty?

          element = inquiry.question.element(block)
          refuse(Book.t("edits.errors.not_searched")) unless element&.searched?

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
          refuse(Book.t("edits.errors.not_a_heading", label:)) unless found

          Strategy::Heading.of(found.label, surroundings.evaluator.thesaurus)
        end

        def words(text) = InputError.at(self.class::FIELD) { Strategy::TextTerm.read(text) }

        def held(leaf, typed)
          if typed.nil? || Text::Tokens.line(typed) == Text::Tokens.line(leaf.label)
            return Book.t("edits.errors.already_in_block", label: leaf.label)
          end

          Book.t("edits.errors.filed_under", words: typed, heading: leaf.label)
        end
      end

      # Adds what a person typed. Without operators it is read by the thesaurus: the longest names it
      # knows as headings, the rest as words; with them as Strategy::Entry has it.
      class AddTyped < Addition
        attributes :block, :typed

        private

        def read(surroundings)
          return listed(typed, surroundings) if Strategy::PastedList.cql?(typed)

          entry = entry(surroundings)
          refuse(entry.why) unless entry.read?
          return listed(typed, surroundings) unless entry.plain?

          parts = Thesaurus::Reading.new(surroundings.evaluator.thesaurus).call(typed)
          refuse(Book.t("edits.errors.type_term")) if parts.empty?

          Reading.new(typed: parts.to_h { |part| [leaf(part, surroundings), part.text] })
        end

        def entry(surroundings)
          whole = ->(text) { !surroundings.evaluator.thesaurus.named(text).nil? }
          InputError.at(FIELD) { Strategy::Entry.read(typed, known: known(surroundings), whole:) }
        end

        def leaf(part, surroundings)
          part.kind == :heading ? heading(part.label, surroundings) : words(part.text)
        end
      end

      # Adds a reading as the person left it: headings and words, in their order.
      #
      # parts :: Array of [:heading or :words, text]
      class AddParts < Addition
        attributes :block, :parts

        def self.headings(block, *labels)
          new(block:, parts: labels.map { |label| [:heading, label] })
        end

        def self.words(block, *texts) = new(block:, parts: texts.map { |text| [:words, text] })

        private

        def read(surroundings)
          Reading.of(parts.map { |kind, text| kind == :heading ? heading(text, surroundings) : words(text) })
        end
      end

      # Adds a heading searched in a way of its own.
      #
      # narrower, main, aspects :: as in Strategy::Heading; what the heading does not allow is left
      #   out
      class AddHeading < Addition
        attributes :block, :label, :narrower, :main, :aspects

        private

        def read(surroundings)
          plain = heading(label, surroundings)
          leaf = plain.with(narrower: narrower && plain.narrower, main:)
          allowed = surroundings.evaluator.thesaurus.aspects(leaf.label, narrower: leaf.narrower)
          Reading.of([leaf.with(aspects: aspects & allowed)])
        end
      end

      # Adds an author by name.
      class AddAuthor < Addition
        attributes :block, :name

        private

        def read(_surroundings) = Reading.of([InputError.at(FIELD) { Strategy::Author.read(name) }])
      end

      # Adds a journal that the library has, by its name.
      class AddJournal < Addition
        attributes :block, :name

        private

        def read(surroundings)
          Reading.of([Strategy::Journal.named(InputError.at(FIELD) { surroundings.vocabulary.journal(name) })])
        end
      end

      # Adds a list that was pasted, see Strategy::PastedList. What cannot be read is told in the
      # facts as `refused`, an Array of [entry, why]; the others are added. Raises InputError
      # (:list) when none can be.
      class AddList < Addition
        FIELD = :list
        attributes :block, :text

        private

        def read(surroundings) = listed(text, surroundings)
      end

      # Gives several empty blocks their first terms at once.
      #
      # terms :: Hash of the key of a block to an Array of [:heading or :words, text]
      class StartBlocks < Edit
        STEP = :word
        attributes :terms

        # Raises InputError (:press) when there is nothing to add, and what Edits::Additions::AddParts raises.
        def call(inquiry, surroundings)
          wanted = terms.reject { |key, parts| parts.empty? || inquiry.block(key).terms.any? }
          raise InputError, { press: Book.t("edits.errors.have_terms") } if wanted.empty?

          changes = []
          changed = wanted.reduce(inquiry) do |now, (block, parts)|
            changes << AddParts.new(block:, parts:).call(now, surroundings)
            changes.last.inquiry
          end
          letters = changes.map { |change| change.facts[:letter] }
          count = changes.sum { |change| change.facts[:leaves].size }
          Change.new(inquiry: changed, kind: :blocks_started, facts: { letters:, terms: count })
        end
      end
    end
  end
end
