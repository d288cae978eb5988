# frozen_string_literal: true

RSpec.describe Hobrin::Catalogue::PlainBoolean do
  s = Hobrin::Strategy

  define_method(:block) do |*leaves, operator: :and, without: []|
    held = [*leaves, *without].reduce(s::Block.new(key: "P", operator:)) { |now, leaf| now.with_leaf(leaf) }
    without.reduce(held) { |now, leaf| now.replace(now.terms.find { |term| term.leaf == leaf }.id) { |term| term.with(excluded: true) } }
  end

  it "writes blocks, fields and limits in words" do
    delirium = s::Heading.new(label: "Acute Confusion", narrower: true, main: true)
    near = s::Proximity.new(left: "chew*", right: "gum", distance: 3)
    blocks = [block(delirium, s::TextTerm.new(text: "deliri*", fields: [:title])),
              block(near, without: [s::TextTerm.new(text: "nicotine gum")]),
              block(s::Author.read("Quarrel I"), operator: :not), block(s::TextTerm.new(text: "left out"), operator: :out)]
    limits = [s::Dates.years(from_year: 2016, to_year: 2026)]
    expect(described_class.new(blocks:, limits:).call).to eq(<<~TEXT)
      (
        heading "Acute Confusion" (with narrower headings; main topic only)
        OR deliri* (title)
      )
      AND
      (
      (
        chew* within 3 words of gum (title, abstract, author keywords)
      )
      NOT
      (
        "nicotine gum" (title, abstract, author keywords)
      )
      )
      NOT
      (
        "#{s::Author.read("Quarrel I").label}" (author)
      )

      Limits: Published: 2016 to 2026
    TEXT
    expect(described_class.new(blocks: [], limits:).call).to eq("")
  end
end
