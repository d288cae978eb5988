# frozen_string_literal: true

# What is written and asked does not grow with what is there.
RSpec.describe "Growth of what is kept" do
  include SmallWard
  include Ward

  def db = context.stored.instance_variable_get(:@db)

  def decided(number, verdict = :drop)
    reason = "No study" if verdict == :drop
    Hobrin::Screening::Decision.new(record_id: "10.5555/#{number}", verdict:, reason:)
  end

  def save(inquiry)
    line = { who: "a test", kind: :papers_decided, facts: { verdict: "drop", reason: "No study", papers: 1, records: [] }, brings_back: nil,
             count_before: 0, count_after: 0, library_version: "1" }
    context.stored.save(context.stored.find(1), inquiry, step: :sift, at: context.clock.now, line:)
  end

  it "writes under 10 KB for a decision among five thousand, and finds every state of before" do
    states = [context.stored.find(1).inquiry.with_decisions(Array.new(5_000) { |number| decided(number) })]
    save(states.first)
    55.times do |turn|
      changed = turn.odd? ? decided(5_000 + turn) : decided(turn * 7, :keep)
      states << states.last.with_decision(changed)
      save(states.last)
    end
    rows = db[:trail].where(inquiry_id: 1).where(Sequel[:number] > context.stored.find(1).version - 55).all
    sizes = rows.map { |row| row.values_at(:state, :changes, :facts).compact.sum(&:bytesize) }
    expect(sizes.count { |size| size > 10_000 }).to be <= 3
    expect(sizes.sort[27]).to be < 1_000
    board = db[:inquiries].first(id: 1).values_at(:state, :outline).sum(&:bytesize)
    expect(board).to be < 9_000
    last = context.stored.find(1)
    expect(last.inquiry).to eq(states.last)
    [0, 1, 4, 5, 6, 48, 49, 50, 51, 54, 55].each do |back|
      expect(context.stored.state_at(1, last.version - back)).to eq(states[-1 - back])
    end
    expect { context.stored.state_at(1, last.version + 1) }.to raise_error(Hobrin::GoneError)
    expect(context.stored.all.map(&:inquiry)).to eq([states.last])
    context.stored.delete(1, at: context.clock.now)
    expect(context.stored.deleted(since: context.clock.days_ago(1)).map(&:inquiry)).to eq([states.last])
  end

  it "goes on from an inquiry that was written whole on every line, as before" do
    before = context.stored.find(1)
    whole = Hobrin::Store::InquiryDocument.dump(before.inquiry)
    db[:trail].where(inquiry_id: 1, number: before.version).update(state: whole, changes: nil)
    db[:inquiries].where(id: 1).update(state: whole, state_line: nil, outline: nil, stage: nil)
    reopened = Hobrin::Store::Inquiries.new(db)
    expect(reopened.find(1).inquiry).to eq(before.inquiry)
    expect(Hobrin::Services::Inquiries::List.new(context).call.entries.map { |one| one.stage.key }).to eq([:searching])
    save(before.inquiry.with_decision(decided(1)))
    save(before.inquiry.with_decision(decided(2)))
    expect(reopened.find(1).inquiry.decisions).to eq([decided(2)])
    expect(reopened.state_at(1, before.version)).to eq(before.inquiry)
  end

  it "asks as many statements for many inquiries as for few, and shows fifty of them, the furthest first" do
    people
    row = db[:inquiries].first(id: 1).except(:id)
    statements = 0
    counting = Class.new do
      define_method(:info) { |_| statements += 1 }
      %i[debug warn error].each { |name| define_method(name) { |*| nil } }
    end.new
    asked = lambda do
      [context, context.as(person(:reader))].map do |who|
        statements = 0
        db.loggers << counting
        overview = Hobrin::Services::Inquiries::List.new(who).call
        db.loggers.delete(counting)
        [statements, overview]
      end
    end
    few = asked.call.map(&:first)
    2_000.times do |number|
      db[:inquiries].insert(**row, ward_id: number.even? ? row[:ward_id] : wards[:other].id,
                                   stage: number == 4 ? "measuring" : "asked", touched_at: "2026-11-0#{1 + (number % 9)}T00:00:00Z")
    end
    many = asked.call
    expect(many.map(&:first)).to eq(few)
    all, own = many.map(&:last)
    expect([all.entries.size, all.pages, all.counts]).to eq([50, 41, { asked: 1_999, measuring: 1, searching: 1 }])
    expect([own.entries.size, own.total]).to eq([50, 1_001])
    expect(Hobrin::Services::Inquiries::List.new(context.as(person(:reader))).call(page: 99).entries.size).to eq(1)
    expect(own.entries.first(2).map { |entry| entry.listed.id }).to eq([6, 1])
  end
end
