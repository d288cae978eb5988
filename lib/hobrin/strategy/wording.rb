# frozen_string_literal: true

module Hobrin
  module Strategy
    # A term in the words of the page and the trail.
    module Wording
      KINDS = { Heading => "heading", TextTerm => "words", Proximity => "words", Author => "author",
                Journal => "journal" }.freeze
      private_constant :KINDS

      class << self
        # leaf :: one of Term::LEAVES. Gives "heading Delirium", "words eye mask*", "author zorvane
        #   A".
        def of(leaf) = "#{kind(leaf)} #{leaf.label}"

        # "heading", "words", "author" or "journal".
        def kind(leaf) = KINDS.fetch(leaf.class)

        # What a person needs beside the name: how a heading is searched, where words are looked for.
        # narrower :: how many narrower headings there are, nil when it is no heading any more
        def note(leaf, narrower = nil)
          case leaf
          when Heading then heading(leaf, narrower)
          when TextTerm then words(leaf)
          when Proximity then near(leaf)
          when Author then leaf.initials.empty? ? "author, any initials" : "author"
          when Journal then "journal"
          end
        end

        # Where words are looked for: "anywhere in the text", "title, abstract".
        def where(leaf)
          leaf.fields == TextTerm::TEXT ? "anywhere in the text" : TextTerm::FIELDS.values_at(*leaf.fields).join(", ")
        end

        private

        def heading(leaf, narrower)
          return "no longer in the thesaurus" unless narrower

          below = "#{leaf.narrower ? "with" : "without its"} #{narrower} narrower"
          below = "nothing narrower" if narrower.zero?
          ["heading", below, ("main topic only" if leaf.main),
           *("only #{leaf.aspects.join(", ")}" if leaf.aspects.any?)].compact.join(" · ")
        end

        def words(leaf)
          kind = leaf.phrase? ? "phrase" : "word"
          kind = "#{kind}, #{leaf.text.match?(/\A[^*?]*\*\z/) ? "any ending" : "masked"}" if leaf.masked?
          "#{kind} · #{where(leaf)}"
        end

        def near(leaf)
          apart = "within #{leaf.distance} #{leaf.distance == 1 ? "word" : "words"}"
          "#{apart}#{", in this order" if leaf.ordered} · #{where(leaf)}"
        end
      end
    end
  end
end
