# frozen_string_literal: true

# What tells who a patient is is warned of where it is written, left out where that is asked, and can be
# removed for good.
RSpec.describe "Patients' data", :client do
  include SmallWard
  include Ward
  include EveryAddress

  secret = "Mrs Zanlock"

  # Everything that the home has on the disk, but the papers.
  def disk = home.glob("{inquiries,people}.sqlite3*").map { |file| file.binread.force_encoding("BINARY") }.join

  def write(**sent) = send_form("/inquiries/1/ask", question: "Does quiet help patients to sleep?", **sent)

  it "warns beside the field without standing in the way, and takes the text without it" do
    sign_in(:owner)
    visit_page("/inquiries/1/ask")
    expect(write(situation: "#{secret} in bed 12 is awake all night.").status).to eq(303)
    said = -> { Nokogiri::HTML(visit_page("/inquiries/1/ask").body).css(".identifiers").map { |one| one.text.gsub(/\s+/, " ") } }
    expect(said.call).to match([/a name \(“Mrs Zanlock”\), a bed or room \(“bed 12”\).*Without it: the patient is awake all night\./])
    write(situation: "#{secret} in bed 12 is awake all night.", without: "situation")
    expect([said.call, context.inquiries.find(1).inquiry.question.situation]).to eq([[], "the patient is awake all night."])
    visit_page("/inquiries/1/sift")
    send_form("/inquiries/1/decisions", paper: "p0", verdict: "keep", note: "as #{secret} asked")
    expect(visit_page("/inquiries/1/sift?paper=p0").body).to include("This may identify the patient")
    send_form("/inquiries/1/decisions", paper: "p0", note: "as #{secret} asked", without: "note")
    expect(context.inquiries.find(1).inquiry.decision("p0").note).to eq("as the patient asked")
    visit_page("/inquiries/1/act")
    send_form("/inquiries/1/act", conclusion: "Quiet helped #{secret}.", without: "conclusion")
    expect(context.inquiries.find(1).inquiry.conclusion).to eq("Quiet helped the patient.")
  end

  it "leaves the situation out of archives unless it is chosen, and out of everything that is shared" do
    sign_in(:owner)
    visit_page("/inquiries/1/ask")
    write(situation: "Asked for by zanlock at handover.")
    Hobrin::Services::Act::ShareBrief.new(context).open(1)
    token = Hobrin::Services::Act::ShareBrief.new(context).token(1)
    names = %w[brief.md brief.html brief.fhir.json ward.pdf findings.csv]
    shared = ["/shared/#{token}", *names.map { |name| "/inquiries/1/files/#{name}" }, "/inquiries/1/archive.json", "/inquiries/1/log.json"]
    expect(shared.select { |path| visit_page(path).body.include?("zanlock") }).to eq([])
    expect(visit_page("/inquiries/1/archive.json?situation=yes").body).to include("zanlock")
    expect(Hobrin::Services::Archives.verify(visit_page("/inquiries/1/archive.json").body)).to be_sound
  end

  # Everywhere that a person can write.
  def spread(words)
    edits = Hobrin::Edits
    draft = edits::Ask::Draft.new(situation: "For #{words}.", text: "Does quiet help #{words} and other patients to sleep?")
    paper = Hobrin::Appraisal::Paper.new(record_id: "p0", design: "randomized_trial", finding: "#{words} slept")
    [edits::Ask::WriteQuestion.new(draft:, press: edits::Ask::Mark.new(key: "P", words: "#{words} and other patients")),
     edits::Additions::AddParts.words("P", "\"#{words}\""),
     edits::Screen::Decide.new(decision: Hobrin::Screening::Decision.new(record_id: "p0", verdict: :keep, note: "like #{words}")),
     edits::Appraise::SaveAppraisal.new(paper:),
     edits::Practice::WriteBrief.new(conclusion: "It helped #{words}.", plan: { what: "ask #{words}" }),
     edits::Practice::Sign.new(name: "Maren Vendrillon")].each { |edit| Hobrin::Services::ApplyEdit.new(context).call(1, edit) }
    report = Hobrin::Services::Act::Versions.new(context).now(Hobrin::Services::Inquiries::Read.new(context).call(1))
    context.shared_briefs.keep(1, context.inquiries.find(1).version, report)
    context.readings.put(1, people[:owner], Hobrin::Screening::Decision.new(record_id: "p1", verdict: :keep, note: words),
                         at: context.clock.now)
    context.sheets.put(1, people[:owner], paper, done: true, at: context.clock.now)
    Hobrin::Services::Notes.new(context, 1).write("inquiry", "", "ask #{words}")
  end

  it "blacks a text out everywhere, on the disk too, and says so without saying what" do
    people
    spread(secret)
    before = context.inquiries.find(1)
    states = (1..before.version).map { |number| context.inquiries.state_at(1, number) }
    expect(disk).to match(/zanlock/i)
    sign_in(:librarian)
    visit_page("/inquiries/1/act")
    expect(send_form("/inquiries/1/forget", forget: secret).status).to eq(403)
    sign_in(:owner)
    visit_page("/inquiries/1/people")
    expect([send_form("/inquiries/1/forget", forget: "not there").status, told]).to match([422, include(/not in the inquiry/)])
    removed = send_form("/inquiries/1/forget", forget: secret.upcase)
    expect([removed.status, removed.body]).to match([200, /Deleted permanently from \d\d places/])
    context.stored.instance_variable_get(:@db).run("PRAGMA wal_checkpoint(TRUNCATE)")
    expect(disk).not_to match(/zanlock/i)
    now = context.inquiries.find(1)
    expect(now.version).to eq(before.version + 1)
    expect(now.inquiry.question.text).to eq("Does quiet help #{"█" * 11} and other patients to sleep?")
    expect(now.inquiry.block("P").terms.map(&:label)).to include(/x{11}/i)
    states.each_with_index do |state, place|
      again = context.inquiries.state_at(1, place + 1)
      expect([again.decisions.size, again.question.text.size, again.blocks.size])
        .to eq([state.decisions.size, state.question.text.size, state.blocks.size])
    end
    expect(everything_seen.select { |_, (_, said)| said.to_s.match?(/zanlock/i) }).to eq({})
    expect(context.inquiries.trail(1).first.change).to eq("A text was deleted permanently from this inquiry")
    log = context.directory.audit.last(200)
    expect(log.map { |line| [line.what, line.about] }).to include(["text removed for good", "inquiry 1"])
    expect(log.map(&:about).join).not_to match(/zanlock/i)
    folder = home.join("later")
    Hobrin::Services::Backup::Keep.new(context, home).call(folder)
    expect(folder.glob("*.sqlite3").map(&:binread).join).not_to match(/zanlock/i)
  end

  it "lets who runs Hobrin remove a text without reading it" do
    people
    spread(secret)
    sign_in(:runs)
    visit_page("/people")
    expect(send_form("/people/forget", inquiry: "1", forget: secret).status).to eq(200)
    expect([last_response.body.include?("Deleted permanently"), last_response.body.match?(/zanlock/i)]).to eq([true, false])
    expect(send_form("/people/forget", inquiry: "99", forget: secret).status).to eq(404)
    expect(context.inquiries.find(1).inquiry.conclusion).to eq("It helped #{"█" * 11}.")
  end

  it "forgets what was deleted over thirty days ago each night, and not before" do
    people
    context.stored.delete(1, at: context.clock.days_ago(29))
    expect(Hobrin::Services::Nightly.new(context).call).to have_attributes(forgotten: 0, broken_at: nil)
    context.stored.bring_back(1, since: context.clock.days_ago(30))
    context.stored.delete(1, at: context.clock.days_ago(31))
    home.join("made/1").mkpath
    other = Hobrin::Services::Inquiries::Start.new(context).call("Another one?")
    Hobrin::Services::Inquiries::Delete.new(context).call(other)
    expect(context.stored.trail(1)).not_to be_empty
    expect(Hobrin::Services::Nightly.new(context).call).to have_attributes(forgotten: 1, broken_at: nil)
    expect([context.stored.trail(1), home.join("made/1").exist?]).to eq([[], false])
    expect(context.directory.audit.last(1).first.what).to eq("forgotten")
  end
end
