# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # Words and nearness, answered by SQLite's full-text index.
      class FullText < Base
        COLUMNS = Strategy::TextTerm::FIELDS.keys.to_h { |field| [field, field.to_s] }.freeze
        # Fields of several texts each; nearness must not run from one into the next, so it is read
        # there.
        LISTS = %i[keywords headings].freeze
        # How many spellings a masked phrase may stand for.
        MOST_SPELLINGS = 3_000
        # Letters of Unicode's private area: words to the full-text index, but none that can be typed.
        # One stands between keywords, so that no phrase runs from one into the next; the other stands
        # nowhere, for what nothing can fit.
        BETWEEN = " \u{E000} "
        NOWHERE = "\"\u{E001}\""
        WORD = /[^\x00-\x2F\x3A-\x40\x5B-\x60\x7B-\x7F]/
        private_constant :COLUMNS, :LISTS, :MOST_SPELLINGS, :BETWEEN, :NOWHERE, :WORD

        # record :: gives the Record with a number, for what the full text cannot tell by itself
        def initialize(db, &record)
          super(db)
          @record = record
        end

        # What goes into the index for a record, in the order of its columns: its words as the core
        # cuts and folds them, so that the index need only look for spaces.
        def self.columns(record)
          [words(record.title), words(record.abstract.to_s), several(record.keywords),
           several(record.headings.map(&:label))]
        end

        # Plain letters the index cuts and folds as the core does, and quicker.
        def self.words(text) = text.ascii_only? ? text : Text::Tokens.line(text)

        # A keyword without a letter is no text, and leaves no gap.
        def self.several(texts) = texts.map { |text| words(text) }.grep(WORD).join(BETWEEN)
        private_class_method :words, :several

        # leaf :: Strategy::TextTerm. Its tokens are letters and digits only and stand in quotation marks, so
        # nothing that a person types is read as full-text syntax. Raises InputError (:words) for a
        # mask that takes in too much.
        # above :: only records with a higher number
        def words(leaf, above: 0) = matching(leaf.fields, phrases(leaf.text).join(" OR "), above:)

        # Records that have any of these folded words in any of these fields.
        def any(words, fields, above: 0)
          matching(fields, words.map { |word| "\"#{word}\"" }.join(" OR "), above:)
        end

        # leaf :: Strategy::WholeText
        def whole(leaf)
          likely = words(leaf.anywhere)
          Records::RecordSet.of(likely.select { |number| holds?(leaf, @record.call(number)) })
        end

        # leaf :: Strategy::Proximity
        def near(leaf)
          groups = phrases(leaf.left).product(phrases(leaf.right))
          refuse if groups.size > MOST_SPELLINGS
          query = groups.map { |left, right| "NEAR(#{left} #{right}, #{leaf.distance - 1})" }.join(" OR ")
          plain, read = leaf.fields.partition { |field| plainly_near?(leaf, field) }
          found = plain.empty? ? Records::RecordSet.empty : matching(plain, query)
          read.empty? ? found : found | confirmed(leaf.with(fields: read), query)
        end

        # The words of the library that a mask takes in, most frequent first: an Array of [word,
        # records that have it].
        def spellings(mask)
          return [] if mask.plain?

          ends = [mask.stem, "#{mask.stem}\u{10FFFF}"]
          words = @db[:text_words].where(Sequel.lit("term >= ? AND term < ?", *ends))
          found = words.select_map(%i[term doc]).select { |word, _| mask.match?(word) }
          found.sort_by { |word, count| [-count, word] }
        end

        # Whether any record has this folded word.
        def occurs?(word) = !@db[:text_words].where(term: word).empty?

        private

        # A phrase in FTS5's syntax for each way in which its masks can be spelled. A * at the very
        # end is its own.
        def phrases(text)
          *before, last = text.split.map { |token| Text::Mask.new(token) }
          choices = [*before.map { |mask| spelled(mask) }, last.beginning? ? [last.stem] : spelled(last)]
          refuse if choices.reduce(1) { |product, words| product * words.size } > MOST_SPELLINGS
          return [NOWHERE] if choices.any?(&:empty?)

          choices.first.product(*choices.drop(1)).map do |words|
            "\"#{words.join(" ")}\"#{" *" if last.beginning?}"
          end
        end

        def spelled(mask)
          return [mask.stem] if mask.plain?

          spellings(mask).map(&:first)
        end

        # One row, one text: far quicker than a row for each record.
        def matching(fields, query, above: 0)
          columns = COLUMNS.values_at(*fields).join(" ")
          found = @db[:texts].where(Sequel.lit("texts MATCH ?", "{#{columns}} : (#{query})"))
          found = found.where { rowid > above } if above.positive?
          numbers = found.get(Sequel.lit("json_group_array(rowid)"))
          Records::RecordSet.of(JSON.parse(numbers))
        end

        # Whether the full text tells nearness in a field by itself: it knows no order, and takes one
        # word for two.
        def plainly_near?(leaf, field) = !leaf.ordered && !leaf.overlapping? && !LISTS.include?(field)

        # Of the records that the full text takes for likely, those whose texts do hold the two sides.
        def confirmed(leaf, query)
          likely = matching(leaf.fields, query)
          Records::RecordSet.of(likely.select { |number| holds?(leaf, @record.call(number)) })
        end

        def holds?(leaf, record)
          leaf.fields.any? do |field|
            Retrieval::Reasons::TextPlaces.texts(record, field).any? { |text| Retrieval::Reasons::TextPlaces.of(leaf, text).any? }
          end
        end

        def refuse
          raise InputError,
                { words: Book.t("errors.pdf.truncation", most: MOST_SPELLINGS) }
        end
      end
    end
  end
end
