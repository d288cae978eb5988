# frozen_string_literal: true

module Hobrin
  module Services
    # What the Terms step reads, and finds while a person types.
    module Terms
      # What the Word step shows beyond the inquiry: the figures of each block, how the joined ones
      # overlap, and for an empty one what the phrases of the question suggest.
      class Read < Service
        # block :: Strategy::Block; element :: Question::Element; figures :: Retrieval::BlockFigures
        # suggestions :: Array of Retrieval::TermOffers::Offer from the question, that the block has not
        # narrower :: Hash of heading label to how many narrower headings it has, nil when it is no
        #   heading any more
        # wild :: Hash of term id to how many spellings a masked term takes in, for those where they
        #   are very many
        class Column < Value
          attributes :block, :element, :figures, :suggestions, :narrower, :wild
        end

        # blocks :: Array of Strategy::Block; sets :: Retrieval::BlockFigures::Overlap; circles ::
        #   Statistics::Circles or nil
        class Overlap < Value
          attributes :blocks, :sets, :circles
        end

        # From so many terms on, a block is no longer offered those of the question.
        ENOUGH = 6
        private_constant :ENOUGH

        def initialize(context)
          super
          @thesaurus = context.thesaurus
          @evaluator = context.evaluator
        end

        # inquiry :: Inquiry. Gives an Array of Column, in the order of the frame.
        def call(inquiry)
          inquiry.searched_blocks.map { |block| column(block, inquiry.question.element(block.key)) }
        end

        # The blocks that find papers, be they joined or taken away, and how they lie over each other.
        # Gives an Overlap.
        def overlap(inquiry)
          blocks = inquiry.searched_blocks.select { |block| block.tree && block.operator != :out }
          sets = Retrieval::BlockFigures::Overlap.of(blocks.map { |block| @evaluator.call(block.tree) })
          Overlap.new(blocks:, sets:, circles: Statistics::Circles.of(sets.regions))
        end

        # The card of a term. Gives a Retrieval::TermCard, nil when the term is gone.
        def term_card(inquiry, term_id)
          block = inquiry.block_of(term_id)
          block && Retrieval::TermCard.of_term(block, block.term(term_id), @evaluator)
        end

        # The card of a heading, in the block or not. Gives a Retrieval::TermCard, nil when there is
        # no such heading.
        def heading_card(inquiry, key, label)
          return unless @thesaurus.heading(label) && inquiry.question.element(key)&.searched?

          Retrieval::TermCard.of_heading(inquiry.block(key), label, @evaluator)
        end

        private

        def column(block, element)
          Column.new(block:, element:, figures: Retrieval::BlockFigures.of(block, @evaluator), narrower: narrower(block),
                     suggestions: suggestions(element, block), wild: wild(block))
        end

        def suggestions(element, block)
          return [] if block.terms.size >= ENOUGH

          offers = Retrieval::FirstTerms.new(block, @evaluator, dictionary: @context.dictionary).call(element.phrases.map(&:text))
          block.terms.empty? ? offers : offers.select { |offer| offer.finds? && !offer.held }
        end

        def narrower(block)
          block.terms.select(&:heading?).to_h do |term|
            [term.label,
             @thesaurus.heading(term.label) && (@thesaurus.with_narrower(term.label).size - 1)]
          end
        end

        def wild(block)
          masked = block.terms.select { |term| term.leaf.is_a?(Strategy::TextTerm) && term.leaf.masked? }
          taken_in = masked.to_h { |term| [term.id, Retrieval::TruncationExpansion.of(term.leaf, @evaluator)] }
          taken_in.select { |_, one| one.wild? }.transform_values(&:size)
        end
      end

      # What could be added to a block of an inquiry while a person types.
      class Offer < Service
        # block :: key of the block; typed, way :: see Retrieval::TermOffers#typed, which says what it gives.
        # Counts nothing but the offers. Raises GoneError.
        def call(id, block, typed, way: :ranked)
          offers(id, block).typed(typed, way:)
        end

        # What was typed with its operators read: a Strategy::Entry, nil where it cannot be one.
        def entry(id, block, typed) = offers(id, block).entry(typed)

        private

        def offers(id, block)
          inquiry = @context.inquiries.find(id).inquiry
          Retrieval::TermOffers.new(inquiry.block(block), @context.evaluator)
        end
      end

      # Headings that are common among the newest papers of a block, and among those kept, and that
      # the block lacks.
      class SuggestHeadings < Service
        # size :: how many papers were looked at; suggestions :: Array of
        #   Retrieval::HeadingSuggestions::Suggestion
        class Sample < Value
          attributes :size, :suggestions
        end

        NEWEST = 60
        private_constant :NEWEST

        def initialize(context)
          super
          @evaluator = context.evaluator
        end

        # Gives a Hash of :newest and :kept to Sample; :kept only when papers were kept.
        def call(inquiry, key)
          block = inquiry.block(key)
          others = inquiry.searched_blocks.reject { |other| other.key == key }
          sets(inquiry, block).reject { |_, set| set.empty? }.transform_values do |set|
            suggestions = Retrieval::HeadingSuggestions.call(set, block, @evaluator, others:)
            Sample.new(size: set.size, suggestions:)
          end
        end

        private

        # Papers that have headings: the others can say nothing here.
        def sets(inquiry, block)
          found = @evaluator.call(block.tree) - @evaluator.index.not_indexed
          { newest: @context.library.newest_set(found, limit: NEWEST),
            kept: @context.library.set(inquiry.kept_ids) }
        end
      end

      # Finds a paper that a person knows by its id, its DOI, or words of its title.
      class FindPapers < Service
        MOST = 10

        def initialize(context)
          super
          @evaluator = context.evaluator
        end

        # typed :: an id, a DOI, or words of the title. Gives an Array of Record, the newest first; at
        #   most MOST. Of a paper that is here twice under one DOI, the record that came first.
        def call(typed)
          by_id = by_identifier(typed)
          @context.library.newest(by_id.empty? ? by_title(typed) : by_id, limit: MOST)
        rescue InputError
          []
        end

        private

        def by_identifier(typed)
          found = @evaluator.call(Strategy::Identifier.read(typed))
          found - Records::RecordSet.of(@context.library.duplicates.within(found).keys)
        rescue InputError
          Records::RecordSet.empty
        end

        def by_title(typed)
          words = Text::Tokens.of(typed).map { |word| Strategy::TextTerm.read(word, fields: [:title]) }
          words.empty? ? Records::RecordSet.empty : @evaluator.call(Strategy::AllOf.of(words))
        end
      end

      # A paper, how it is indexed, and what of an inquiry finds it.
      class ReadPaper < Service
        # record :: Records::Record; keys :: the keys of the blocks that find it; held :: Hash of
        #   heading label to the keys
        # of the blocks that have it as a term
        class Paper < Value
          attributes :record, :keys, :held
        end

        MOST = 6
        private_constant :MOST

        def initialize(context)
          super
          @evaluator = context.evaluator
        end

        # Gives a Paper, nil when there is none with this id.
        def call(inquiry, id)
          record = @context.library.record(id) or return
          number = @context.library.number(id)
          blocks = inquiry.searched_blocks
          keys = blocks.select { |block| @evaluator.call(block.tree).include?(number) }.map(&:key)
          Paper.new(record:, keys:, held: held(blocks, record))
        end

        # The newest papers of a block, or of all joined ones when key is nil. opened :: OpenInquiry
        def newest(opened, key)
          set = key ? @evaluator.call(opened.inquiry.block(key).tree) : opened.cascade.joined
          @context.library.newest(set, limit: MOST)
        end

        private

        def held(blocks, record)
          record.headings.map(&:label).to_h do |label|
            having = blocks.select do |block|
              block.terms.any? { |term| term.heading? && term.label == label }
            end
            [label, having.map(&:key)]
          end
        end
      end
    end
  end
end
