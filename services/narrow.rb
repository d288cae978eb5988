# frozen_string_literal: true

module Hobrin
  module Services
    # What the Narrow step reads, and does beyond an edit.
    module Narrow
      # What the Narrow step shows beyond the cascade: what each unused limit would leave, what each
      # step took away, and how the search does.
      class Read
        # words :: as the question says it; preview :: Narrowing::Previews::Preview
        class Mentioned < Value
          attributes :words, :preview
        end

        # records :: the first papers that a step took away; total :: how many there are
        class TakenAway < Value
          attributes :records, :total
        end

        # opened :: OpenInquiry
        def initialize(context, opened)
          @context = context
          @opened = opened
        end

        # names :: of limits. Gives a Hash of limit name to an Array of Narrowing::Previews::Preview.
        def call(names = Narrowing::Previews::OFFERED) = previews.call(names)

        # What one leaf would leave. Gives a Narrowing::Previews::Preview.
        def preview(leaf) = previews.preview(leaf)

        # Limits that the question says itself and that are not on: Array of Mentioned.
        def mentioned
          limits = Narrowing::MentionedLimits.new(@context.clock.today)
          limits.waiting(inquiry.question, inquiry.limits).map do |mention|
            Mentioned.new(words: mention.words, preview: preview(mention.leaf))
          end
        end

        # Gives a Narrowing::Previews::PerYear.
        def per_year = Narrowing::Previews::PerYear.of(cascade, evaluator)

        # Gives an Array of Narrowing::Previews::Silences::Silence, one for each limit with any.
        def silences = Narrowing::Previews::Silences.of(cascade, evaluator)

        # Papers that one step of the cascade took away. step :: Narrowing::Cascade::Step; order ::
        # :newest or :strongest Gives a TakenAway.
        def taken_away(step, order: :newest, limit: 8)
          removed = step.removed
          sets = order == :newest ? [removed] : strongest_first(removed)
          TakenAway.new(records: newest_of_each(sets, limit), total: removed.size)
        end

        # The papers that were let in by hand, in the order in which they were.
        def included = @context.library.records_by_id(inquiry.included_ids)

        # How the search does by what is known of it so far. Gives a Narrowing::Rates.
        def rates
          kept, dropped = %i[keep drop].map do |verdict|
            decided = inquiry.decisions.select { |decision| decision.verdict == verdict }
            @context.library.set(decided.map(&:record_id))
          end
          Narrowing::Rates.of(cascade:, must_find:, kept:, dropped:)
        end

        # What the check of the search finds. Array of Check::Finding.
        def findings = Check.new(inquiry, evaluator, cascade:).call

        # Reviews of the search by colleagues: Array of [Narrowing::PeerReview, whether the search has changed
        # since].
        def reviews = inquiry.peer_reviews.map { |review| [review, state_at(review.line) != inquiry.state] }

        private

        # The search as it stood at a line of the trail; nil where that line is not there.
        def state_at(line)
          @context.inquiries.state_at(@opened.id, line).state
        rescue GoneError
          nil
        end

        def evaluator = @context.evaluator
        def inquiry = @opened.inquiry
        def cascade = @opened.cascade
        def must_find = @must_find ||= @context.library.set(inquiry.must_find)

        def previews
          @previews ||= Narrowing::Previews.new(cascade:, limits: inquiry.limits, evaluator:, today: @context.clock.today,
                                                must_find:)
        end

        def strongest_first(set)
          Appraisal::Ladder::StrongestFirst.call(set, inquiry.question.kind, evaluator)
        end

        def newest_of_each(sets, limit)
          sets.reduce([]) do |found, set|
            break found if found.size >= limit

            found + @context.library.newest(set, limit: limit - found.size)
          end
        end
      end

      # What the number of papers of an inquiry means beside its aim.
      class ReadOutlook < Service
        # opened :: OpenInquiry. Gives a Narrowing::Target::Outlook.
        def call(opened)
          inquiry, evaluator = opened.inquiry, @context.evaluator
          joined = inquiry.searched_blocks.select { |block| block.operator == :and && block.tree }
          lost = @context.library.set(inquiry.must_find) - opened.cascade.final
          Narrowing::Target::Outlook.of(aim: inquiry.aim, papers: opened.final, lost: lost.size,
                                        blocks: joined.to_h { |block| [block.key, evaluator.call(block.tree).size] })
        end
      end

      # The study filters that could be put on, each with what it would leave.
      class ReadFilters
        # leaf :: Strategy::Filters::Filter or OwnFilter; published :: Strategy::Filters::PublishedFilter, nil for one's own
        # preview :: Narrowing::Previews::Preview, nil while it is on; terms :: Array of Term
        class Row < Value
          attributes :leaf, :published, :preview, :terms
        end

        # cql :: one of the terms; size :: how many of the papers of the join have it
        class Term < Value
          attributes :cql, :size
        end

        # opened :: OpenInquiry
        def initialize(context, opened)
          @context = context
          @opened = opened
          @narrow = Read.new(context, opened)
        end

        def kinds = @context.filters.kinds

        # kind :: of question. Gives an Array of Row, from wide to narrow.
        def call(kind)
          @context.filters.of_kind(kind).map { |filter| row(filter.filter, filter.terms, published: filter) }
        end

        # Those that people here wrote; one whose terms cannot be read in this library any more is
        # left out.
        def own
          @context.own_filters.all.filter_map do |filter|
            leaf = Strategy::Filters::OwnFilter.new(title: filter.title,
                                                    tree: Strategy::Cql.read(
                                                      filter.terms, @context.vocabulary
                                                    ))
            row(leaf, leaf.terms)
          rescue InputError
            nil
          end
        end

        private

        def row(leaf, terms, published: nil)
          Row.new(leaf:, published:, preview: (@narrow.preview(leaf) unless on?(leaf)),
                  terms: terms.map { |term| Term.new(cql: Strategy::Cql.write(term), size: size(term)) })
        end

        def on?(leaf) = @opened.inquiry.limits.any? { |limit| limit.on && limit.leaf == leaf }
        def size(term) = @opened.cascade.joined.overlap(@context.evaluator.call(term))
      end

      # Keeps a colleague's review of the search of an inquiry.
      class ReviewSearch
        OWN = Book.t("errors.filters.own_review")
        private_constant :OWN

        # seen :: see ApplyEdit
        def initialize(context, seen: nil)
          @context = context
          @seen = seen
        end

        # name :: of who reviews, where nobody signs in; verdict, remarks :: see Edits::SearchCheck::ReviewSearch
        # Gives an ApplyEdit::Outcome. Raises InputError (:reviewer), what ApplyEdit raises.
        def call(id, name:, verdict:, remarks:)
          person = @context.user.person
          raise InputError, { reviewer: OWN } if person && @context.standings.of(id).owner_id == person.id

          edit = Edits::SearchCheck::ReviewSearch.new(name: person ? person.name : name, verdict:, remarks:)
          ApplyEdit.new(@context, seen: @seen).call(id, edit)
        end
      end

      # The study filter of an inquiry: a published one, or one of one's own, which is kept for other
      # inquiries too.
      class ChangeFilter
        HINT = Book.t("errors.filters.filter_terms")
        private_constant :HINT

        # seen :: see ApplyEdit
        def initialize(context, seen: nil)
          @context = context
          @apply = ApplyEdit.new(context, seen:)
        end

        # label :: such as "treatment/balanced". Gives an ApplyEdit::Outcome, as the others do. Raises
        #   InputError (:filter).
        def published(id, label) = @apply.call(id, Edits::Limits::ApplyFilter.new(label:))

        # Puts on a filter that was written here before. Raises GoneError.
        def kept(id, title)
          found = @context.own_filters.all.find do |filter|
            filter.title == title
          end or raise GoneError, "filter"
          put(id, own(found.title, found.terms))
        end

        # Writes one and puts it on; a librarian's is kept for other inquiries, too. title :: its name; terms :: CQL; replace :: whether it
        # may take the place of one of that name. Raises InputError (:title, :terms, :replace).
        def write(id, title, terms, replace: false)
          filter = own(title, terms)
          if !replace && @context.own_filters.kept?(filter.title) && ChangeHouse.new(@context).may?
            raise InputError, { replace: Book.t("errors.filters.filter_taken") }
          end

          house = ChangeHouse.new(@context)
          house.filter(filter.title, Strategy::Cql.write(filter.tree)) if house.may?
          put(id, filter)
        end

        # No longer offered; a search that has it keeps it. Raises GoneError, RefusedError.
        def forget(id, title)
          raise GoneError, "filter" unless @context.own_filters.kept?(title)

          ChangeHouse.new(@context).filter(title, nil)
          ApplyEdit::Outcome.new(opened: Inquiries::Read.new(@context).call(id), change: nil, line: nil)
        end

        private

        def put(id, filter) = @apply.call(id, Edits::Limits::Apply.new(leaf: filter))

        # A filter stands in every inquiry, so it cannot name a line of one.
        def own(title, terms)
          raise InputError, { terms: HINT } if terms.strip.empty?

          tree = InputError.at(:terms) do
            Strategy::Lines.new({}).resolve(Strategy::Cql.read(terms, @context.vocabulary))
          end
          Strategy::Filters::OwnFilter.new(title:, tree:)
        end
      end
    end
  end
end
