# frozen_string_literal: true

module Hobrin
  class Check
    # What each kind of finding says, why it matters, and what fixing does.
    module Texts
      # group :: one of Check::GROUPS; says :: what was found; why :: why it matters; press :: what
      #   fixing does, nil when only the person can
      class Text < Value
        attributes :group, :says, :why, :press
      end

      # The kinds of findings by the element of the review that they belong to; the book has what each says.
      GROUPS = {
        question: %i[empty alone usual],
        joins: %i[twice nothing_left takes_much],
        headings: %i[gone replaced covered not_below main aspects unused missing],
        words: %i[without_words wild no_use titles],
        spelling: %i[slip nothing found_nothing other_way],
        limits: %i[language full_text silent both contrary]
      }.freeze
      GROUP_OF = GROUPS.flat_map { |group, kinds| kinds.map { |kind| [kind, group] } }.to_h.freeze
      private_constant :GROUPS

      # The Text of a kind, filled in. words :: Hash of what stands in its gaps
      def self.of(kind, words)
        place = "check.#{kind}"
        Text.new(group: GROUP_OF.fetch(kind), says: Book.t("#{place}.says", **words), why: Book.t("#{place}.why", **words),
                 press: (Book.t("#{place}.press", **words) if Book.has?("#{place}.press")))
      end
    end
  end
end
