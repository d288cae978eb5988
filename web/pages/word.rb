# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Word step. What is open on it is named by one parameter, `open`: "term:5",
      # "heading:P:Delirium", "list:P", "gain:P", "papers:P", "papers:" (of the join), "paper:ID" or
      # "overlap"; and by `known`, a DOI or a title to look for.
      class Word < Step
        def columns = @columns ||= reader.call(inquiry).map { |column| Column.new(self, column) }

        # The blocks and how they lie over each other.
        def overlap = @overlap ||= OverlapPanel.new(self, reader.overlap(inquiry))

        def dock = Dock.new(self)

        # What is open: [kind, the rest], such as ["term", "5"].
        def open
          @open ||= fields.some_text(:known)&.then { |known| ["find", known] } || named_open
        end

        def open?(kind, rest = nil) = open.first == kind && (rest.nil? || open.last == rest.to_s)

        # The open card of a term or of a heading, nil for none.
        def card
          kind, rest = open
          @card ||= case kind
                    when "term" then reader.term_card(inquiry, Integer(rest, 10, exception: false))
                    when "heading"
                      block, label = rest.split(":", 2)
                      label && reader.heading_card(inquiry, block, label)
                    end
        end

        # The panel on papers, nil while it is closed.
        def papers
          return unless %w[papers paper find].include?(open.first)

          @papers ||= PapersPanel.new(self, @context)
        end

        # What a block lacks: Hash of :newest and :kept to Services::Terms::SuggestHeadings::Sample.
        # Array of [letter, key of the block, Array of its first heading and its first words as TermOffers::Offer], for
        # those blocks that have no term yet; none where it is one block only.
        def first_terms
          found = columns.select(&:empty?).map { |column| [column.letter, column.key, column.first_terms] }
          found = found.reject { |_, _, offers| offers.empty? }
          found.size > 1 ? found : []
        end

        def choices_of(key, typed) = Services::Terms::Offer.new(@context).entry(opened.id, key, typed)&.choices || []
        def suggestions(key) = Services::Terms::SuggestHeadings.new(@context).call(inquiry, key)

        # The key of the block that the last change was about.
        def active = fields.some_text(:block)

        private

        def named_open
          fields.text(:open).split(":", 2).then { |kind, rest| [kind.to_s, rest.to_s] }
        end

        def reader = @reader ||= Services::Terms::Read.new(@context)
      end
    end
  end
end
