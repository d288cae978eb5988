# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Word step. What is open on it is named by one parameter, `open`: "term:5", "heading:P:Delirium", "list:P",
      # "gain:P", "papers:P", "papers:" (of the join), "paper:ID" or "overlap"; and by `known`, a DOI or a title to look for.
      class Word < Step
        ADVICE = { below: "More names in a block find more: other words for it, or a broader heading.",
                   inside: "A person can read these as they are.", above: "The next step thins them out." }.freeze
        WAYS = { ranked: "best first", contains: "labels that contain it", begins: "labels that begin with it" }.freeze
        KINDS = { spelling: "spelled so", number: "singular or plural", joined: "one word or two",
                  truncated: "any ending", also_called: "also called" }.freeze
        MOST_TAKEN_IN = 14
        ICONS = { Strategy::Heading => "bookmark", Strategy::Author => "person",
                  Strategy::Journal => "journal-text" }.freeze
        private_constant :ADVICE, :ICONS

        def columns = @columns ||= Services::ReadWord.new(@context).call(inquiry)

        def overlap = @overlap ||= Services::ReadWord.new(@context).overlap(inquiry)

        # What is open: [kind, the rest], such as ["term", "5"].
        def open = @open ||= fields.some_text(:known)&.then { |known| ["find", known] } || named_open

        def open?(kind, rest = nil) = open.first == kind && (rest.nil? || open.last == rest.to_s)

        # The card of a term or of a heading that is open, nil for none.
        def card
          @card ||= case open
                    in ["term", id] then reader.term(inquiry, Integer(id, 10, exception: false))
                    in ["heading", rest] then reader.heading(inquiry, *rest.split(":", 2)) if rest.include?(":")
                    else nil
                    end
        end

        # The card of a heading that is not in the block, at the block's entry line.
        def new_card(key) = (card if card && card.term.nil? && card.key == key)

        def gains = @gains ||= Services::ReadGains.new(@context).call(inquiry, open.last)

        # What the panel on papers shows: [title, Array of Record], or the one Paper.
        def paper = @paper ||= (Services::ReadPaper.new(@context).call(inquiry, open.last) if open?("paper"))

        def papers
          reader = Services::ReadPaper.new(@context)
          return ["Papers for “#{open.last}”", reader.find(open.last)] if open?("find")

          element = question.searched.find { |one| one.key == open.last }
          ["The newest #{element ? "in #{element.letter}" : "in the join"}", reader.newest(inquiry, element&.key)]
        end

        # The key of the block that the last change was about.
        def active = fields.some_text(:block)

        def error_for(key) = active == key ? errors[:typed] : nil

        def typed_in(key) = active == key ? fields.text(:typed) : ""

        # What a term's row says under its name.
        def note(term, column)
          return term.crossed_out.empty? ? "crossed out" : "crossed out: #{term.crossed_out}" if term.crossed_out?

          note = Strategy::Wording.note(term.leaf, column.narrower[term.label])
          term.taking? ? "taken away · #{note}" : note
        end

        # What a term finds that no other does, in words.
        def alone_words(term, figures)
          return "would add #{number(figures.alone)}" if term.crossed_out?
          return "takes #{number(figures.alone)}" if term.taking?
          return "finds nothing" if figures.empty?

          figures.alone.zero? ? "adds nothing" : "#{number(figures.alone)} only here"
        end

        def term_icon(leaf)
          ICONS.fetch(leaf.class, "quote")
        end

        # AND, NOT or nothing between a block and those before it.
        def joiner(column) = { and: "AND", not: "NOT", out: "—" }.fetch(column.block.joins)

        # The block that leaves nothing, when the join is empty though every block finds papers.
        def join_words
          joined = columns.select { |column| column.block.joins == :and }
          return "No block is joined: join one at its foot." if joined.empty?
          return "Give each block its first name." if joined.all? { |column| column.block.terms.empty? }

          empty = joined.select { |column| column.figures.empty? }
          return "#{empty.map { |column| column.element.name }.join(", ")}: nothing found yet." if empty.any?
          return "Each block finds papers, but none is in all of them." if standing.cascade.joined.empty?

          "#{limits_words}#{reading_words}"
        end

        # Where the papers of the join are: "in both", "in all 3, not in O".
        def where_words
          by_join = columns.group_by { |column| column.block.joins }
          joined = by_join.fetch(:and, []).size
          taken = by_join.fetch(:not, []).map { |column| column.element.letter }
          where = { 0 => "joined", 1 => "in this block", 2 => "in both" }.fetch(joined, "in all #{joined}")
          [where, ("not in #{taken.join(", ")}" if taken.any?)].compact.join(", ")
        end

        # "P and I 98, P and O 300", each pair of blocks that find papers.
        def pairs
          blocks, overlap, = self.overlap
          letters = blocks.map { |block| question.element(block.key).letter }
          overlap.pairs.map { |(one, two), size| [letters[one], letters[two], size] }
        end

        # What the foot of a block says beyond its count.
        def foot(column)
          terms = column.block.in_use
          return "" if terms.empty?
          return " · no words yet, so papers not indexed yet are missed" if terms.all?(&:heading?)

          fresh = column.figures.not_indexed
          by_words = " · #{number(column.figures.by_words)} only by words"
          fresh.positive? ? "#{by_words}, #{number(fresh)} of them not indexed yet" : by_words
        end

        private

        def named_open = fields.text(:open).split(":", 2).then { |kind, rest| [kind.to_s, rest.to_s] }

        def reader = Services::ReadCard.new(@context)

        def limits_words
          on = inquiry.limits.count(&:on)
          return "#{standing_words.capitalize}. #{ADVICE.fetch(inquiry.aim.standing(standing.final))}" if on.zero?

          "#{on} #{on == 1 ? "limit leaves" : "limits leave"} #{standing.final}, #{standing_words}."
        end

        def reading_words
          kept = question.elements.reject { |element| element.searched? || element.blank? }
          kept.empty? ? "" : " Not searched: #{kept.map { |element| "“#{element.name}”" }.join(", ")}."
        end
      end
    end
  end
end
