# frozen_string_literal: true

module Hobrin
  module Catalogue
    # A search as text to copy, for a catalogue that cannot be asked from here: AND, OR and NOT, with
    # the fields named in words. What its own notation calls them is for the person to fill in.
    #
    #   (
    #     heading "Delirium" (with narrower headings)
    #     OR "acute confusion" (title, abstract, author keywords)
    #   )
    #   AND
    #   …
    class PlainBoolean
      # blocks :: Array of Strategy::Block, in order; limits :: Array of leaves of limits that are on
      def initialize(blocks:, limits:)
        @blocks = blocks.select(&:tree)
        @limits = limits
      end

      # Gives a String; "" when nothing is searched.
      def call
        joined, taken = %i[and not].map { |operator| @blocks.select { |block| block.operator == operator } }
        return "" if joined.empty?

        text = [joined.map { |block| block(block) }.join("\nAND\n"), *taken.map { |block| "NOT\n#{block(block)}" }].join("\n")
        if @limits.empty?
          "#{text}\n"
        else
          "#{text}\n\nLimits: #{@limits.map do |leaf|
            Narrowing::AppliedLimit::Wording.named(leaf)
          end.join("; ")}\n"
        end
      end

      private

      def block(block)
        found = group(block.in_use)
        block.excluded.empty? ? found : "(\n#{found}\nNOT\n#{group(block.excluded)}\n)"
      end

      def group(terms) = "(\n  #{terms.map { |term| leaf(term.leaf) }.join("\n  OR ")}\n)"

      def leaf(leaf)
        case leaf
        when Strategy::Heading then heading(leaf)
        when Strategy::TextTerm then "#{quoted(leaf.text)} (#{fields(leaf)})"
        when Strategy::Proximity then near(leaf)
        when Strategy::Author then Book.t("catalogue.boolean.author", name: quoted(leaf.label))
        when Strategy::Journal then Book.t("catalogue.boolean.journal", name: quoted(leaf.label))
        end
      end

      def heading(leaf)
        how = [Book.t(leaf.narrower ? "catalogue.boolean.with_narrower" : "catalogue.boolean.without_narrower")]
        how << Book.t("catalogue.boolean.main_topic") if leaf.main
        how << Book.t("catalogue.boolean.subheadings", names: leaf.aspects.join(", ")) if leaf.aspects.any?
        Book.t("catalogue.boolean.heading", heading: quoted(leaf.label), how: how.join("; "))
      end

      def near(leaf)
        near = Book.t("catalogue.boolean.near", left: quoted(leaf.left), right: quoted(leaf.right), count: leaf.distance)
        order = Book.t("catalogue.boolean.in_order") if leaf.ordered
        "#{near}#{order} (#{fields(leaf)})"
      end

      def fields(leaf) = Strategy::TextTerm::FIELDS.values_at(*leaf.fields).join(", ")
      def quoted(text) = text.match?(/\s/) ? "\"#{text}\"" : text
    end
  end
end
