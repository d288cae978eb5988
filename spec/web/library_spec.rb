# frozen_string_literal: true

RSpec.describe "The library over the web", :sample, :client do
  include Editing

  # Nothing is started beside the test; what waits is read within it.
  before { allow(Hobrin::Services::Imports::WakeWorker).to receive(:new).and_return(instance_double(Hobrin::Services::Imports::WakeWorker, call: nil)) }

  def send_file(text, name: "ward.ris", token: @token)
    header "Host", "127.0.0.1"
    path = "/library/files?#{Rack::Utils.build_query("name" => name)}"
    post path, {},
         { input: text, "CONTENT_TYPE" => "application/octet-stream", "HTTP_X_CSRF_TOKEN" => token.to_s }
    last_response
  end

  def rows = Nokogiri::HTML(visit_page("/library").body).css(".import").map { |one| one.text.gsub(/\s+/, " ").strip }
  def work = Hobrin::Services::Imports::Work.new(context).call

  it "takes a file in, reads it beside the page, and says what came of it" do
    visit_page("/library")
    text = "TY  - JOUR\nTI  - A ward paper\nID  - w1\nKW  - noise\nER  - \nTY  - JOUR\nID  - w2\nER  - \n"
    expect(send_file(text, name: "../../etc/ward library.ris").status).to eq(200)
    page = Nokogiri::HTML(visit_page("/library").body)
    expect([page.at_css("#imports")["hx-trigger"],
            rows.first]).to match(["every 1s", /ward library.ris .* waiting 0 %/])
    work
    page = Nokogiri::HTML(visit_page("/library").body)
    expect(page.at_css("#imports")["hx-trigger"]).to be_nil
    expect(rows.first).to match(/imported: 1 new paper, 1 rejected/)
    csv = visit_page(page.at_css(".import a")["href"]).body
    expect(csv).to include("Entry,Line,Reason", "2,")
    expect(rows.last).to match(/Made-up sample papers .* imported: 12.000 new papers/)
  end

  it "keeps several thesauri beside each other, and takes the one into use that is chosen" do
    labels = -> { Hobrin::Boot.context(home:).thesaurus.headings.map(&:label) }
    before = labels.call
    ttl = "@prefix skos: <#{Hobrin::Exchange::Skos::CORE}> .\n<urn:a> a skos:Concept ; skos:prefLabel \"Nights\" ."
    visit_page("/library")
    send_file(ttl, name: "skos of a ward.ttl")
    work
    expect(labels.call).to eq(["Nights"])
    own = Nokogiri::HTML(visit_page("/library").body).css("#thesauri li").map { |one| one.text.gsub(/\s+/, " ").strip }
    expect(own).to match([/\AMade-up sample thesaurus .* Use this one/, /\Askos of a ward.ttl 1 heading in use/])
    send_form("/library/thesauri/1")
    expect(labels.call).to eq(before)
    expect(send_form("/library/thesauri/99").status).to eq(404)
  end

  it "takes a file in parts, each at its place, and lets go of one that does not fit together" do
    visit_page("/library")
    text = "TY  - JOUR\nTI  - In parts\nER  - \n"
    mine = "a" * 32
    part = lambda do |from, upto, upload: mine, size: text.bytesize|
      header "Host", "127.0.0.1"
      query = Rack::Utils.build_query("name" => "parts.ris", "upload" => upload, "at" => from, "size" => size)
      post "/library/files?#{query}", {}, { input: text[from...upto], "CONTENT_TYPE" => "application/octet-stream",
                                            "HTTP_X_CSRF_TOKEN" => @token, "HTTP_HX_REQUEST" => "true" }
      last_response.headers["Hobrin-Refused"] ? :refused : last_response.status
    end
    before = context.library.imports.all.size
    expect([part[0, 10], part[10, 20]]).to eq([200, 200])
    expect(context.library.imports.all.size).to eq(before)
    expect(part[20, text.bytesize]).to eq(200)
    work
    expect(context.library.imports.all.first).to have_attributes(name: "parts.ris", added: 1)
    expect([part[0, 10], part[15, 20], part[10, 20]]).to eq([200, :refused, :refused])
    expect([part[0, 10, upload: "../../etc"], part[0, 10, size: 600 * 1024 * 1024]]).to eq(%i[refused refused])
    expect(home.glob("incoming/*.upload")).to eq([])
  end

  it "refuses what cannot come in, in words" do
    visit_page("/library")
    expect(send_file("").status).to eq(422)
    expect(last_response.body).to include("This file is empty")
    expect(send_file("x", token: "none").status).to eq(403)
    post "/library/files", {}, { "CONTENT_LENGTH" => (600 * 1024 * 1024).to_s }
    expect([last_response.status, last_response.body]).to match([413, /larger than 25 MB/])
    full = StringIO.new("x")
    allow(full).to receive(:read).and_raise(Errno::ENOSPC)
    expect { context.incoming.receive(full) }.to raise_error(Hobrin::UnavailableError, /disk is full.*make room/)
    expect(home.glob("incoming/*.part")).to eq([])
    visit_page("/library")
    file = Rack::Test::UploadedFile.new(StringIO.new("<html>"), "text/html",
                                        original_filename: "page.html")
    post "/library/files", { "authenticity_token" => @token, "file" => file }
    expect(last_response.status).to eq(303)
    work
    expect(rows.first).to match(/page.html .* failed: 0 new papers Hobrin reads none of this file’s format/)
    { "dance" => 422, "go" => 303, "back" => 404 }.each do |deed, status|
      id = context.library.imports.all.first.id
      expect([deed, send_form("/library/imports/#{id}", do: deed).status]).to eq([deed, status])
    end
    %w[0 abc 99999999999999999999].each do |id|
      expect(send_form("/library/imports/#{id}", do: "stop").status).to eq(404)
    end
    half = context.library.imports.begin(name: "half.ris", size: 9, at: context.clock.now, state: "failed")
    context.library.imports.change(half.id, entries: 4_000, added: 4_000, message: Hobrin::Book.t("errors.imports.ended_early"))
    visit_page("/library")
    expect(rows.first).to match(/half.ris .* imported in part: 4.000 new papers The import stopped before the end/)
  end

  it "shows doubles side by side, says that they are two, and the same after all" do
    page = Nokogiri::HTML(visit_page("/library/doubles").body)
    expect([page.css(".pair").size, context.library.duplicates.count]).to eq([16, 16])
    number = page.at_css(".pair input[name=number]")["value"]
    send_form("/library/doubles", do: "part", number:)
    page = Nokogiri::HTML(visit_page("/library/doubles").body)
    expect([page.css(".pair").size, context.library.duplicates.count]).to eq([16, 15])
    back = page.css(".pair").last.css("input").to_h { |input| [input["name"].to_sym, input["value"]] }
    send_form("/library/doubles", **back.except(:authenticity_token))
    expect(context.library.duplicates.count).to eq(16)
    { { do: "part", number: "x" } => 404, { do: "join", first: 1, number: 2 } => 404, { number: 1 } => 404 }
      .each { |sent, status| expect([sent, send_form("/library/doubles", **sent).status]).to eq([sent, status]) }
    send_form("/library/matches", name: "earplug", label: "No Such Heading")
    expect([last_response.status, last_response.body]).to match([422, /No Such Heading” is not a heading/])
  end

  it "puts the made-up papers aside, naming the inquiries first" do
    visit_page("/library?back=1")
    page = Nokogiri::HTML(last_response.body)
    expect(page.css(".back li").size).to eq(5)
    expect(page.css(".back li").text).to include("earplugs", "6 papers")
    send_form("/library/imports/1", do: "back")
    page = Nokogiri::HTML(visit_page("/library").body)
    expect([context.library.size, page.at_css(".sample"),
            rows.first]).to match([0, nil, /removed/])
    expect(visit_page("/inquiries/1/narrow").status).to eq(200)
  end
end
