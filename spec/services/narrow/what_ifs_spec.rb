# frozen_string_literal: true

# What Narrow offers is what trying it does.
RSpec.describe "Steering by what-ifs", :sample, :slow do
  def reader(id = 1) = Hobrin::Services::Narrow::WhatIfs.new(context, opened(id))

  it "leaves after each change the papers it said, and undoing it brings back the same inquiry" do
    before = inquiry
    reader.call.group_by { |one| one.move.kind }.each_value do |same|
      offer = same.first
      try(offer)
      expect([offer.wording, opened.final]).to eq([offer.wording, offer.size])
      expect(inquiry.blocks.flat_map { |block| block.terms.map(&:id) }.tally.values).to all(eq(1))
      undo
      expect(inquiry.with(next_term: 1)).to eq(before.with(next_term: 1))
    end
  end

  it "orders changes by how near they bring the aim, and no longer offers one that was dismissed" do
    offers = reader(2).call
    far = ->(size) { [20 - size, size - 40, 0].max }
    expect(offers.map { |one| far.call(one.size) })
      .to eq(offers.map { |one| far.call(one.size) }.sort)
    edit(Hobrin::Edits::WhatIfs::Dismiss.new(name: offers.first.name), id: 2)
    expect(reader(2).call.map(&:name)).to eq(offers.drop(1).map(&:name))
    [[], ["moon"], [offers.last.name, "moon"]].each do |names|
      expect { edit(Hobrin::Edits::WhatIfs::Apply.new(names:), id: 2) }
        .to raise_error(Hobrin::GoneError)
    end
  end

  it "finds a way into the aim from every inquiry that is outside it, and goes it" do
    (2..5).each do |id|
      way = reader(id).way
      expect([id, way.inside, way.moves.size]).to match([id, true, be_between(1, 3)])
      try(*way.moves, id:)
      expect([id, opened(id).final]).to eq([id, way.size])
      expect(reader(id).way).to be_nil
    end
  end

  it "keeps a paper that was let in by hand through later changes, until it is taken back" do
    paper = context.library.newest(opened.cascade.steps.last.removed - opened.cascade.included, limit: 1).first
    inquiry.included_ids.each { |id| edit(Hobrin::Edits::Papers::RemoveManually.new(record_id: id)) }
    include_paper = ->(record_id) { edit(Hobrin::Edits::Papers::IncludeManually.new(record_id:)) }
    expect { include_paper[paper.id] }.to change { opened.final }.by(1)
    brief = Hobrin::Services::Act::ReadBrief.new(context).call(opened)
    expect(brief.lines.last).to have_attributes(kind: :by_hand, count: opened.final)
    flow = brief.flow
    expect([flow.joined, flow.limited, flow.by_hand, flow.found]).to eq([90, 57, 1, 34])
    put(Hobrin::Strategy::Dates.years(from_year: 1990, to_year: 1991))
    expect(context.library.ids(opened.cascade.final)).to eq([paper.id])
    offer = reader.call.find { |one| one.wording.start_with?("without the limit Published") }
    try(offer)
    expect([opened.final, opened.cascade.included.size]).to eq([offer.size, 1])
    edit(Hobrin::Edits::Limits::SwitchAllOff.new)
    expect([opened.final, inquiry.limits.map(&:on)]).to eq([90, [false, false]])
    edit(Hobrin::Edits::Papers::RemoveManually.new(record_id: paper.id))
    expect([inquiry.included_ids, last_line.change]).to match([[], /\ANo longer added manually: “/])
    expect { include_paper["nope"] }.to raise_error(Hobrin::GoneError)
  end

  it "keeps a filter of one's own for other inquiries, and in a search even when it is forgotten" do
    filter = Hobrin::Services::Narrow::ChangeFilter.new(context)
    filter.write(1, "Controls", 'dc.type = "controlled trial" or control*')
    expected = opened.final
    own = ->(id) { Hobrin::Services::Narrow::ReadFilters.new(context, opened(id)).own }
    expect(own[1].map { |row| [row.leaf.title, row.preview] }).to eq([["Controls", nil]])
    other = own[2].first
    filter.kept(2, "Controls")
    expect(opened(2).final).to eq(other.preview.size)
    filter.forget(1, "Controls")
    expect([opened.final, own[1]]).to eq([expected, []])
    expect(Hobrin::Services::Act::ReadBrief.new(context).call(opened).cql).to include("control*")
    { ["", "risk*"] => :title, ["Mine", ""] => :terms, ["Mine", "risk* and"] => :terms,
      ["Mine", "cql.resultSetId = 3"] => :terms }.each do |(title, terms), field|
      expect { filter.write(1, title, terms) }.to raise_error(Hobrin::InputError) { |e| expect(e.errors.keys).to eq([field]) }
    end
    expect { filter.kept(1, "Controls") }.to raise_error(Hobrin::GoneError)
  end

  it "says which step lost a paper that must be found, and what brings it back" do
    know = ->(typed) { edit(Hobrin::Edits::Papers::AddMustFind.new(typed:)) }
    lost = context.library.newest(opened.cascade.joined - opened.cascade.final, limit: 200)
    lost.each { |record| know[record.doi] if inquiry.must_find.size < 20 }
    know[context.library.newest(opened.cascade.final, limit: 1).first.doi]
    found, missing = reader.known(reader.call).partition(&:found)
    expect([found.size, missing.size]).to eq([1, 20])
    missing.each do |one|
      number = context.library.number(one.record.id)
      lacking = inquiry.limits.reject do |limit|
        context.evaluator.call(limit.leaf).include?(number)
      end
      expect(one.steps.map(&:source)).to eq(lacking)
      expect(one.recovery.nil?).to be(lacking.size > 1)
    end
    twice = missing.find { |one| one.steps.size == 2 }.record
    pair = reader.pair(twice.id)
    try(*pair.moves)
    expect([opened.final,
            context.library.ids(opened.cascade.final).include?(twice.id)]).to eq([pair.size, true])
    undo
    one = missing.find(&:recovery)
    try(one.recovery)
    expect(reader.known(reader.call).find { |other| other.record == one.record }.found).to be(true)
    expect { know["sleep"] }.to raise_error(Hobrin::InputError, /Choose one/)
  end
end
