# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Word step.
      class Word < Step
        include Words

        ADVICE = { below: "More names in a block find more: other words for it, or a broader heading.",
                   inside: "A person can read these as they are.", above: "The next step thins them out." }.freeze
        private_constant :ADVICE

        def columns = @columns ||= Services::ReadWord.new(@context).call(inquiry)

        # The key of the block that the last change was about.
        def active = fields.some_text(:block)

        def error_for(key) = active == key ? errors[:typed] : nil

        def typed_in(key) = error_for(key) ? fields.text(:typed) : ""

        # Whether a term stays open: a change of it was just refused.
        def open?(key, term) = errors.any? && active == key && fields.number(:term) == term.id

        # What a term's row says under its name.
        def note(term, column)
          return term.crossed_out.empty? ? "crossed out" : "crossed out: #{term.crossed_out}" unless term.in_use?
          return term.leaf.note unless term.heading?

          main = " · main topic only" if term.leaf.main
          "heading · #{narrower_words(term, column.narrower.fetch(term.label))}#{main}"
        end

        # What a term finds that no other does, in words.
        def alone_words(term, figures)
          return "would add #{number(figures.alone)}" unless term.in_use?
          return "finds nothing" if figures.empty?

          figures.alone.zero? ? "adds nothing" : "#{number(figures.alone)} only here"
        end

        # The block that leaves nothing, when the join is empty though every block finds papers.
        def join_words
          empty = columns.select { |column| column.figures.empty? }
          return "Give each block its first name." if columns.all? { |column| column.block.terms.empty? }
          return "#{empty.map { |column| column.element.name }.join(", ")}: nothing found yet." if empty.any?
          return "Each block finds papers, but none is in all of them." if standing.cascade.joined.empty?

          "#{limits_words}#{reading_words}"
        end

        # What the foot of a block says beyond its count.
        def foot(column)
          terms = column.block.in_use
          return "" if terms.empty?
          return " · no words yet, so papers not indexed yet are missed" if terms.all?(&:heading?)

          fresh = column.figures.not_indexed
          " · #{column.figures.by_words} only by words#{", #{fresh} of them not indexed yet" if fresh.positive?}"
        end

        private

        def narrower_words(term, narrower)
          return "no longer in the thesaurus" unless narrower
          return "nothing narrower" if narrower.zero?

          term.leaf.narrower ? "with #{narrower} narrower" : "without narrower"
        end

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
