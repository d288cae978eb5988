# frozen_string_literal: true

module Hobrin
  module Narrowing
    class Moves
      # A change in the words of the page and the trail, from its kind and facts.
      #
      #   Wording.of(:main_on, { term: 4, label: "Delirium" }) # => "Delirium as a main topic only"
      module Wording
        TEMPLATES = {
          aspects_off: "%{label} under any aspect", aspect: "%{label} under %{aspect} only",
          main_off: "%{label} not only as a main topic", main_on: "%{label} as a main topic only",
          narrower_off: "%{label} without its narrower headings", narrower_on: "%{label} with its narrower headings",
          narrower: "%{instead} in place of %{label}",
          broader: "with the broader heading %{adds} beside %{label} in %{letter}",
          related: "with the related heading %{adds} in %{letter}", words: "with the words “%{adds}” in %{letter}",
          title_only: "“%{label}” in titles only", fields: "“%{label}” anywhere in the text",
          restored: "with the crossed-out “%{label}” in %{letter} again",
          titles_only: "all words of %{letter} in titles only",
          block_off: "without %{letter}", excluded_off: "without taking %{letter} away",
          block_on: "with %{letter} as well",
          limit_wider: "limit to %{adds}, too", filter: "the %{width} study filter for %{kind}"
        }.freeze
        private_constant :TEMPLATES

        # kind :: Symbol; facts :: Hash
        def self.of(kind, facts)
          return format(TEMPLATES.fetch(kind), facts) if TEMPLATES.key?(kind)

          leaf = facts.fetch(:leaf)
          case kind
          when :limit_off then "without #{"the limit " unless leaf.name == :filter}#{Narrowing::Wording.named(leaf)}"
          when :flag then "only #{Narrowing::Wording.of(leaf).downcase}"
          when :limit then "limit to #{Narrowing::Wording.named(leaf)}"
          end
        end
      end
    end
  end
end
