# frozen_string_literal: true

require "zlib"

# What ships with a page, and how much has to come for one that a browser has never seen.
RSpec.describe Hobrin::Web::Assets, :sample, :client do
  def linked = last_response.body.scan(%r{(?:href|src)="(/assets/[^"]+)"}).flatten

  it "keeps what ships for a year, packed for who can unpack it, at addresses that tell its content" do
    visit_page "/"
    expect(linked.size).to be_between(4, 8)
    linked.each do |address|
      get address
      plain = last_response
      expect([address, plain.status, plain.headers["cache-control"]]).to match([address, 200, /max-age=31536000, immutable/])
      expect(address).to include(Digest::SHA256.hexdigest(plain.body)[0, 12])
      get address, {}, { "HTTP_ACCEPT_ENCODING" => "br, gzip" }
      packed = last_response.headers["content-encoding"] == "gzip"
      expect(packed ? Zlib.gunzip(last_response.body).b : last_response.body.b).to eq(plain.body.b)
    end
  end

  it "names every font of the style sheet by its address" do
    get described_class.path("hobrin.css")
    fonts = last_response.body.scan(%r{url\("(/[^"]+)"\)}).flatten
    expect(fonts.size).to be > 5
    expect(fonts.map { |address| get(address).status }.uniq).to eq([200])
    expect(last_response.body).not_to include("/vendor/")
  end

  it "answers nothing else in their place" do
    ["/assets/", "/assets/hobrin.css", "/assets/hobrin-000000000000.css", "/assets/../app.rb"].each do |address|
      expect([address, get(address).status]).to eq([address, 404])
    end
  end

  it "packs pages, and masks the token in each anew" do
    pages = Array.new(2) do
      header "Accept-Encoding", "gzip"
      visit_page "/"
      expect(last_response.headers["content-encoding"]).to eq("gzip")
      Zlib.gunzip(last_response.body).force_encoding("UTF-8")
    end
    tokens = pages.map { |page| page[/name="authenticity_token" value="([^"]+)"/, 1] }
    expect(tokens.uniq.size).to eq(2)
    expect(pages.first.bytesize).to be > 4_000
  end
end
