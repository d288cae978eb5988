# frozen_string_literal: true

RSpec.describe "Signing, sharing and keeping over the web", :sample, :client do
  include Editing

  def versions(number = nil) = visit_page("/inquiries/1/act?show=versions#{"&version=#{number}" if number}").body
  def address = versions[%r{/shared/[\w-]{43}}]
  def conclude(text) = edit(Hobrin::Edits::Practice::WriteBrief.new(conclusion: text, plan: {}))

  it "keeps a version as it was when it was signed, and says what changed since" do
    old = inquiry.conclusion
    conclude("Nothing is known.")
    page = Nokogiri::HTML(versions)
    since = page.at_css(".since").text.gsub(/\s+/, " ")
    expect(since).to include("Since version 2", "then #{old}", "now Nothing is known.", "1 change in the trail")
    %w[pdf html docx md].each do |ending|
      get "/inquiries/1/versions/2.#{ending}"
      text = { "pdf" => ->(body) { OpenedFiles.pdf(body) }, "docx" => ->(body) { OpenedFiles.docx(body) } }
             .fetch(ending, ->(body) { body }).call(last_response.body)
      expect([ending, text.gsub(/\s+/, " ")]).to match([ending, include(old[0, 30])])
      expect(text).not_to include("Nothing is known")
    end
    first = Nokogiri::HTML(versions(1)).at_css(".since").text
    expect(first).to include("3 papers, 0.67 (0.50 to 0.88)", "4 papers, 0.68 (0.52 to 0.88)")
    %w[0 3 99 x -1].each do |number|
      expect([number, visit_page("/inquiries/1/versions/#{number}.pdf").status]).to eq([number, 404])
    end
  end

  it "signs what was read and nothing else" do
    versions
    seen = saved.version
    { "" => "Enter your name", "n" * 121 => "Keep this to 120" }.each do |signer, words|
      expect(send_form("/inquiries/1/signatures", signer:, seen:, show: "versions").body).to include(words)
      expect(last_response.status).to eq(422)
    end
    conclude("Changed in another window.")
    expect(send_form("/inquiries/1/signatures", signer: "A nurse", seen:).status).to eq(409)
    expect(inquiry.acting.signed.size).to eq(2)
    expect(send_form("/inquiries/1/signatures", signer: "A nurse", seen: saved.version, reason: " ").body)
      .to include("3 papers are not screened yet.", "Give a reason")
    expect(send_form("/inquiries/1/signatures", signer: "A nurse", seen: saved.version, reason: "The ward meets today").status).to eq(303)
    gaps = ["3 papers are not screened yet.", "5 papers are still “unsure”."]
    expect(inquiry.acting.signed.last.to_h).to eq({ name: "A nurse", on: Date.new(2026, 11, 23), line: saved.version,
                                                    gaps:, reason: "The ward meets today" })
    get "/inquiries/1/versions/3.md"
    expect(last_response.body).to include("open: The ward meets today", *gaps)
    undo
    expect(inquiry.acting.signed.size).to eq(2)
    conclude("")
    expect(send_form("/inquiries/1/signatures", signer: "A nurse",
                                                seen: saved.version).body).to include("Write the conclusion before you sign")
  end

  it "shows the signed version at its address until that is taken back, and leads nowhere from there" do
    shared = address
    conclude("Not signed yet.")
    page = visit_page(shared).body
    expect(page).to include("Version 2, signed off", "Work has continued since")
    expect(page).not_to match(%r{Not signed off yet|/inquiries/})
    expect(Nokogiri::HTML(page).css("a[href], form").map { |one| one["href"] }).to eq(["#work"])
    versions
    send_form("/inquiries/1/address", do: "open")
    expect([visit_page(shared).status, visit_page(fresh = address).status]).to eq([404, 200])
    versions
    send_form("/inquiries/1/address", do: "take_back")
    expect([visit_page(fresh).status, address]).to eq([404, nil])
    send_form("/inquiries/2/address", do: "open")
    other = visit_page("/inquiries/2/act?show=versions").body[%r{/shared/[\w-]{43}}]
    expect(visit_page(other).body).to include("Not signed off")
    Hobrin::Services::Inquiries::Delete.new(context).call(2)
    expect(visit_page(other).status).to eq(404)
  end

  it "gives nothing away to ten thousand guesses" do
    shares = Hobrin::Services::Act::ShareBrief.new(context)
    token = shares.token(1)
    random = Random.new(10)
    near = Array.new(43) { |place| token.dup.tap { |one| one[place] = one[place] == "A" ? "B" : "A" } }
    odd = [token.swapcase, token.chop, "#{token}a", "#{token} ", "", "%", "' or 1=1 --"]
    drawn = Array.new(9_950) { [random.bytes(32)].pack("m0").tr("+/", "-_").delete("=") }
    guesses = near + odd + drawn
    found = guesses.count do |guess|
      shares.read(guess) && true
    rescue Hobrin::GoneError
      false
    end
    expect([guesses.size, found]).to eq([10_000, 0])
    answers = guesses.first(60).reject(&:empty?).map do |guess|
      page = visit_page("/shared/#{Rack::Utils.escape_path(guess)}")
      [page.status, page.body[%r{<main.*</main>}m]]
    end
    expect(answers.uniq.map(&:first)).to eq([404])
    expect(shares.read(token).version).to eq(2)
  end

  it "plans steps and cycles, and says what cannot be at its place, with what was typed kept" do
    visit_page("/inquiries/1/act?show=steps")
    rows = { "step_on" => { "0" => "30.02.2027" }, "step_what" => { "0" => "Order" },
             "step_who" => { "0" => "Link nurse" } }
    send_form("/inquiries/1/steps", **rows.transform_keys(&:to_sym), stops: "Lights")
    page = Nokogiri::HTML(last_response.body)
    expect([last_response.status, page.at_css(".steps .problem").text]).to match([422, /Enter a date/])
    expect([page.at_css("[name='step_on[0]']")["value"],
            page.at_css("#stops").text.strip]).to eq(["30.02.2027", "Lights"])
    { { step_who: { "0" => "A nurse" } } => "Enter what is to be done",
      { cycle_did: { "0" => "x" } } => "Enter what was planned",
      { step_what: { "0" => "x" * 301 } } => "Keep this to 300",
      { risk: "x" * 501 } => "Keep this to", { step_on: "text", step_what: ["x"] } => nil }
      .each do |sent, words|
        send_form("/inquiries/1/steps", **sent)
        expect([sent.keys, last_response.status,
                last_response.body]).to match([sent.keys, words ? 422 : 303, include(words.to_s)])
      end
    send_form("/inquiries/1/steps", step_what: { "1" => "Order", "4" => "Ask" }, step_done: { "4" => "1" },
                                    cycle_plan: { "0" => "One night" })
    expect(inquiry.acting.steps.map { |step| [step.what, step.done] }).to eq([["Order", false], ["Ask", true]])
    expect(inquiry.acting.cycles.map(&:plan)).to eq(["One night"])
  end

  it "puts aside, copies, takes away and brings back on Home" do
    visit_page("/")
    send_form("/inquiries/2/aside")
    send_form("/inquiries/3/delete")
    page = Nokogiri::HTML(visit_page("/").body)
    expect(page.css(".inquiry-card").size).to eq(3)
    expect(page.css(".gone").map do |one|
      one.at_css("summary").text
    end).to eq(["Archived: 1", "Deleted in the last 30 days: 1", "Import an archive"])
    [2, 3].each { |id| send_form("/inquiries/#{id}/back") }
    expect(Nokogiri::HTML(visit_page("/").body).css(".inquiry-card").size).to eq(5)
    expect(send_form("/inquiries/99/back").status).to eq(404)
    send_form("/inquiries/1/copy")
    copy = context.inquiries.all.max_by(&:id)
    expect([copy.inquiry.with(acting: inquiry.acting), copy.inquiry.acting.signed]).to eq([inquiry, []])
    expect(last_line(copy.id).change).to eq("Copied from an inquiry with #{saved.version} lines in its trail")
  end

  def send_archive(text)
    visit_page("/")
    header "Host", "127.0.0.1"
    file = Rack::Test::UploadedFile.new(StringIO.new(text), "application/json", original_filename: "a.json")
    post "/archives", { "authenticity_token" => @token, "file" => file }
    last_response
  end

  it "opens an honest archive as a copy, on a Hobrin that has none of its papers too" do
    text = Hobrin::Services::Archives.new(context).write(1, situation: true).body
    expect(send_archive(text).status).to eq(303)
    copy = context.inquiries.all.max_by(&:id)
    expect(copy.inquiry.with(acting: inquiry.acting)).to eq(inquiry)
    expect(last_line(copy.id).change)
      .to eq("Imported from an archive of 2026-11-23 with #{saved.version} lines in its trail")
    with_home do |elsewhere|
      id = Hobrin::Services::Inquiries::Copy.new(elsewhere).open(text)
      opened = Hobrin::Services::Inquiries::Read.new(elsewhere).call(id)
      there, here = [[elsewhere, opened], [context, self.opened]].map do |place, one|
        Hobrin::Services::Appraise::Read.new(place, one).findings_table.lines.map(&:to_h)
      end
      expect(there).to eq(here)
      expect([elsewhere.library.size, elsewhere.snapshot.sample?]).to eq([6, true])
    end
  end

  it "opens no archive that was altered, is none, or is of a later format, and says where and why" do
    text = Hobrin::Services::Archives.new(context).write(1).body
    data = JSON.parse(text)
    data["inquiry"]["decisions"].find { |one| one["verdict"] == "keep" }["verdict"] = "unsure"
    later = JSON.parse(text).merge("format" => 3)
    { JSON.generate(data) => "contradicts itself",
      JSON.generate(later) => "newer version of Hobrin (format 3)", "{" => "it is not JSON",
      "[]" => "not a Hobrin archive", "\xFF\x00" => "not a Hobrin archive",
      '{"hobrin":"archive","format":1}' => "contradicts itself",
      "[" * 100_000 => "it is not JSON" }.each do |sent, words|
      expect([words, send_archive(sent).status, last_response.body]).to match([words, 422, include(words)])
    end
    visit_page("/")
    expect(send_form("/archives").body).to include("Choose a file first")
    post "/archives", {}, { "CONTENT_LENGTH" => (100 * 1_048_576).to_s }
    expect([last_response.status, last_response.body]).to match([413, /larger than/])
    expect(context.inquiries.all.size).to eq(5)
  end
end
