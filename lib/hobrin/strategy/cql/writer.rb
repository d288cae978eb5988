# frozen_string_literal: true

module Hobrin
  module Strategy
    module Cql
      # Writes a tree as the one canonical text of that tree. It always writes its parentheses,
      # since CQL gives all Booleans one precedence.
      #
      #   Writer.call(TextTerm.read("ear plug*")) # => 'hobrin.text adj "ear plug*"'
      class Writer < TreeWalker
        FIELD_INDEX = { title: "dc.title", abstract: "dc.description", keywords: "hobrin.keywords",
                        headings: "hobrin.headings" }.freeze
        TOGETHER = { TextTerm::TEXT => "hobrin.text",
                     TextTerm::FIELDS.keys => "cql.serverChoice" }.freeze
        LIMIT_INDEX = { type: "dc.type", language: "dc.language", age: "hobrin.age", sex: "hobrin.sex",
                        species: "hobrin.species", place: "hobrin.place", flag: "hobrin.flag" }.freeze
        DATE_INDEX = { dates: "dc.date", added: "hobrin.added" }.freeze
        private_constant :FIELD_INDEX, :TOGETHER

        # A tree in; a String out.
        def self.call(tree) = new.call(tree)

        private

        def any_of(_tree, parts) = "(#{parts.join(" or ")})"
        def all_of(_tree, parts) = "(#{parts.join(" and ")})"
        def except(_tree, kept, excluded) = "(#{kept} not #{excluded})"

        def leaf(leaf)
          case leaf
          when TextTerm then either(indexes(leaf).map { |index| words(index, leaf.text) })
          when WholeText then either(indexes(leaf).map { |index| "#{index} == \"#{leaf.text}\"" })
          when Proximity then either(indexes(leaf).map { |index| near(index, leaf) })
          when Limit then either(leaf.values.map { |value| "#{LIMIT_INDEX.fetch(leaf.name)} = #{quoted(value)}" })
          when Dates then dates(leaf)
          else named(leaf)
          end
        end

        def named(leaf)
          case leaf
          when Heading then heading(leaf)
          when Author then "dc.creator = #{quoted(author(leaf))}"
          when Journal then either(leaf.values.map { |name| "hobrin.journal = #{quoted(name)}" })
          when Identifier then "dc.identifier = #{quoted(leaf.value)}"
          when Filters::Filter then "hobrin.filter = #{quoted(leaf.label)}"
          when Filters::OwnFilter then call(leaf.tree)
          when Lines::Line then "cql.resultSetId = #{quoted(leaf.name)}"
          when Everything then "cql.allRecords = 1"
          else raise ArgumentError, "cannot write #{leaf.class}"
          end
        end

        def indexes(leaf)
          TOGETHER.key?(leaf.fields) ? [TOGETHER[leaf.fields]] : FIELD_INDEX.values_at(*leaf.fields)
        end

        def words(index, text) = "#{index} #{text.include?(" ") ? "adj" : "="} \"#{text}\""

        # Initials apart, so that four of them are not taken for a name; and always after a comma
        # where the family has several words, so that none of those is taken for initials.
        def author(leaf)
          given = leaf.initials.upcase.chars.join(" ")
          return "#{leaf.family}, #{given}".strip if leaf.family.include?(" ")

          [leaf.family, given].reject(&:empty?).join(", ")
        end

        def near(index, leaf)
          left, right = [leaf.left, leaf.right].map { |text| words(index, text) }
          "(#{left} prox/unit=word/distance<=#{leaf.distance}#{"/ordered" if leaf.ordered} #{right})"
        end

        def heading(leaf)
          modifiers = ["=", *("hobrin.narrower" if leaf.narrower), *("hobrin.main" if leaf.main),
                       *leaf.aspects.map { |aspect| "hobrin.aspect=#{quoted(aspect)}" }]
          "dc.subject #{modifiers.join("/")} #{leaf.label == Heading::ANY ? "\"*\"" : quoted(leaf.label)}"
        end

        def dates(leaf)
          index = DATE_INDEX.fetch(leaf.name)
          return "#{index} >= #{leaf.from}" unless leaf.to
          return "#{index} <= #{leaf.to}" unless leaf.from

          leaf.from == leaf.to ? "#{index} = #{leaf.from}" : "#{index} within \"#{leaf.from} #{leaf.to}\""
        end

        def either(clauses) = clauses.size == 1 ? clauses.first : "(#{clauses.join(" or ")})"

        # Masks and anchors of CQL, where a name holds them, are kept from being read as such.
        def quoted(text) = "\"#{text.gsub(/[\\"*?^]/) { |char| "\\#{char}" }}\""
      end
    end
  end
end
