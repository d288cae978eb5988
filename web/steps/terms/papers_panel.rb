# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Terms
        # The panel on papers: some that were looked for or that a block finds, or one with its
        # headings.
        class PapersPanel
          include Formatting

          # One of a list: facts :: in words
          class Row < Value
            attributes :record, :path, :facts
          end

          # A heading of the paper: blocks :: Array of [key, letter, whether the block has it]
          class Indexed < Value
            attributes :label, :main, :aspects, :blocks
          end

          # page :: Word; context :: Services::Context
          def initialize(page, context)
            @page = page
            reader = Services::Terms::ReadPaper.new(context)
            if page.open?("paper") then @paper = reader.call(page.inquiry, page.open.last)
            elsif page.open?("find") then @records = Services::Terms::FindPapers.new(context).call(page.open.last)
            end
            @records ||= @paper ? [] : reader.newest(page.opened, searched_key)
            freeze
          end

          def close_path = @page.path
          def looked_for = @page.open?("find") ? @page.open.last : ""

          # What the panel itself is opened by, so that it stays open.
          def here = @page.fields.text(:open)

          # The one paper that is open, or nil.
          def record = @paper&.record

          def found_by
            letters = @paper.keys.map { |key| @page.letter(key) }
            letters.empty? ? Book.t("terms.papers.no_block") : Book.t("terms.papers.found_by", blocks: letters.join(", "))
          end

          def facts
            [record.authors.first&.short, record.journal, record.year,
             record.types.first].compact.join(" · ")
          end

          # Main topics first.
          def headings
            record.headings.sort_by { |heading| heading.main ? 0 : 1 }.map do |heading|
              held = @paper.held.fetch(heading.label)
              blocks = @page.columns.map do |column|
                [column.key, column.letter, held.include?(column.key)]
              end
              Indexed.new(label: heading.label, main: heading.main, aspects: heading.aspects.join(", "),
                          blocks:)
            end
          end

          def title
            return Book.t("terms.papers.for_words", words: @page.open.last) if @page.open?("find")

            key = searched_key
            key ? Book.t("terms.papers.newest_in_block", letter: @page.letter(key)) : Book.t("terms.papers.newest")
          end

          def rows
            @records.map do |record|
              headings = record.headings.size
              indexed = headings.zero? ? Book.t("terms.papers.not_indexed_yet") : count_of(headings, "heading")
              Row.new(record:, path: @page.path(open: "paper:#{record.id}"),
                      facts: "#{record.year} · #{indexed}")
            end
          end

          private

          def searched_key
            @page.question.searched.map(&:key).find { |key| key == @page.open.last }
          end
        end
      end
    end
  end
end
