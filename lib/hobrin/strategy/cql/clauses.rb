# frozen_string_literal: true

require "set"

module Hobrin
  module Strategy
    module Cql
      # What one clause means: which index, which relation to it, and the leaf that comes of it.
      class Clauses
        WORDS = { "cql.serverchoice" => TextTerm::FIELDS.keys, "dc.title" => [:title], "dc.description" => [:abstract],
                  "hobrin.keywords" => [:keywords], "hobrin.headings" => [:headings],
                  "hobrin.text" => TextTerm::TEXT }.freeze
        LIMITS = Writer::LIMIT_INDEX.to_h { |name, index| [index, name] }.freeze
        DATES = Writer::DATE_INDEX.to_h { |name, index| [index, name] }.freeze
        NAMED = %w[dc.subject dc.creator hobrin.journal dc.identifier hobrin.filter cql.resultSetId
                   cql.allRecords].freeze
        # Every index by its lower-case name, as it is written.
        INDEXES = ["cql.serverChoice", *WORDS.keys.drop(1), *LIMITS.keys, *DATES.keys, *NAMED]
                  .to_h { |index| [index.downcase, index] }.freeze
        SAME = %w[= scr].freeze
        # Of a field as a whole: == in CQL 1.2, exact in 1.1. A name, a limit or a date is always
        # meant as a whole.
        WHOLE = %w[== exact].freeze
        private_constant :WORDS, :LIMITS, :DATES, :NAMED, :SAME, :WHOLE

        def initialize(vocabulary)
          @vocabulary = vocabulary
        end

        # clause :: Parser::Clause. Gives a tree. Raises Cql::Error.
        def call(clause)
          index = index_of(clause)
          refuse_modifiers(clause) unless index == "dc.subject"
          read(index, clause)
        rescue InputError => e
          raise if e.is_a?(Error)

          raise Error.new(clause.term, message: e.message)
        end

        private

        def index_of(clause)
          return "cql.serverchoice" unless clause.index

          name = clause.index.plain.downcase
          return name if INDEXES.key?(name)

          alike = INDEXES.values.find do |index|
            index.split(".").last.casecmp?(name.split(".").last.to_s)
          end
          hint = alike ? " #{Book.t("common.did_you_mean", names: "“#{alike}”")}" : Text::Nearest.hint(name, INDEXES.values)
          known = Book.t("strategy.cql.known_indexes", names: INDEXES.values.join(", "))
          raise Error.new(clause.index,
                          message: Book.t("strategy.cql.no_index", name: clause.index.text, hint:, known:), about: :index)
        end

        def read(index, clause)
          return words(clause, WORDS[index]) if WORDS.key?(index)
          return DateClause.call(clause, DATES[index]) if DATES.key?(index)
          return limit(clause, LIMITS[index]) if LIMITS.key?(index)

          case index
          when "dc.subject" then HeadingClause.new(@vocabulary).call(clause)
          when "dc.creator" then each_of(clause) { |name| Author.read(name) }
          when "dc.identifier" then each_of(clause) { |name| Identifier.read(name) }
          when "hobrin.journal" then journals(clause)
          else single(index, clause)
          end
        end

        def single(index, clause)
          relation(clause, %w[=])
          case index
          when "hobrin.filter" then @vocabulary.filter(clause.term.plain)
          when "cql.resultsetid" then Lines::Line.new(name: clause.term.plain)
          when "cql.allrecords" then Everything.new
          end
        end

        def words(clause, fields)
          text = clause.term.text
          raise InputError, { words: Book.t("strategy.cql.caret") } if text.match?(/(?<!\\)\^/)

          tokens = Text::Tokens.masked(text.gsub(/\\([*?^])/, " ").gsub(/\\(.)/m, '\1'))
          raise InputError, { words: Book.t("strategy.cql.no_word") } if tokens.empty?

          case relation(clause, %w[= adj any all ==])
          when "==" then WholeText.new(text: tokens.join(" "), fields:)
          when "any" then AnyOf.of(tokens.map { |token| TextTerm.new(text: token, fields:) })
          when "all" then AllOf.of(tokens.map { |token| TextTerm.new(text: token, fields:) })
          else TextTerm.new(text: tokens.join(" "), fields:)
          end
        end

        def limit(clause, name)
          known = Limit::KNOWN[name]
          any = relation(clause, %w[= any]) == "any"
          values = any ? NamedValues.call(clause.term.plain, known || names_of(name)) : [clause.term.plain]
          Limit.new(name:, values: values.map { |value| limit_value(name, known, value) })
        end

        def names_of(name) = name == :place ? @vocabulary.places : Records::Languages.names

        def limit_value(name, known, value)
          case name
          when :language then Records::Languages.code(value) || value
          when :place then @vocabulary.place(value)
          else known.find { |name| name.casecmp?(value.strip) } || value
          end
        end

        def journals(clause)
          any = relation(clause, %w[= any]) == "any"
          names = any ? NamedValues.call(clause.term.plain, @vocabulary.journals) : [clause.term.plain]
          Journal.new(values: names.map { |name| @vocabulary.journal(name) })
        end

        def each_of(clause, &)
          names = relation(clause, %w[= any]) == "any" ? clause.term.plain.split : [clause.term.plain]
          AnyOf.of(names.map(&))
        end

        def relation(clause, allowed)
          name = clause.relation ? clause.relation.text.downcase.delete_prefix("cql.") : "="
          name = "=" if SAME.include?(name)
          name = allowed.include?("==") ? "==" : "=" if WHOLE.include?(name)
          return name if allowed.include?(name)

          expected = Book.t("strategy.cql.relation_after", relations: allowed.join(", "), index: clause.index.text)
          raise Error.new(clause.relation, expected:, about: :relation)
        end

        def refuse_modifiers(clause)
          strange = clause.modifiers.first or return
          raise Error.new(strange.name,
                          message: Book.t("strategy.cql.unknown_modifier", name: strange.name.text), about: :modifier)
        end

        # Reads a clause about a heading: dc.subject
        # =/hobrin.narrower/hobrin.main/hobrin.aspect="nursing" "Delirium"
        class HeadingClause
          NAMES = %w[hobrin.narrower hobrin.main hobrin.aspect].freeze
          SAME = %w[= == exact scr].freeze
          private_constant :NAMES, :SAME

          def initialize(vocabulary)
            @vocabulary = vocabulary
          end

          # clause :: Parser::Clause. Gives a Heading. Raises Cql::Error, or InputError for the term.
          def call(clause)
            unless SAME.include?(clause.relation.text.downcase)
              raise Error.new(clause.relation, expected: Book.t("strategy.cql.equals_subject"), about: :relation)
            end

            # Only an unescaped * stands for any heading.
            label = clause.term.text == Heading::ANY ? Heading::ANY : @vocabulary.heading(clause.term.plain)
            names = clause.modifiers.map { |modifier| name_of(modifier) }
            narrower = names.include?("hobrin.narrower")
            Heading.new(label:, narrower:, main: names.include?("hobrin.main"),
                        aspects: aspects(clause, label, narrower))
          end

          private

          def name_of(modifier)
            name = modifier.name.text.downcase
            return name if NAMES.include?(name) && (name == "hobrin.aspect") == !modifier.value.nil?

            raise Error.new(modifier.name,
                            expected: Book.t("strategy.cql.subject_modifier"), about: :modifier)
          end

          def aspects(clause, label, narrower)
            clause.modifiers.select(&:value).flat_map do |modifier|
              @vocabulary.aspects(label, [modifier.value.plain], narrower:)
            rescue InputError => e
              raise Error.new(modifier.value, message: e.message)
            end
          end
        end

        # The values named in one text, such as "United Kingdom India": known ones by the longest that
        # fits, anything else word by word.
        module NamedValues
          # How many words one list of values may have.
          MOST = 400
          private_constant :MOST

          class << self
            # text :: String; known :: Array of String. Gives an Array of String. Raises InputError for
            #   more words than a person lists.
            def call(text, known)
              words = text.split
              raise InputError, { words: Book.t("strategy.cql.most_words", most: MOST) } if words.size > MOST

              names = known.to_set { |name| name.downcase.split }
              longest = names.map(&:size).max.to_i
              found = []
              found << words.shift(fitting(words, names, longest)).join(" ") until words.empty?
              found.uniq
            end

            private

            # How many of the first words are one known name; 1 when none is.
            def fitting(words, names, longest)
              first = words.first(longest).map(&:downcase)
              first.size.downto(2).find { |count| names.include?(first.first(count)) } || 1
            end
          end
        end
      end
    end
  end
end
