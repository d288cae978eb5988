# frozen_string_literal: true

# What a single change would do, against what a reading of the records one by one finds.
RSpec.describe Hobrin::Narrowing::WhatIfs, :small_sample, :slow do
  let(:strategies) { RandomStrategies.new(77, context.library.thesaurus, records) }
  let(:evaluator) { context.evaluator }
  let(:filters) do
    Hobrin::Strategy::Filters.new([a_filter("balanced", words("random*")),
                                   a_filter("specific", words("randomized controlled trial"))])
  end

  def state
    blocks = %w[P I O].map { |key| strategies.block(key) }
    limits = strategies.limits.reject { |limit| %i[place added].include?(limit.name) }
    Hobrin::Narrowing::State.new(blocks: blocks.first(2), waiting: blocks.last(1), limits:)
  end

  def moves(state)
    Hobrin::Narrowing::Moves.new(state, thesaurus: context.library.thesaurus, today: Date.new(2026, 11, 23),
                                        filters:).call
  end

  it "counts for every change what the changed strategy finds, and the difference to now" do
    12.times do
      before = state
      next if before.blocks.empty?

      must_find = a_set(*records.each_index.to_a.sample(25, random: Random.new(1)).map(&:succ))
      what_ifs = described_class.new(before, evaluator:, must_find:)
      now = plain.call(before.tree)
      expect(what_ifs.now.to_a).to eq(now)
      what_ifs.call(moves(before).sample(15, random: Random.new(2))).each do |one|
        after = plain.call(one.move.state.tree)
        expect([one.move.wording, one.set.to_a, one.added.to_a, one.removed.to_a, one.lost.to_a])
          .to eq([one.move.wording, after, after - now, now - after,
                  (now - after) & must_find.to_a])
        widens = one.move.direction == :widen
        unless one.move.kind == :filter
          expect([one.move.wording, widens ? one.removed.size : one.added.size]).to eq([one.move.wording, 0])
        end
      end
    end
  end

  it "offers every kind of change there is, and none twice" do
    delirium = Hobrin::Strategy::Heading.new(label: "Delirium", main: true, aspects: ["nursing"])
    leaves = [delirium, words("sleep*", fields: [:abstract]), words("confus*"), words("sedation"),
              Hobrin::Strategy::Heading.new(label: "Inpatients")]
    terms = leaves.map.with_index(1) { |leaf, id| Hobrin::Strategy::Block::Term.new(id:, leaf:) }
    block = Hobrin::Strategy::Block.new(key: "O", terms:)
    place = Hobrin::Narrowing::AppliedLimit.new(leaf: Hobrin::Strategy::Limit.new(name: :age,
                                                                                  values: ["aged"]))
    balanced = Hobrin::Strategy::Filters::Filter.new(kind: "treatment", width: "balanced")
    filter = Hobrin::Narrowing::AppliedLimit.new(leaf: balanced)
    before = Hobrin::Narrowing::State.new(blocks: [block, block.with(key: "P")], limits: [place, filter],
                                          waiting: [block.with(key: "I")])
    found = moves(before)
    expect(found.map(&:kind).uniq).to include(
      :aspects_off, :main_off, :main_on, :narrower_off, :narrower, :broader, :words, :title_only, :titles_only, :fields,
      :block_off, :block_on, :limit_off, :limit, :filter
    )
    expect(found.map(&:state).uniq.size).to eq(found.size)
    broader = context.library.thesaurus.heading("Delirium").broader.first
    expect(found.map(&:wording)).to include(
      "with the broader heading #{broader} beside Delirium in O", "Delirium with any subheading",
      "the specific study filter for treatment", "limit to 80 and over too"
    )
  end

  it "puts the changes that reach the aim first, and finds the same again when one is taken back" do
    before = Hobrin::Narrowing::State.new(blocks: [Hobrin::Strategy::Block.new(key: "P",
                                                                               terms: [Hobrin::Strategy::Block::Term.new(
                                                                                 id: 1, leaf: words("sleep*")
                                                                               )])])
    what_ifs = described_class.new(before, evaluator:)
    sizes = what_ifs.call(moves(before),
                          aim: Hobrin::Narrowing::Target.new(from: 20, to: 40)).map(&:size)
    distances = sizes.map { |size| [20 - size, size - 40, 0].max }
    expect(distances).to eq(distances.sort)
    aged = before.with_limit(:age, Hobrin::Strategy::Limit.new(name: :age, values: ["aged"]))
    expect(aged.with_limit(:age, nil)).to eq(before)
  end

  it "names the step that drops a paper, and every other that would" do
    12.times do
      limits = strategies.limits
      blocks = %w[P O].map { |key| strategies.block(key) }
      cascade = Hobrin::Narrowing::Cascade.of(blocks:, limits:, evaluator:)
      records.each_index.to_a.sample(20, random: Random.new(3)).map(&:succ).each do |number|
        absence = Hobrin::Narrowing::Cascade::ExclusionReasons.of(cascade, number, evaluator)
        without = cascade.steps.select(&:on).reject do |step|
          plain.call(step.block? ? step.source.tree : step.source.leaf).include?(number)
        end
        expect(absence.all).to eq(without)
        expect(absence.step).to eq(without.first)
      end
    end
  end

  it "says why a paper is here: which terms found it, and where" do
    20.times do
      tree = strategies.tree(2)
      found = evaluator.call(tree)
      found.first(3).each do |number|
        record = records[number - 1]
        reasons = Hobrin::Retrieval::Reasons.new(evaluator).call(tree, number, record)
        expect(reasons).not_to be_empty
        reasons.each do |reason|
          expect(plain.match?(record, reason.leaf)).to be(true)
          expect(reason.places).not_to be_empty if reason.leaf.is_a?(Hobrin::Strategy::TextTerm)
          expect(reason.headings).not_to be_empty if reason.leaf.is_a?(Hobrin::Strategy::Heading)
        end
      end
    end
    near = Hobrin::Strategy::Proximity.new(left: "ear plug*", right: "night", distance: 3)
    expect(Hobrin::Retrieval::Reasons::TextPlaces.of(near,
                                                     "Ear-plugs late at night, and ear plug")).to eq([[0, 9], [18, 23],
                                                                                                      [29, 37]])
  end

  it "counts what the papers of a set have in common, and every place of a heading" do
    set = evaluator.call(words("sleep*"))
    own = set.map { |number| records[number - 1] }
    said = { heading: ->(one) { one.headings.map(&:label) }, journal: ->(one) { [one.journal] }, type: :types.to_proc,
             main: ->(one) { one.headings.select(&:main).map(&:label) }, age: :ages.to_proc, sex: :sex.to_proc,
             year: ->(one) { [one.year.to_s] }, language: ->(one) { [one.language] }, place: ->(one) { [one.country] },
             species: :species.to_proc }
    said.each do |name, values|
      expected = own.flat_map { |one| values[one].uniq }.tally.sort_by { |value, size| [-size, value] }
      expect([name, Hobrin::Retrieval::Facets::Counts.call(set, name, evaluator)])
        .to eq([name, expected])
    end
    place = Hobrin::Retrieval::TermCard::HeadingPlace.of("Delirium", evaluator)
    expect(place.paths.map { |path| path.last.first }.uniq).to eq(["Delirium"])
    expect(place.paths.first.last.last)
      .to eq(plain.call(Hobrin::Strategy::Heading.new(label: "Delirium")).size)
  end
end
