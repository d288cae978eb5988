# frozen_string_literal: true

module Hobrin
  module Services
    # Changes one term of a block: how it searches, whether it counts, where it stands.
    class ChangeTerm
      # seen :: see ChangeInquiry
      def initialize(context, seen: nil)
        @context = context
        @change = ChangeInquiry.new(context, seen:)
      end

      def cross_out(id, term_id, reason)
        call(id, term_id, "Crossed out") { |term| term.with(crossed_out: reason.strip) }
      end

      # Puts a crossed out term back to use, and one that takes away back to finding.
      def take_back(id, term_id) = call(id, term_id, "Took back") { |term| term.with(crossed_out: nil, away: false) }

      def take_away(id, term_id) = call(id, term_id, "Takes away") { |term| term.with(crossed_out: nil, away: true) }

      def remove(id, term_id) = call(id, term_id, "Removed") { nil }

      # Turns one choice of a heading over. choice :: "narrower", "main", or "aspect:" and its name
      def turn(id, term_id, choice)
        note = ->(leaf) { ": #{Strategy::Wording.note(leaf, @context.thesaurus.with_narrower(leaf.label).size - 1)}" }
        call(id, term_id, "Changed", Strategy::Heading, note:) { |term| term.with(leaf: turned(term.leaf, choice)) }
      end

      # text, fields :: as in Strategy::Words; near :: nil for a phrase, else { distance:, ordered:, split: how many words
      # stand on the left side }. Raises InputError (:words, :fields, :distance).
      def reword(id, term_id, text:, fields:, near: nil)
        leaf = near ? near_leaf(text, fields, near) : Strategy::Words.read(text, fields:)
        note = ->(changed) { " to #{changed.label} (#{Strategy::Wording.note(changed)})" }
        call(id, term_id, "Changed", [Strategy::Words, Strategy::Near], note:) { |term| term.with(leaf:) }
      end

      # Moves a term among its neighbours. by :: 1 down, -1 up
      def move(id, term_id, by)
        edit(id, term_id, ->(inquiry, block) { inquiry.block(block.key).terms.map(&:id) }) do |inquiry, block, term, _|
          [inquiry.with_block(block.moved(term_id, by)), "Moved #{term.label} #{by.positive? ? "down" : "up"}"]
        end
      end

      # Moves a term to the end of another block. Raises InputError (:term) when that one has it already.
      def move_to(id, term_id, key)
        edit(id, term_id) do |inquiry, block, term, _|
          other = inquiry.question.element(key)
          refuse(:term, "Choose a block that is searched.") unless other&.searched? && key != block.key
          refuse(:term, "#{other.letter} has “#{term.label}” already.") if inquiry.block(key).holds?(term.leaf)

          without = inquiry.with_block(block.replace(term_id) { nil })
          target = without.block(key)
          moved = without.with_block(target.with(terms: [*target.terms, term]))
          [moved, "Moved #{term.label} to #{other.letter}"]
        end
      end

      private

      def refuse(field, message) = raise(InputError, { field => message })

      def turned(leaf, choice)
        case choice
        when "narrower" then leaf.with(narrower: !leaf.narrower)
        when "main" then leaf.with(main: !leaf.main)
        else leaf.with(aspects: aspects(leaf, choice.delete_prefix("aspect:")))
        end
      end

      def aspects(leaf, aspect)
        allowed = @context.thesaurus.heading(leaf.label)&.aspects || []
        raise GoneError, "aspect" unless allowed.include?(aspect)

        leaf.aspects.include?(aspect) ? leaf.aspects - [aspect] : [*leaf.aspects, aspect]
      end

      def near_leaf(text, fields, near)
        words = Strategy::Words.read(text, fields:).tokens
        raise InputError, { words: "Write at least two words to stand near each other." } if words.size < 2

        split = near.fetch(:split).to_i.clamp(1, words.size - 1)
        left, right = [words.take(split), words.drop(split)].map { |side| side.join(" ") }
        Strategy::Near.new(left:, right:, **near.slice(:distance, :ordered), fields:)
      end

      # kinds :: what the term's leaf must be for this change; note :: what the changed leaf adds to the trail's words
      def call(id, term_id, verb, kinds = Strategy::Term::LEAVES, note: nil, &changing)
        edit(id, term_id) do |inquiry, block, term, letter|
          raise GoneError, "term" unless Array(kinds).include?(term.leaf.class)

          changed = block.replace(term_id, &changing)
          refuse_twice(block, changed)
          [inquiry.with_block(changed), "#{verb} #{term.label} in #{letter}#{note&.call(changed.term(term_id).leaf)}"]
        end
      end

      def refuse_twice(block, changed)
        leaves = changed.terms.map(&:leaf)
        return if leaves.uniq.size == leaves.size || block.terms.map(&:leaf).tally == leaves.tally

        raise InputError, { words: "“#{leaves.tally.key(2)&.label}” is in this block already." }
      end

      # part :: what of the inquiry this is about; the term itself unless said otherwise
      def edit(id, term_id, part = nil)
        about = lambda do |inquiry|
          block = inquiry.block_of(term_id)
          part && block ? part.call(inquiry, block) : [block&.key, block&.term(term_id)]
        end
        @change.call(id, step: :word, part: about) do |inquiry|
          block = inquiry.block_of(term_id) or raise GoneError, "term"
          yield inquiry, block, block.term(term_id), inquiry.question.element(block.key)&.letter || block.key
        end
      end
    end
  end
end
