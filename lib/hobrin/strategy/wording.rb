# frozen_string_literal: true

module Hobrin
  module Strategy
    # A term in the words of the page and the trail.
    module Wording
      KINDS = { Heading => :heading, TextTerm => :words, Proximity => :words, Author => :author, Journal => :journal }.freeze
      private_constant :KINDS

      class << self
        # leaf :: one of Term::LEAVES. Gives "heading Delirium", "words eye mask*", "author zorvane
        #   A".
        def of(leaf) = Book.t("strategy.wording.term", kind: kind(leaf), label: leaf.label)

        # "heading", "words", "author" or "journal".
        def kind(leaf) = Book.t("strategy.wording.kind.#{KINDS.fetch(leaf.class)}")

        # What a person needs beside the name: how a heading is searched, where words are looked for.
        # narrower :: how many narrower headings there are, nil when it is no heading any more
        def note(leaf, narrower = nil)
          case leaf
          when Heading then heading(leaf, narrower)
          when TextTerm then words(leaf)
          when Proximity then near(leaf)
          when Author then leaf.initials.empty? ? Book.t("strategy.wording.any_initials") : kind(leaf)
          when Journal then kind(leaf)
          end
        end

        # Where words are looked for: "anywhere in the text", "title, abstract".
        def where(leaf)
          leaf.fields == TextTerm::TEXT ? Book.t("strategy.wording.anywhere") : TextTerm::FIELDS.values_at(*leaf.fields).join(", ")
        end

        private

        def heading(leaf, narrower)
          return Book.t("strategy.wording.not_in_thesaurus") unless narrower

          key = if narrower.zero? then "nothing_narrower"
                else leaf.narrower ? "with_narrower" : "without_narrower"
                end
          [kind(leaf), Book.t("strategy.wording.#{key}", count: narrower), (Book.t("strategy.heading.main_topic_only") if leaf.main),
           *(Book.t("strategy.wording.subheadings", names: leaf.aspects.join(", ")) if leaf.aspects.any?)].compact.join(" · ")
        end

        def words(leaf)
          kind = Book.t("strategy.wording.#{leaf.phrase? ? "phrase" : "word"}")
          mask = leaf.text.match?(/\A[^*?]*\*\z/) ? "any_ending" : "wildcards"
          kind = "#{kind}, #{Book.t("strategy.wording.#{mask}")}" if leaf.masked?
          "#{kind} · #{where(leaf)}"
        end

        def near(leaf)
          apart = Book.t("strategy.wording.#{leaf.ordered ? "within_in_order" : "within"}", count: leaf.distance)
          "#{apart} · #{where(leaf)}"
        end
      end
    end
  end
end
