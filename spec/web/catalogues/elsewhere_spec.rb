# frozen_string_literal: true

# The search in other catalogues, over the web, with the stand-ins answering.
RSpec.describe "Elsewhere over the web", :sample, :client do
  include Editing

  # Nothing is started beside the test; what waits is read within it.
  before do
    nobody = instance_double(Hobrin::Services::Imports::WakeWorker, call: nil)
    allow(Hobrin::Services::Imports::WakeWorker).to receive(:new).and_return(nobody)
  end

  let(:allowed) { Hobrin::Outside::Allowed.new("127.0.0.1:#{@port}") }

  def late
    Timeout.timeout(60) { @held.pop }
    [200, {}, ["late"]]
  end

  # A stand-in of the plain kind over a few papers, two of them the library's, too.
  def with_stand_in
    kind = Hobrin::Demo::StandIns::StandIn::KINDS.fetch("plain")
    with_home do |elsewhere|
      known = SampleHome.records.find { |record| record.id.end_with?("trial-2021") }
      papers = [known.with(id: "p1"), known.with(id: "p2", doi: "10.5555/other",
                                                 title: "#{known.title} once more"),
                a_record(id: "p3", title: "Earplugs for adults in intensive care and their sleep",
                         published: "2024", keywords: ["randomized controlled trial"])]
      Hobrin::Services::Imports::ImportRecords.new(elsewhere).call(StringIO.new(Hobrin::Exchange::CslJson::Writer.call(papers)))
      stand_in = Hobrin::Demo::StandIns::StandIn.new(elsewhere, kind)
      Wire.serve(->(env) { @held ? late : stand_in.call(env) }) do |port|
        @port = port
        yield "http://127.0.0.1:#{port}/sru"
      end
    end
  end

  def context
    @context ||= Hobrin::Boot.context(home:, who: "a test", clock: Builders::FixedClock,
                                      allowed: "127.0.0.1:#{@port}")
  end

  def add(address, **rest)
    send_form("/library/catalogues", name: "Ward catalogue", address:, protocol: "sru",
                                     **rest)
  end

  def ask(**sent) = send_form("/inquiries/1/elsewhere", show: "elsewhere", **sent)
  def source = context.library.sources.named("Ward catalogue")
  def page(query = "") = Nokogiri::HTML(visit_page("/inquiries/1/narrow?show=elsewhere#{query}").body)

  # For a minute, or until the test has seen enough.
  it "gives a page back while a catalogue is silent, says so, and changes nothing" do
    with_stand_in do |address|
      visit_page("/library")
      expect(add(address).status).to eq(303)
      before = context.inquiries.find(1).version
      visit_page("/inquiries/1/narrow?show=elsewhere")
      @held = Queue.new
      ask(do: "ask", source: source.id)
      expect(last_response.body).to match(/did not answer within \d+ seconds/)
      expect(@held.num_waiting).to be >= 1
      expect(context.inquiries.find(1).version).to eq(before)
    ensure
      @held&.close
    end
  end

  it "puts a catalogue on the list, asks it line by line, brings its records in, and tells what only it had" do
    with_stand_in do |address|
      expect(page.at_css(".elsewhere").text).to include("No catalogues are connected yet")
      expect(add(address).status).to eq(303)
      rows = page.css(".elsewhere-form tbody tr")
      expect(rows.map { |row| row.css("td").last.text.strip }.uniq).to eq([""])
      expect(rows.first.at_css("textarea").text).to include('cql.serverChoice all "intensive care units"')
      expect(rows.first.at_css(".became").text).to include("names in text words", "here: 112 more")
      ask(do: "ask", source: source.id)
      expect(last_line.change).to eq("Searched Ward catalogue: 3 records")
      rows = page.css(".elsewhere-form tbody tr")
      expect(rows.last.css("td").last.text.strip).to eq("3")
      ask(do: "bring", source: source.id, most: "2")
      Hobrin::Services::Imports::Work.new(context).call
      cells = page.css(".elsewhere table").last.css("tbody tr").first.css("td").map(&:text)
      expect(cells).to eq(%w[2026-11-23 3 2 0 1 1])
      expect(last_line.change).to eq("Imported from Ward catalogue: up to 2 records")
      expect(context.library.record("ward-catalogue:p1").doi).to eq("10.5555/hobrin.trial-2021")
      log = Hobrin::Services::Trails::ReadReport.new(context).call(opened, [], "").map(&:text)
      expect([log[1], log[14]]).to match([/2 sources were searched/, include("3 found there, 2 imported, 1 of")])
      brief = visit_page("/inquiries/1/act").body
      expect(Nokogiri::HTML(brief).text).to match(/Ward catalogue was searched on 2026-11-23; records found:\s+3/)
      header "HX-Request", "true"
      expect(ask(do: "again",
                 source: source.id).body).to include("Searched again: Ward catalogue: 3 records.")
      run = Nokogiri::HTML(visit_page("/inquiries/1/trail?again=yes").body)
      expect(run.at_css("#card ul").text).to include("Ward catalogue: 3 records on 23 Nov 2026")
      body = send_form("/inquiries/1/again", do: "everywhere").body
      expect(body).to include("Searched again: Ward catalogue: 3 records.", "Re-run on the current library")
      # Nothing changed there since the same day: only the run is a line.
      expect(last_line.kind).to eq(:run_again)
    end
  end

  it "asks what a person wrote, keeps it when it is refused, and says why" do
    with_stand_in do |address|
      visit_page("/library")
      add(address)
      ask(do: "ask", source: source.id, there: { "9" => "dc.nothing = x" })
      expect([last_response.status, last_response.body]).to match([503,
                                                                   /Unsupported index.*\(diagnostic 16\)/m])
      expect(Nokogiri::HTML(last_response.body).at_css("textarea[name='there[9]']").text).to eq("dc.nothing = x")
      ask(do: "ask", source: source.id, there: (1..30).to_h { |line| [line.to_s, ""] })
      expect([last_response.status, last_response.body]).to match([422,
                                                                   /No part of the search/])
      { { do: "bring", most: "5" } => 404, { do: "dance" } => 422, { do: "ask",
                                                                     source: "99" } => 404,
        { do: "ask", source: "x" } => 404 }
        .each do |sent, status|
        expect([sent, ask(source: source.id, **sent).status]).to eq([sent, status])
      end
      ask(do: "ask", source: source.id, there: { "9" => "earplugs" })
      expect(page.at_css("textarea[name='there[9]']").text).to eq("earplugs")
      ["0", "-1", "6000", "many", ""].each do |most|
        expect([most, ask(do: "bring", source: source.id, most:).status]).to eq([most, 422])
      end
    end
    ask(do: "ask", source: source.id)
    expect([last_response.status, last_response.body]).to match([503,
                                                                 /does not answer: nothing listens/])
    expect(inquiry.elsewhere.size).to eq(1)
  end

  it "refuses a catalogue that may not be asked, does not answer, or has no name, at its field" do
    @port = 1
    visit_page("/library")
    { ["http://169.254.169.254/latest", {}] => /not among the catalogues/,
      ["http://127.0.0.1:1/sru",
       {}] => /does not respond|nothing listens/,
      ["nowhere", {}] => /address of a catalogue/, ["http://127.0.0.1:1/",
                                                    { name: "" }] => /Enter its name/,
      ["http://127.0.0.1:1/", { name: "!!!" }] => /letters in it/, ["http://127.0.0.1:1/",
                                                                    { protocol: "ftp" }] => /its protocol/ }
      .each do |(address, rest), words|
        add(address, **rest)
        expect([address, last_response.status, last_response.body]).to match([address, 422, words])
        expect(Nokogiri::HTML(last_response.body).at_css("#catalogue-address")["value"]).to eq(address)
      end
    expect(context.library.sources.all).to eq([])
  end

  it "answers whatever others send, in XML and never with a fault" do
    odd = ["", " ", "\u0000", "a" * 900, "((((", "\"", "%", "é\u{1F475}", "1" * 20, "-1", "0",
           "cql.allRecords = 1 not sleep", "dc.type =", "1:1", "*"]
    names = { "/sru" => %w[query version operation scanClause startRecord maximumRecords recordSchema
                           recordPacking queryType],
              "/oai" => %w[verb metadataPrefix from until resumptionToken identifier set] }
    base = { "/sru" => { "query" => "sleep" }, "/oai" => { "verb" => "ListIdentifiers",
                                                           "metadataPrefix" => "mods" } }
    names.each do |path, all|
      all.product(odd).each do |name, value|
        answer = visit_page("#{path}?#{Rack::Utils.build_query(base[path].merge(name => value))}")
        expect([path, name, value, answer.status]).to match([path, name, value,
                                                             value.include?("\u0000") ? 400 : 200])
        Nokogiri::XML(answer.body, &:strict) if answer.status == 200
      end
    end
    expect(visit_page("/sru?query[]=a&query[b]=c").status).to be < 500
  end

  it "answers others: SRU with diagnostics by number, and a feed at an address that is taken back" do
    visit_page("/")
    sru = ->(query) { visit_page("/sru?#{Rack::Utils.build_query(query)}").body }
    { { "query" => "dc.foo = x" } => 16, { "query" => "dc.title <> x" } => 19,
      { "query" => "sleep and" } => 10,
      { "query" => "dc.title =/fuzzy x" } => 20, { "query" => "a and/rel.x b" } => 46,
      { "query" => "cql.resultSetId = \"9:1\"" } => 51,
      { "query" => "cql.resultSetId = none" } => 51, { "query" => "sleep sortBy dc.date" } => 80,
      { "query" => "sleep", "startRecord" => "99999" } => 61,
      { "query" => "sleep", "startRecord" => "x" } => 6, { "query" => "sleep",
                                                           "recordSchema" => "x" } => 66,
      { "query" => "sleep", "recordPacking" => "x" } => 71,
      { "operation" => "searchRetrieve" } => 7, { "operation" => "dance" } => 4,
      { "version" => "3.0",
        "query" => "a" } => 5,
      { "query" => "a", "queryType" => "pqf" } => 6, { "scanClause" => "dc.title = a" } => 16 }
      .each do |query, number|
      expect([query,
              sru[query]]).to match([query, %r{<uri>info:srw/diagnostic/1/#{number}</uri>}])
    end
    lines = sru["query" => 'cql.resultSetId = "1:20" and dc.title = sleep',
                "maximumRecords" => "0"]
    expect(lines).to match(%r{<numberOfRecords>\d+</numberOfRecords>})
    sleep = Hobrin::Strategy::Cql.read("sleep", context.vocabulary)
    { "1.2" => "http://www.loc.gov/zing/srw/",
      "2.0" => "http://docs.oasis-open.org/ns/search-ws/sruResponse" }.each do |version, namespace|
      %w[dc mods marcxml].each do |schema|
        answer = Hobrin::Catalogue::Sru::Answer.read(sru["query" => "sleep", "version" => version,
                                                         "recordSchema" => schema,
                                                         "maximumRecords" => "3",
                                                         "startRecord" => "2"])
        records = answer.records.map do |text|
          Hobrin::Catalogue.record(text, format: schema.to_sym,
                                         place: 1)
        end
        expect([answer.count, answer.following, records.map(&:class).uniq])
          .to eq([context.evaluator.count(sleep), 5, [Hobrin::Records::Record]])
        expect(sru["query" => "sleep", "version" => version]).to include(namespace)
      end
    end
    send_form("/inquiries/1/feed", do: "open")
    path = page.at_css(".elsewhere a[href*=feed]")["href"]
    feed = Nokogiri::XML(visit_page(path).body, &:strict)
    expect([feed.root.name, feed.css("entry").size,
            feed.css("entry id").map(&:text).uniq.size]).to eq(["feed", opened.final,
                                                                opened.final])
    send_form("/inquiries/1/feed", do: "close")
    [path, path.sub("/1/", "/2/"), "#{path}x"].each do |one|
      expect([one, visit_page(one).status]).to eq([one,
                                                   404])
    end
  end
end
