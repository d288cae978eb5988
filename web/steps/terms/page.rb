# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Terms
        # The Word step. What is open on it is named by one parameter, `open`: "term:5",
        # "heading:P:Delirium", "list:P", "gain:P", "papers:P", "papers:" (of the join), "paper:ID" or
        # "overlap"; and by `known`, a DOI or a title to look for.
        class Page < StepPage
          KEY = :word

          # open :: what is open, as [kind, the rest], such as ["term", "5"]; card :: Retrieval::TermCard of the term or
          # heading that is open, nil for none; overlap :: the blocks and how they lie over each other
          # papers :: PapersPanel, nil while it is closed
          attr_reader :open, :card, :columns, :overlap, :papers, :dock

          # context :: Services::Context
          def initialize(context:, **rest)
            super(**rest)
            reader = Services::Terms::Read.new(context)
            @open = fields.some_text(:known)&.then { |known| ["find", known] } || named_open
            @card = read_card(reader)
            @columns = reader.call(inquiry).map { |column| Column.new(self, column, context) }
            @overlap = Overlap::Panel.new(self, reader.overlap(inquiry))
            @papers = PapersPanel.new(self, context) if %w[papers paper find].include?(open.first)
            @dock = Dock.new(self, Services::Narrow::ReadOutlook.new(context).call(opened))
            freeze
          end

          def open?(kind, rest = nil) = open.first == kind && (rest.nil? || open.last == rest.to_s)

          # Array of [letter, key of the block, Array of its first heading and its first words as TermOffers::Offer], for
          # those blocks that have no term yet; none where it is one block only.
          def first_terms
            found = columns.select(&:empty?).map { |column| [column.letter, column.key, column.first_terms] }
            found = found.reject { |_, _, offers| offers.empty? }
            found.size > 1 ? found : []
          end

          # The key of the block that the last change was about.
          def active = fields.some_text(:block)

          private

          def named_open
            fields.text(:open).split(":", 2).then { |kind, rest| [kind.to_s, rest.to_s] }
          end

          def read_card(reader)
            kind, rest = open
            case kind
            when "term" then reader.term_card(inquiry, Integer(rest, 10, exception: false))
            when "heading"
              block, label = rest.split(":", 2)
              label && reader.heading_card(inquiry, block, label)
            end
          end

          # What stands at the foot of Word: how many papers the blocks have together, and what to do
          # next.
          class Dock
            include Formatting

            # How many papers the joined blocks have together.
            attr_reader :size

            # page :: Page; outlook :: Narrowing::Target::Outlook
            def initialize(page, outlook)
              @page = page
              @outlook = outlook
              @size = page.opened.cascade.joined.size
              freeze
            end

            # Where those papers are: "papers are in both", "paper is in P, no terms yet in O".
            def where
              excluded = of(:not).select { |column| column.block.tree }
              waiting = of(:and) - filled
              [Book.t("terms.dock.#{inside}", count: size, blocks: letters(filled), number: filled.size),
               (Book.t("terms.dock.not_in", blocks: letters(excluded)) if excluded.any?),
               (Book.t("terms.dock.no_terms_in", blocks: letters(waiting)) if waiting.any? && filled.any?)].compact.join(", ")
            end

            # What keeps the papers few, or what to do with them.
            def advice
              joined = of(:and)
              return Book.t("terms.dock.no_block") if joined.empty?
              return Book.t("terms.dock.add_first") if filled.empty?

              nothing = filled.select(&:nothing?)
              return Book.t("terms.dock.finds_nothing", blocks: nothing.map(&:name).join(", ")) if nothing.any?
              return Book.t("terms.dock.no_overlap") if size.zero?

              "#{limits_words}#{reading_words}"
            end

            private

            def of(operator) = @page.columns.select { |column| column.block.operator == operator }
            def filled = of(:and).select { |column| column.block.tree }
            def letters(columns) = Book.list(columns.map(&:letter))

            def inside
              return :combined if filled.empty?
              return :in_blocks if filled.size < of(:and).size
              return :in_this_block if filled.size == 1

              filled.size == 2 ? :in_both : :in_all
            end

            def limits_words
              on = @page.inquiry.limits.count(&:on)
              final = @page.opened.final
              words = @page.standing_words(@outlook)
              return "#{capital(words)}. #{Book.t("terms.dock.advice.#{@outlook.standing}")}".strip if on.zero?

              Book.t("terms.dock.limits_leave", count: on, papers: final, standing: words)
            end

            def reading_words
              kept = @page.question.elements.reject { |element| element.searched? || element.blank? }
              kept.empty? ? "" : " #{Book.t("terms.dock.not_searched", elements: kept.map { |element| "“#{element.name}”" }.join(", "))}"
            end
          end
        end
      end
    end
  end
end
