# frozen_string_literal: true

# What happens when two write at once, when nothing can be written, and when a request is no
# request.
RSpec.describe "The application in hard times", :sample, :client do
  before { visit_page "/inquiries/1/trail?line=3" }

  # The files of this example, and of no other.
  def own_files
    Sequel::DATABASES.select { |db| db.opts[:database].to_s.start_with?("#{home}/") }
  end

  it "does not overwrite a note that another page wrote" do
    send_form "/inquiries/1/trail", line: "3", do: "note", note: "First", note_was: ""
    send_form "/inquiries/1/trail", line: "3", do: "note", note: "Second", note_was: ""
    expect([last_response.status,
            last_response.body]).to match([422, /Someone else has written a note here: “First”/])
    expect(last_response.body).to include('value="Second"', 'name="note_was" value="First"')
    expect(context.inquiries.line(1, 3).note).to eq("First")
    send_form "/inquiries/1/trail", line: "3", do: "note", note: "First, second", note_was: "First"
    expect(context.inquiries.line(1, 3).note).to eq("First, second")
  end

  it "asks before a filter of the same name is replaced" do
    visit_page "/inquiries/1/narrow"
    send_form "/inquiries/1/filter", title: "Mine", terms: "risk*"
    send_form "/inquiries/2/filter", title: "Mine", terms: "cohort*"
    expect([last_response.status,
            last_response.body]).to match([422,
                                           /A filter of this name exists already.*name="replace"/m])
    expect(context.own_filters.all.map(&:terms)).to eq(['cql.serverChoice = "risk*"'])
    send_form "/inquiries/2/filter", title: "Mine", terms: "cohort*", replace: "yes"
    expect(context.own_filters.all.map(&:terms)).to eq(['cql.serverChoice = "cohort*"'])
  end

  it "shows every page of a search with two hundred terms in a block" do
    names = Array.new(198) { |place| words("sleep#{place}") }
    leaves = [Hobrin::Strategy::Heading.new(label: "Delirium"), words("randomised"), *names]
    terms = leaves.map.with_index(1) do |leaf, id|
      Hobrin::Strategy::Block::Term.new(id:, leaf:, crossed_out: nil)
    end
    full = inquiry.with_block(inquiry.block("O").with(terms:)).with(next_term: 201)
    line = { who: "t", kind: :terms_added, facts: { block: "O", leaves: [] }, brings_back: nil,
             count_before: 0, count_after: 0, library_version: context.snapshot.version }
    context.inquiries.save(saved, full, step: :word, at: context.clock.now, line:)
    %w[word narrow narrow?show=check narrow?show=way sift trail log.json log.txt].each do |page|
      expect([page, visit_page("/inquiries/1/#{page}").status]).to eq([page, 200])
    end
  end

  it "reads on while another program writes, and says in words why a change waits" do
    other = SQLite3::Database.new(home.join("inquiries.sqlite3").to_s)
    other.execute("BEGIN IMMEDIATE")
    own_files.each { |db| db.synchronize { |connection| connection.busy_handler_timeout = 1 } }
    %w[/ /inquiries/1/ask /inquiries/1/narrow /inquiries/1/trail].each do |path|
      expect([path, visit_page(path).status]).to eq([path, 200])
    end
    send_form "/inquiries/1/act", seen: saved.version, conclusion: "Typed while the file was held"
    expect([last_response.status,
            last_response.body]).to match([503, /Another program is using the data/])
    expect(last_response.body).to include("Typed while the file was held")
    expect(last_response.body).not_to include("fault in Hobrin")
  ensure
    other&.close
  end

  it "says that the disk is full, and reads on" do
    own_files.each do |db|
      db.synchronize { |connection| connection.execute("PRAGMA max_page_count = 1") }
    end
    turns = (1..400).take_while do |turn|
      send_form "/inquiries/1/act", seen: saved.version, conclusion: "Typed on a full disk #{turn}"
      last_response.status == 303
    end
    said = /The disk is full.*Typed on a full disk #{turns.size + 1}\b/m
    expect([last_response.status, last_response.body]).to match([503, said])
    expect(visit_page("/inquiries/1/narrow").status).to eq(200)
  end

  it "answers what cannot be read with one plain refusal" do
    header "Host", "127.0.0.1"
    ["/?a#{"[x]" * 40}=1", "/?#{Array.new(5_000) { |place| "p#{place}=1" }.join("&")}", "/?a=1&a[b]=2"].each do |path|
      get path
      expect([path[0, 30], last_response.status]).to eq([path[0, 30], 400])
    end
    ["/%ff", "/inquiries/%ff/ask", "/inquiries/1/evidence.%ff"].each do |path|
      get path
      expect([path, last_response.status]).to eq([path, 404])
    end
    ["--x\r\nbroken", "", "zzz"].each do |body|
      post "/inquiries", {}, { "CONTENT_TYPE" => "multipart/form-data; boundary=x", :input => body }
      expect([body, last_response.status]).to match([body, be_between(400, 422)])
    end
    send_form "/inquiries/1/check", finding: "1" * 22
    expect(last_response.status).to be < 500
  end

  it "gives no cookie with what it ships, and opens sessions again after its key was cut" do
    header "Host", "127.0.0.1"
    get Hobrin::Web::Assets.path("hobrin.css")
    expect([last_response.status, last_response.headers["set-cookie"]]).to eq([200, nil])
    get "/assets/../app.rb"
    expect(last_response.status).to eq(404)
    File.write(home.join("session.key"), "cut")
    expect(Rack::MockRequest.new(Hobrin::Server.app(context, home:)).get("/", "REMOTE_ADDR" => "127.0.0.1",
                                                                              "HTTP_HOST" => "localhost").status)
      .to eq(200)
  end

  it "answers no other machine where nobody signs in" do
    ask = ->(app, **env) { Rack::MockRequest.new(app).get("/", "HTTP_HOST" => "localhost", "REMOTE_ADDR" => "127.0.0.1", **env).status }
    plain = Hobrin::Server.app(context, home:, env: {})
    expect(ask[plain]).to eq(200)
    [{ "REMOTE_ADDR" => "192.0.2.7" }, { "REMOTE_ADDR" => "" }, { "HTTP_X_FORWARDED_FOR" => "192.0.2.7" },
     { "REMOTE_ADDR" => "::2" }]
      .each do |env|
      expect([env, ask[plain, **env]]).to eq([env, 403])
    end
    # Where people sign in, others come as far as that page.
    shared = Hobrin::Server.app(context, home:, env: {}, shared: { required: true })
    expect(ask[shared, "REMOTE_ADDR" => "192.0.2.7"]).to eq(303)
  end

  it "stops a request that takes for ever, in words, and answers the next one" do
    endless = ->(env) { env["PATH_INFO"] == "/endless" ? loop { Hobrin::Deadline.check } : [200, {}, ["here"]] }
    app = Hobrin::Web::Guards::Patience.new(endless, seconds: 0.05)
    status, _, body = app.call("PATH_INFO" => "/endless")
    expect([status, body.first]).to match([503, /was stopped/])
    expect(app.call("PATH_INFO" => "/").first).to eq(200)
  end

  it "keeps what it writes for its owner only" do
    with_home do |fresh|
      fresh.library.mark_loading("papers")
      folder = Pathname(Sequel::DATABASES.last.opts[:database]).dirname
      backup = folder.join("copy.sqlite3")
      fresh.inquiries.backup(backup)
      files = folder.glob("*.sqlite3*")
      expect(files.map { |file| [file.basename.to_s, file.stat.mode & 0o077] }).to eq(files.map { |file| [file.basename.to_s, 0] })
      expect { fresh.inquiries.backup(backup) }.to raise_error(Hobrin::StateError, /exists already/)
      expect { fresh.inquiries.backup(folder.join("nowhere/x.sqlite3")) }.to raise_error(Hobrin::StateError, /Cannot write/)
      expect(folder.glob("**/*.part")).to eq([])
    end
  end
end
