# frozen_string_literal: true

# The promises of the stores of inquiries and of people, run against any database. The including
# group gives `inquiries_db` and `people_db`.
RSpec.shared_examples "what is kept of inquiries and people" do
  let(:inquiries) { Hobrin::Store::Inquiries.new(inquiries_db) }
  let(:readings) { Hobrin::Store::Together::Readings.new(inquiries_db) }
  let(:standings) { Hobrin::Store::Together::Standings.new(inquiries_db) }
  let(:shares) { Hobrin::Store::SharedBriefs.new(inquiries_db) }
  let(:directory) { Hobrin::Store::Directory.new(people_db) }
  let(:inquiry) { Hobrin::Inquiry.new(question: Hobrin::Question.ask("Does quiet help?", situation: "Nächte, 夜, ½")) }
  let(:line) do
    { who: "a test", kind: :question_asked, facts: { words: "é" }, count_before: 0, count_after: 3,
      library_version: "x.1" }
  end

  def at(minute)
    format("2026-11-28T%<hour>02d:%<minute>02d:00Z", hour: minute / 60, minute: minute % 60)
  end

  def created = inquiries.create(inquiry, step: :ask, at: at(0), line:, owner_id: 7, ward_id: 2)
  def concluded(text) = inquiry.with(conclusion: text)

  def at_once(count, &)
    Array.new(count) { |place| Thread.new { yield place } }.map(&:value)
  end

  it "gives back what was kept, and each line of its trail" do
    id = created
    saved = inquiries.find(id)
    expect(saved).to have_attributes(version: 1, inquiry:, papers: 3, sample: false,
                                     deleted_at: nil)
    after = inquiries.save(saved, concluded("May help."), step: :act, at: at(1),
                                                          line: { **line, kind: :limit_put })
    expect(inquiries.find(id)).to eq(after)
    expect(inquiries.trail(id).map { |one| [one.number, one.kind, one.facts] })
      .to eq([[2, :limit_put, { words: "é" }], [1, :question_asked, { words: "é" }]])
    expect([inquiries.state_at(id, 1), inquiries.history(id).undo,
            inquiries.lines_after(id, 1).size])
      .to eq([inquiry, 2, 1])
    expect(inquiries.note(id, 2, "why", was: "")).to be(true)
    expect(inquiries.note(id, 2, "other", was: "")).to be(false)
    expect { inquiries.note(id, 9, "x", was: "") }.to raise_error(Hobrin::GoneError)
  end

  it "takes away, brings back, puts aside and forgets" do
    first, second = created, created
    inquiries.delete(first, at: at(5))
    expect([inquiries.all.map(&:id), inquiries.deleted(since: at(4)).map(&:id),
            inquiries.deleted(since: at(6))])
      .to eq([[second], [first], []])
    expect { inquiries.find(first) }.to raise_error(Hobrin::GoneError)
    inquiries.bring_back(first, since: at(4))
    inquiries.put_aside(second, at: at(6))
    expect(inquiries.all.to_h { |one| [one.id, one.aside_at] }).to eq(first => nil, second => at(6))
    inquiries.delete(first, at: at(7))
    inquiries.forget(before: at(8))
    expect([inquiries.all.map(&:id), inquiries.trail(first)]).to eq([[second], []])
  end

  it "lets one of many writers at once win, each time, and loses no line" do
    id = created
    won = at_once(6) do |place|
      Array.new(5) do |turn|
        saved = inquiries.find(id)
        inquiries.save(saved, concluded("#{place} #{turn}"), step: :act, at: at(1), line:) ? 1 : 0
      end.sum
    end.sum
    expect(inquiries.find(id).version).to eq(won + 1)
    expect(inquiries.trail(id).map(&:number)).to eq((won + 1).downto(1).to_a)
    expect(won).to be > 4
  end

  it "keeps whose it is, and what two readers decided, apart until both have" do
    id = created
    standings.give(id, 8, :works)
    standings.give(id, 8, :second)
    expect(standings.of(id)).to eq(Hobrin::People::Standing.new(ward_id: 2, owner_id: 7,
                                                                given: { 8 => :second }))
    expect(standings.some([id, id + 9]).keys).to eq([id])
    readings.let_read(id, [7, 8])
    keep, drop = [[:keep, nil], [:drop, "No study"]].map do |verdict, reason|
      Hobrin::Screening::Decision.new(record_id: "p", verdict:, reason:, note: "ü")
    end
    expect([readings.put(id, 7, keep, at: at(1)),
            readings.put(id, 7, drop, at: at(2))]).to eq([true, true])
    expect([readings.of(id, 7), readings.both(id, [7, 8])]).to eq([[drop], []])
    expect([readings.put(id, 8, keep, at: at(3)), readings.put(id, 7, keep, at: at(4)),
            readings.take_back(id, 8, "p")])
      .to eq([true, false, false])
    expect([readings.both(id, [7, 8]),
            readings.both(id, [8, 7])]).to eq([[[drop, keep]], [[keep, drop]]])
    expect([readings.counts(id), readings.readers(id)]).to eq([{ 7 => 1, 8 => 1 }, [7, 8]])
    shares.share(id, token: "t" * 20, at: at(1))
    shares.take_back(id, at: at(2))
    expect(shares.of(id, at: at(5))).to be_nil
  end

  it "keeps the sheets of two, apart until both are done with a paper" do
    id = created
    sheets = Hobrin::Store::Together::Sheets.new(inquiries_db)
    sheets.let_read(id, [7, 8])
    one, other = %w[yes no].map do |says|
      Hobrin::Appraisal::Paper.new(record_id: "p", design: "cohort", finding: "ü ½",
                                   answers: { followed: Hobrin::Appraisal::Paper::Answer.new(says:, shown: "夜") })
    end
    put = ->(person, sheet, done) { sheets.put(id, person, sheet, done:, at: at(1)) }
    expect([put[7, other, true], put[7, one, false], put[8, other, true]]).to all(be(true))
    expect([sheets.both(id, [7, 8]), sheets.done(id, 7), sheets.of(id, 7)]).to eq([[], [], [one]])
    expect([put[7, one, true], put[8, one, false], put[7, other, true]]).to eq([true, false, false])
    expect([sheets.both(id, [8, 7]), sheets.counts(id)]).to eq([[[other, one]], { 7 => 1, 8 => 1 }])
    sheets.let_read(id, nil)
    expect(sheets.readers(id)).to be_nil
  end

  it "keeps people and wards, no two of one login, and counts tries whoever asks" do
    accounts, wards = directory.accounts, directory.wards
    ward = wards.named("Ward 4")
    expect(wards.named("Ward 4")).to eq(ward)
    ids = at_once(4) do |place|
      accounts.add(name: "P#{place}", login: place < 2 ? "Same@x.example" : "p#{place}", hash: "h",
                   at: at(0))
    rescue Hobrin::InputError, Hobrin::UnavailableError
      nil
    end
    expect(ids.compact.size).to eq(3)
    wards.put(ward.id, ids.last, :librarian)
    wards.put(ward.id, ids.last, :member)
    expect(accounts.find(ids.last).wards).to eq(ward.id => :member)
    expect(accounts.by_login(" SAME@x.example")).not_to be_nil
    accounts.close(ids.last)
    expect([accounts.find(ids.last), accounts.closed.map(&:id)]).to eq([nil, [ids.last]])
    at_once(4) { 5.times { directory.tries.add(["somebody"], login: "somebody", at: at(3), since: at(1)) } }
    counts = [2, 3].map { |minute| directory.tries.count("SOMEBODY", since: at(minute)) }
    expect(counts).to eq([20, 0])
  end

  it "chains the log though several write at once, and takes an invitation up once" do
    at_once(4) do |place|
      5.times do
        directory.audit.add(at: at(1), who: "p#{place}", what: "came")
      end
    end
    expect([directory.audit.last(99).size, directory.audit.broken_at]).to eq([20, nil])
    given = { name: "J", ward_id: nil, role: :member, runs: true, made_by: "a", made_at: at(1),
              ends_at: at(9) }
    directory.invitations.add("secret", **given)
    found = directory.invitations.find("secret", at: at(2))
    used = at_once(4) do
      directory.invitations.use(found.id, at: at(3))
      1
    rescue Hobrin::GoneError
      0
    end
    expect([used.sum, directory.invitations.waiting(at: at(4))]).to eq([1, []])
    expect { directory.invitations.find("secret", at: at(2)) }.to raise_error(Hobrin::GoneError)
  end

  it "checks the log from where it was checked last, seals months, and writes strangers' tries in one line" do
    audit = directory.audit
    day = ->(month, number) { format("2026-%02d-%02dT10:00:00Z", month, number) }
    [9, 9, 10, 11].each { |month| audit.add(at: day[month, 3], who: "p", what: "came") }
    looked = 0
    allow(audit).to(receive(:print_of).and_wrap_original { |print, **line| (looked += 1) && print.call(**line) })
    expect([audit.broken_at, looked]).to eq([nil, 4])
    audit.add(at: day[11, 4], who: "p", what: "came")
    looked = 0
    expect([audit.broken_at, looked]).to eq([nil, 1])
    expect(audit.broken_anywhere(today: day[11, 5])).to be_nil
    expect(audit.months.map { |month| [month.month, month.upto, month.lines] }).to eq([["2026-09", 2, 2], ["2026-10", 3, 1]])
    90.times { |place| audit.add(at: "2026-11-05T10:00:00Z", who: "name#{place}", what: "wrong password") }
    audit.add(at: "2026-11-05T11:00:00Z", who: "p", what: "came")
    expect(audit.last(3).map { |line| [line.who, line.what, line.about] })
      .to eq([["p", "came", ""], ["several", "wrong password", "70 more in the hour from 2026-11-05T10:00"],
              ["name19", "wrong password", ""]])
    expect([audit.last(99).size, audit.broken_at]).to eq([27, nil])
    lines = audit.instance_variable_get(:@db)[:audit]
    # What was altered long ago is found by the check of all, also where its fingerprint was made anew.
    lines.where(number: 1).update(who: "q")
    expect([audit.broken_at, audit.broken_anywhere(today: day[11, 5])]).to eq([nil, 1])
    lines.where(number: 1).update(who: "p")
    expect(audit.broken_anywhere(today: day[11, 5])).to be_nil
    audit.instance_variable_get(:@db)[:audit_months].where(month: "2026-09").update(seal: "0" * 64)
    expect(audit.broken_anywhere(today: day[11, 5])).to eq(2)
    lines.where(number: 27).update(about: "x", print: "f" * 64)
    expect(audit.broken_at).to eq(27)
  end

  it "is copied into a file of its own as it is at one moment" do
    id = created
    directory.accounts.add(name: "P", login: "p", hash: "h", at: at(0))
    Dir.mktmpdir do |folder|
      inquiries.backup("#{folder}/inquiries.sqlite3")
      directory.backup("#{folder}/people.sqlite3")
      copied = Hobrin::Store::Database.open("#{folder}/inquiries.sqlite3", kind: :inquiries)
      expect(Hobrin::Store::Inquiries.new(copied).find(id)).to eq(inquiries.find(id))
      people = Hobrin::Store::Database.open("#{folder}/people.sqlite3", kind: :people)
      expect(Hobrin::Store::Accounts.new(people).all).to eq(directory.accounts.all)
      [copied, people].each(&:disconnect)
    end
  end
end
