# frozen_string_literal: true

# What Narrow offers is what trying it does.
RSpec.describe "Steering by what-ifs", :sample do
  let(:reader) { Hobrin::Services::ReadWhatIfs.new(context) }
  let(:trying) { Hobrin::Services::TryWhatIfs.new(context) }

  def inquiry(id = 1) = context.inquiries.find(id).inquiry
  def standing(id = 1) = Hobrin::Services::ReadInquiry.new(context).call(id)

  it "leaves after each change the papers it said, and undoing it brings back the same inquiry" do
    undo = Hobrin::Services::UndoChange.new(context)
    before = inquiry
    offers = reader.call(before)
    offers.group_by { |one| one.what_if.move.kind }.each_value do |same|
      offer = same.first
      trying.call(1, [offer.number])
      expect([offer.wording, standing.final]).to eq([offer.wording, offer.size])
      expect(inquiry.blocks.flat_map { |block| block.terms.map(&:id) }.tally.values).to all(eq(1))
      undo.back(1)
      expect(inquiry.with(next_term: 1)).to eq(before.with(next_term: 1))
    end
  end

  it "orders changes by how near they bring the aim, and no longer offers one that was dismissed" do
    offers = reader.call(inquiry(2))
    far = ->(size) { [20 - size, size - 40, 0].max }
    expect(offers.map { |one| far.call(one.size) }).to eq(offers.map { |one| far.call(one.size) }.sort)
    trying.dismiss(2, offers.first.number)
    expect(reader.call(inquiry(2)).map(&:wording)).to eq(offers.drop(1).map(&:wording))
    [-1, offers.size + 9_999, nil].each { |number| expect { trying.call(2, [number]) }.to raise_error(Hobrin::GoneError) }
  end

  it "finds a way into the aim from every inquiry that is outside it, and goes it" do
    (2..5).each do |id|
      route = reader.way(inquiry(id))
      expect([id, route.way.inside, route.way.moves.size]).to match([id, true, be_between(1, 3)])
      trying.call(id, route.numbers)
      expect([id, standing(id).final]).to eq([id, route.way.size])
      expect(reader.way(inquiry(id))).to be_nil
    end
  end

  it "keeps a paper that was let in by hand through later changes, until it is taken back" do
    paper = context.library.newest(standing.cascade.steps.last.removed, limit: 1).first
    service = Hobrin::Services::LetIn.new(context)
    expect { service.call(1, paper.id) }.to change { standing.final }.by(1)
    brief = Hobrin::Services::ReadBrief.new(context).call(standing)
    expect(brief.lines.last).to have_attributes(kind: :by_hand, count: 38)
    flow = brief.flow
    expect([flow.joined, flow.limited, flow.by_hand, flow.found]).to eq([89, 52, 1, 38])
    limits = Hobrin::Services::ChangeLimits.new(context)
    limits.put(1, Hobrin::Strategy::Dates.years(from_year: 1990, to_year: 1991))
    expect(context.library.ids(standing.cascade.final)).to eq([paper.id])
    offer = reader.call(inquiry).find { |one| one.wording.start_with?("without the limit Published") }
    trying.call(1, [offer.number])
    expect([standing.final, standing.cascade.let_in.size]).to eq([offer.size, 1])
    limits.all_off(1)
    expect([standing.final, inquiry.limits.map(&:on)]).to eq([89, [false, false]])
    service.take_back(1, paper.id)
    expect([inquiry.let_in, context.inquiries.trail(1).first.change]).to match([[], /\ANo longer let in by hand: “/])
    expect { service.call(1, "nope") }.to raise_error(Hobrin::GoneError)
  end

  it "keeps a filter of one's own for other inquiries, and in a search even when it is forgotten" do
    filter = Hobrin::Services::ChangeFilter.new(context)
    filter.write(1, "Controls", 'dc.type = "controlled trial" or control*')
    expected = standing.final
    rows = Hobrin::Services::ReadFilters.new(context)
    expect(rows.own(standing).map { |row| [row.leaf.title, row.preview] }).to eq([["Controls", nil]])
    other = rows.own(standing(2)).first
    filter.kept(2, "Controls")
    expect(standing(2).final).to eq(other.preview.size)
    filter.forget("Controls")
    expect([standing.final, rows.own(standing)]).to eq([expected, []])
    expect(Hobrin::Services::ReadBrief.new(context).call(standing).cql).to include("control*")
    { ["", "risk*"] => :title, ["Mine", ""] => :terms, ["Mine", "risk* and"] => :terms,
      ["Mine", "cql.resultSetId = 3"] => :terms }.each do |(title, terms), field|
      expect { filter.write(1, title, terms) }.to raise_error(Hobrin::InputError) { |e| expect(e.errors.keys).to eq([field]) }
    end
    expect { filter.kept(1, "Controls") }.to raise_error(Hobrin::GoneError)
  end

  it "says which step lost a paper that must be found, and what brings it back" do
    known = Hobrin::Services::ChangeMustFind.new(context)
    lost = context.library.newest(standing.cascade.joined - standing.cascade.final, limit: 200)
    lost.each { |record| known.add(1, record.id) if inquiry.must_find.size < 20 }
    known.add(1, context.library.newest(standing.cascade.final, limit: 1).first.doi)
    all = reader.call(inquiry)
    found, missing = reader.known(standing, all).partition(&:found)
    expect([found.size, missing.size]).to eq([1, 20])
    missing.each do |one|
      number = context.library.number(one.record.id)
      lacking = inquiry.limits.reject { |limit| context.evaluator.call(limit.leaf).include?(number) }
      expect(one.steps.map(&:source)).to eq(lacking)
      expect(one.rescue.nil?).to be(lacking.size > 1)
    end
    twice = missing.find { |one| one.steps.size == 2 }.record
    pair = reader.pair(inquiry, twice.id)
    trying.call(1, pair.numbers)
    expect([standing.final, context.library.ids(standing.cascade.final).include?(twice.id)]).to eq([pair.size, true])
    Hobrin::Services::UndoChange.new(context).back(1)
    one = missing.find(&:rescue)
    trying.call(1, [one.rescue.number])
    expect(reader.known(standing, reader.call(inquiry)).find { |other| other.record == one.record }.found).to be(true)
    expect { known.add(1, "sleep") }.to raise_error(Hobrin::InputError, /Add a word/)
  end
end
