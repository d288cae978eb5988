# frozen_string_literal: true

# What a person is offered and what they then do must agree: an offer is a promise.
RSpec.describe "Steering", :sample do
  def move_up(slot) = edit(Hobrin::Edits::Limits::MoveUp.new(slot:))
  def switch(slot) = edit(Hobrin::Edits::Limits::Switch.new(slot:))
  def remove(slot) = edit(Hobrin::Edits::Limits::Remove.new(slot:))
  def add_typed(block, typed) = edit(Hobrin::Edits::Additions::AddTyped.new(block:, typed:))
  def offers(typed) = Hobrin::Services::Terms::Offer.new(context).call(1, "O", typed).first

  def block_size(key) = context.evaluator.count(inquiry.block(key).tree)

  it "adds with each offer exactly as many papers as it said" do
    adding = { Hobrin::Strategy::Author => Hobrin::Edits::Additions::AddAuthor, Hobrin::Strategy::Journal => Hobrin::Edits::Additions::AddJournal }
    ["conf", "sle", "noi", "mus", "eye sh", "acute confusion", "light*", "zzz"].each do |typed|
      offers(typed).each do |offer|
        if offer.held
          expect { add_headings("O", offer.leaf.label) }
            .to raise_error(Hobrin::InputError, /already in this block/)
          next
        end

        fresh = context.evaluator.call(offer.leaf) - context.evaluator.call(inquiry.block("O").tree)
        promised = block_size("O") + fresh.size
        named = adding[offer.leaf.class]
        kind = offer.heading? ? :heading : :words
        parts = Hobrin::Edits::Additions::AddParts.new(block: "O", parts: [[kind, offer.leaf.label]])
        edit(named ? named.new(block: "O", name: offer.leaf.label) : parts)
        expect([offer.leaf.label, block_size("O")]).to eq([offer.leaf.label, promised])
      end
    end
    first = offers("melat").first
    expect { add_headings("O", first.leaf.label) }.to change { block_size("O") }.by(first.adds)
  end

  it "takes a name under the heading where it is filed, with what is narrower" do
    add_typed("O", "icu delirium") if inquiry.block("O").terms.none? do |term|
      term.label == "Delirium"
    end
    expect { add_typed("O", "ICU delirium") }.to raise_error(Hobrin::InputError, /Delirium/)
    add_typed("I", "music therapy for noise reduction rounds")
    added = inquiry.block("I").terms.last(3).map(&:leaf)
    expect(added.map(&:label)).to eq(["Music", "Quiet Time", "rounds"])
    expect(added.first.narrower).to be(false)
    expect(last_line.change).to eq("Added heading Music, heading Quiet Time, words rounds to I")
  end

  it "finds the same papers in whatever order the limits stand, and all of them again when they are off" do
    before = opened.cascade
    %i[type type dates].each { |name| move_up(name) }
    expect(inquiry.limits.map(&:name)).to eq(%i[type dates age])
    expect(opened.cascade.final).to eq(before.final)
    %i[age type dates].each { |name| switch(name) }
    expect(opened.cascade.final).to eq(before.joined)
    %i[age type dates].each { |name| remove(name) }
    expect([inquiry.limits, opened.cascade.final]).to eq([[], before.joined])
    expect { remove(:age) }.to raise_error(Hobrin::GoneError)
  end

  it "takes two flags to mean both, and two study types to mean either" do
    flag = ->(name) { Hobrin::Strategy::Limit.new(name: :flag, values: [name]) }
    both = ["peer reviewed", "nurse author"].map { |name| flag[name].tap { |leaf| put(leaf) } }
    sets = both.map { |leaf| context.evaluator.call(leaf) }
    expected = sets.reduce(opened.cascade.joined) { |left, set| left & set }
    %i[age dates type].each { |slot| switch(slot) }
    expect([opened.cascade.final, inquiry.limits.map(&:slot).last(2)])
      .to eq([expected, %i[flag-peer-reviewed flag-nurse-author]])
    remove("flag-peer-reviewed")
    expect(opened.cascade.final).to eq(opened.cascade.joined & sets.last)
    offered = Hobrin::Services::Narrow::Read.new(context, opened).call([:flag]).fetch(:flag)
    expect(offered.map { |one| one.leaf.values }).to include(["peer reviewed"])
    expect(offered.map { |one| one.leaf.values }).not_to include(["nurse author"])
  end

  it "moves and switches blocks in the cascade, and takes one that was taken away in again as such" do
    up = ->(block) { edit(Hobrin::Edits::Blocks::MoveUp.new(block:, step: :narrow)) }
    switch_block = ->(block) { edit(Hobrin::Edits::Blocks::Switch.new(block:, step: :narrow)) }
    before = opened.cascade
    up["O"]
    expect(opened.cascade.steps.first(3).map { |step| step.source.key }).to eq(%w[P O I])
    expect(opened.cascade.final).to eq(before.final)
    2.times { up["O"] }
    expect(opened.cascade.steps.first.source.key).to eq("O")
    edit(Hobrin::Edits::Blocks::Join.new(block: "I", operator: :not, step: :narrow))
    taken = opened.cascade
    switch_block["I"]
    expect(opened.cascade.final.size).to be > taken.final.size
    switch_block["I"]
    expect([inquiry.block("I").operator, opened.cascade.final]).to eq([:not, taken.final])
    expect { switch_block["Z"] }.to raise_error(Hobrin::GoneError)
  end

  it "opens a step newest or strongest first" do
    reader = Hobrin::Services::Narrow::Read.new(context, opened)
    step = opened.cascade.steps.find { |one| !one.block? && one.source.name == :age }
    newest = reader.taken_away(step, limit: 100).records
    expect([newest.size,
            newest.map(&:published)]).to eq([step.removed.size,
                                             newest.map(&:published).sort.reverse])
    strongest = reader.taken_away(step, order: :strongest, limit: 100).records
    expect(strongest.map(&:id).sort).to eq(newest.map(&:id).sort)
    levels = strongest.filter_map do |record|
      design = Hobrin::Appraisal::Design.proposed(record)
      reviewed = Hobrin::Appraisal::Design.fetch("randomized_trial")
      design && Hobrin::Appraisal::Level.of(record:, kind: "treatment", design:, reviewed:).number
    end
    expect(levels.size).to be > 10
    expect(levels).to eq(levels.sort)
    expect(reader.taken_away(step, order: :strongest, limit: 5).records).to eq(strongest.first(5))
  end

  it "says of each limit which papers it took for saying nothing" do
    silent = Hobrin::Services::Narrow::Read.new(context, opened).silences.to_h { |one| [one.step.source.name, one] }
    removed = silent.fetch(:age).step.removed.to_a
    records = context.library.newest(silent.fetch(:age).step.removed, limit: 500)
    expect(records.size).to eq(removed.size)
    expect(silent.fetch(:age).papers).to eq(records.count { |record| record.ages.empty? })
    fresh = records.select { |record| record.ages.empty? && record.headings.empty? }
    expect(silent.fetch(:age).not_indexed).to eq(fresh.size)
    expect(records.map(&:id)).to include("10.5555/hobrin.trial-2026-new")
  end
end
