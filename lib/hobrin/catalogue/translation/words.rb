# frozen_string_literal: true

module Hobrin
  module Catalogue
    class Translation
      # Words and phrases: with masks or spelled out, side by side or all of them, near or both.
      class Words
        # Spellings of one masked word at most.
        MOST = 40
        NO_SUCH_WORD = Book.t("catalogue.note.no_truncation")
        private_constant :MOST, :NO_SUCH_WORD

        def initialize(ability, evaluator)
          @ability = ability
          @evaluator = evaluator
          @places = Places.new(ability)
        end

        # leaf :: TextTerm, WholeText or Proximity. Gives a Part.
        def call(leaf)
          case leaf
          when Strategy::TextTerm then term(leaf)
          when Strategy::WholeText then whole(leaf)
          else near(leaf)
          end
        end

        private

        def term(term)
          masks = term.text.scan(/[*?]/).uniq
          (masks - @ability.masks).empty? ? in_place(term) : spelled_out(term)
        end

        def spelled_out(term)
          found = Retrieval::TruncationExpansion.of(term, @evaluator).words.map(&:first).first(MOST)
          return Part.left_out(NO_SUCH_WORD) if found.empty?

          parts = found.map { |text| in_place(Strategy::TextTerm.new(text:, fields: term.fields)) }
          joined = Joined.call(parts, "or") { |trees| Strategy::AnyOf.of(trees) }
          joined.with_notes([Book.t("catalogue.note.spelled_out", words: found.size)])
        end

        # A phrase side by side where that can be said, all of its words where not.
        def in_place(term)
          place = @places.of(term.fields)
          there = term.with(fields: place.fields)
          return part(there, place) { |index| clause(index, term.text) } if beside?(term, place)

          Part.new(became: Strategy::AllOf.of(term.tokens.map { |text| there.with(text:) }),
                   text: all_words(term, place.indexes),
                   notes: [*place.notes, Book.t("catalogue.note.all_words")])
        end

        def beside?(term, place)
          !term.phrase? || place.indexes.all? { |index| @ability.relation?(index, "adj") }
        end

        # Each word may stand in another index.
        def all_words(term, indexes)
          index, *others = indexes
          together = others.empty? && index && @ability.relation?(index, "all")
          return "#{index} all \"#{term.text}\"" if together

          words = term.tokens.map { |text| either(indexes.map { |name| clause(name, text) }) }
          "(#{words.join(" and ")})"
        end

        def whole(leaf)
          place = @places.of(leaf.fields)
          if place.indexes.all? { |index| @ability.relation?(index, "==") }
            there = leaf.with(fields: place.fields)
            return part(there, place) { |index| "#{index} == \"#{leaf.text}\"" }
          end

          term(leaf.anywhere).with_notes([Book.t("catalogue.note.field_as_words")])
        end

        def near(leaf)
          return both(leaf) unless @ability.near

          place = @places.of(leaf.fields)
          part(leaf.with(fields: place.fields), place) do |index|
            left, right = leaf.sides.map { |side| clause(index, side.text) }
            "(#{left} prox/unit=word/distance<=#{leaf.distance}#{"/ordered" if leaf.ordered} #{right})"
          end
        end

        def both(leaf)
          sides = leaf.sides.map { |side| term(side) }
          joined = Joined.call(sides, "and") { |trees| Strategy::AllOf.of(trees) }
          joined.with_notes([Book.t("catalogue.note.proximity_as_and")])
        end

        def part(became, place, &)
          Part.new(became:, text: either(place.indexes.map(&)), notes: place.notes)
        end

        def either(clauses) = clauses.one? ? clauses.first : "(#{clauses.join(" or ")})"

        def clause(index, text)
          return "\"#{text}\"" unless index

          "#{index} #{text.include?(" ") ? "adj" : "="} \"#{text}\""
        end
      end
    end
  end
end
