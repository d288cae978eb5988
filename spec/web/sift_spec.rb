# frozen_string_literal: true

require "prawn"

RSpec.describe "Sift over the web", :sample, :client do
  before { visit_page "/inquiries/1/sift" }

  def trial = "10.5555/hobrin.trial-2019-mask"

  def upload(bytes, paper: trial)
    Tempfile.create(["upload", ".pdf"], binmode: true) do |file|
      file.write(bytes)
      file.flush
      send_form("/inquiries/1/full-text", paper:,
                                          file: Rack::Test::UploadedFile.new(file.path, "application/pdf"))
    end
  end

  def pdf(&block)
    Prawn::Document.new.tap { |page| page.text("Methods: Beds were drawn by lot.") }.tap { |page| block&.call(page) }.render
  end

  it "keeps a PDF with a paper, gives it back as a download only, and takes it off" do
    upload(pdf)
    expect([last_response.status, context.papers.text(trial)]).to match([303, /drawn by lot/])
    visit_page "/inquiries/1/full-text?paper=#{trial}"
    expect(last_response.headers["content-disposition"])
      .to eq('attachment; filename="eye-masks-after-heart-surgery-effect.pdf"')
    expect(last_response.headers.values_at("content-type", "x-content-type-options"))
      .to eq(%w[application/pdf nosniff])
    expect(last_response.body.b).to start_with("%PDF-")
    send_form("/inquiries/1/full-text", paper: trial, do: "remove")
    expect([visit_page("/inquiries/1/full-text?paper=#{trial}").status,
            context.papers.kept?(trial)]).to eq([404, false])
  end

  it "refuses in words what is no PDF, too large, locked, or contains a script, and keeps nothing" do
    locked = pdf { |page| page.encrypt_document(user_password: "a", owner_password: "b") }
    script = pdf do |page|
      page.state.store.root.data[:OpenAction] =
        { Type: :Action, S: :JavaScript, JS: "app.alert(1)" }
    end
    { "<html>no</html>" => /This is not a PDF/, "%PDF-1.4 cut" => /cannot be read/, locked => /locked with a password/,
      script => /contains a script/, pdf[0, 600] => /cannot be read/ }.each do |bytes, words|
      upload(bytes)
      expect([last_response.status, last_response.body]).to match([422, words])
    end
    upload("%PDF-#{"x" * (26 * 1024 * 1024)}")
    expect([last_response.status, last_response.body]).to match([413, /larger than 25 MB/])
    send_form("/inquiries/1/full-text", paper: trial)
    expect([last_response.status, last_response.body]).to match([422, /Choose a file first/])
    upload(pdf, paper: "nope")
    expect([last_response.status, context.papers.kept?(trial),
            context.papers.kept?("nope")]).to eq([404, false, false])
  end

  it "takes an address of a link resolver and nothing else, and links by it" do
    ["javascript:alert(1)", "ftp://x.org/", "resolver", "https://", "https://user:pw@x.org/",
     "https://x.org/#{"a" * 400}", "http://[::1"]
      .each do |typed|
        send_form("/inquiries/1/resolver", resolver: typed, paper: trial, show: "full")
        expect([typed, last_response.status]).to eq([typed, 422])
        expect(last_response.body).to include("not the address of a link resolver",
                                              "value=\"#{Rack::Utils.escape_html(typed)}\"")
      end
    send_form("/inquiries/1/resolver", resolver: "https://resolver.example.org/openurl?sid=us",
                                       paper: trial)
    visit_page "/inquiries/1/sift?paper=#{trial}&show=full"
    address = Nokogiri::HTML(last_response.body).css(".full-text a").map { |link| link["href"] }.grep(/resolver/).first
    keys = URI.decode_www_form(URI(address).query).to_h
    record = context.library.record(trial)
    expect(keys).to include("sid" => "us", "url_ver" => "Z39.88-2004",
                            "rft_val_fmt" => "info:ofi/fmt:kev:mtx:journal",
                            "rft.atitle" => record.title, "rft_id" => "info:doi/#{trial}",
                            "rft.volume" => record.volume)
  end

  it "cites a paper in each style, and writes a letter to its author" do
    record = context.library.record(trial)
    Hobrin::Exchange::Citation::STYLES.each_key do |style|
      visit_page "/inquiries/1/sift?paper=#{trial}&show=full&style=#{style}"
      cited = Nokogiri::HTML(last_response.body).at_css("#citation").text
      expect(cited).to include(record.authors.first.family, record.title, record.volume,
                               record.year.to_s)
    end
    expect(Nokogiri::HTML(last_response.body).at_css(".request textarea").text).to include(
      record.title, inquiry.question.text
    )
  end

  it "exports the list as it is looked at" do
    visit_page "/inquiries/1/list.json?part=keep"
    expect(JSON.parse(last_response.body).map { |item| item["id"] }).to match_array(inquiry.kept_ids)
    visit_page "/inquiries/1/list.ris?rung=reviews"
    expect(last_response.body.scan(/^TY  - /).size).to eq(4)
    expect(visit_page("/inquiries/1/list.exe").status).to eq(404)
  end

  it "drops all of a part at once from what two windows see, and loses nothing" do
    visit_page "/inquiries/5/sift"
    seen = saved(5).version
    send_form("/inquiries/5/several", whole: 214, reason: "Other sample", seen:)
    expect([last_response.status,
            last_response.body]).to match([422, /The list now has 215 papers; it had 214/])
    send_form("/inquiries/5/several", whole: 215, reason: "Other sample", seen:)
    expect([last_response.status, inquiry(5).decisions.size]).to eq([303, 215])
    send_form("/inquiries/5/several", whole: 215, verdict: "unsure", seen:)
    expect([last_response.status, inquiry(5).decisions.map(&:verdict).uniq]).to eq([409, [:drop]])
    send_form("/inquiries/5/several", papers: inquiry(5).decisions.first(3).map(&:record_id),
                                      verdict: "keep", seen: saved(5).version)
    expect(inquiry(5).kept_ids.size).to eq(3)
  end

  it "says in words that a paper is there no more" do
    expect([visit_page("/inquiries/1/sift?paper=gone").status,
            last_response.body]).to match([404, /This paper is not here/])
    send_form("/inquiries/1/several", papers: ["gone"], verdict: "keep")
    expect(last_response.status).to eq(404)
  end
end
