# frozen_string_literal: true

module Hobrin
  module Catalogue
    class Translation
      # Words and phrases: in which indexes, with masks or spelled out, side by side or both.
      class Words
        OWN = { title: %w[dc.title], abstract: %w[dc.description],
                keywords: %w[hobrin.keywords dc.subject],
                headings: %w[hobrin.headings dc.subject] }.freeze
        ALL = Strategy::TextTerm::FIELDS.keys.freeze
        # Spellings of one masked word at most.
        MOST = 40
        private_constant :OWN, :ALL, :MOST

        # Where to ask: indexes :: names, or [nil] for a word alone; fields :: what that comes to here
        class Place < Value
          attributes :indexes, :fields, :notes
        end
        private_constant :Place

        def initialize(ability, evaluator)
          @ability = ability
          @evaluator = evaluator
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
          place = place(term.fields)
          return in_place(term, place) if (term.text.scan(/[*?]/).uniq - @ability.masks).empty?

          spelled_out(term, place)
        end

        def spelled_out(term, place)
          found = Retrieval::TruncationExpansion.of(term,
                                                    @evaluator).words.map(&:first).first(MOST)
          if found.empty?
            return Part.left_out("left out: masks are not known there, and no paper here has a word like this")
          end

          parts = found.map do |text|
            in_place(Strategy::TextTerm.new(text:, fields: term.fields),
                     place)
          end
          joined = Joined.call(parts, "or") { |trees| Strategy::AnyOf.of(trees) }
          joined.with_notes(["the mask spelled out in the words that papers here have: #{found.size}"])
        end

        # A phrase side by side where that can be said, all of its words where not.
        def in_place(term, place)
          there = term.with(fields: place.fields)
          return part(there, place) do |index|
            clause(index, relation(index, term), term.text)
          end if beside?(term, place)

          trees = term.tokens.map { |text| there.with(text:) }
          texts = place.indexes.one? ? all_of(place.indexes.first,
                                              term) : apart(place.indexes, term)
          Part.new(became: Strategy::AllOf.of(trees), text: texts,
                   notes: [*place.notes, "words side by side became all of the words"])
        end

        def all_of(index, term)
          index && @ability.relation?(index,
                                      "all") ? "#{index} all \"#{term.text}\"" : apart([index],
                                                                                       term)
        end

        # Each word may stand in another index.
        def apart(indexes, term)
          texts = term.tokens.map do |text|
            either(indexes.map do |index|
              clause(index, "=", text)
            end)
          end
          "(#{texts.join(" and ")})"
        end

        def beside?(term, place)
          !term.phrase? || place.indexes.all? { |index| @ability.relation?(index, "adj") }
        end

        def relation(_index, term) = term.phrase? ? "adj" : "="

        def whole(leaf)
          place = place(leaf.fields)
          if place.indexes.all? { |index| @ability.relation?(index, "==") }
            return part(leaf.with(fields: place.fields), place) do |index|
              "#{index} == \"#{leaf.text}\""
            end
          end

          term(leaf.anywhere).with_notes(["the whole field became words in it"])
        end

        def near(leaf)
          place = place(leaf.fields)
          unless @ability.near
            joined = Joined.call(leaf.sides.map { |side| term(side) },
                                 "and") { |trees| Strategy::AllOf.of(trees) }
            return joined.with_notes(["nearness became AND"])
          end

          part(leaf.with(fields: place.fields), place) do |index|
            left, right = leaf.sides.map do |side|
              clause(index, relation(index, side),
                     side.text)
            end
            "(#{left} prox/unit=word/distance<=#{leaf.distance}#{"/ordered" if leaf.ordered} #{right})"
          end
        end

        def part(became, place, &)
          Part.new(became:, text: either(place.indexes.map(&)), notes: place.notes)
        end

        def either(clauses) = clauses.one? ? clauses.first : "(#{clauses.join(" or ")})"

        def clause(index, relation, text)
          index ? "#{index} #{relation} \"#{text}\"" : "\"#{text}\""
        end

        # One index for all of the fields, or one for each; otherwise anywhere.
        def place(fields)
          return exactly(%w[hobrin.text],
                         fields) if fields == Strategy::TextTerm::TEXT && @ability.index?("hobrin.text")
          return exactly(["cql.serverChoice"],
                         fields) if fields == ALL && @ability.index?("cql.serverChoice")

          indexes = fields.map { |field| OWN.fetch(field).find { |index| @ability.index?(index) } }
          return anywhere if indexes.include?(nil)

          subjects = indexes.include?("dc.subject") ? %i[keywords headings] : []
          wider = Strategy::TextTerm.new(text: "x", fields: fields | subjects).fields
          Place.new(indexes: indexes.uniq, fields: wider,
                    notes: wider == fields ? [] : ["keywords and names of headings are one index there"])
        end

        def exactly(indexes, fields) = Place.new(indexes:, fields:, notes: [])

        def anywhere
          index = @ability.anywhere
          Place.new(indexes: [index == "cql.serverchoice" ? "cql.serverChoice" : index],
                    fields: ALL,
                    notes: ["looked for anywhere in the record"])
        end
      end
    end
  end
end
