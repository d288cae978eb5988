# frozen_string_literal: true

# What a window is told of another one, and what looking costs.
RSpec.describe "Two windows on one inquiry", :sample, :client do
  def send_part(path, **rest)
    header "Hx-Request", "true"
    send_form(path, **rest)
  end

  def notice = last_response.body[%r{<p class="alert alert-warning">(.*?)</p>}m, 1]

  def ask(**rest)
    { situation: inquiry.question.situation, question: inquiry.question.text, seen: saved.version, **rest }
  end

  before { visit_page "/inquiries/1/ask" }

  it "makes one change of one press on Ask, and says nothing of another window then" do
    before = saved.version
    send_part("/inquiries/1/ask", **ask(question: "#{inquiry.question.text} since 2015?", stated: "dates"))
    expect([saved.version, notice]).to eq([before + 1, nil])
    expect(last_line.change).to eq("Reworded the question; limit Published: 2015 to 2026")
  end

  it "tells of another window's change even after a press that changes nothing" do
    seen = saved.version
    add_words("O", "wakeful*")
    send_part("/inquiries/1/aim", seen:, aim_from: 20, aim_to: 40)
    expect(saved.version).to eq(seen + 1)
    expect(notice).to eq("Also changed in another window: Added words wakeful* to O.")
  end

  it "tells of another window's changes, and not of one's own" do
    seen = saved.version
    add_words("O", "wakeful*")
    send_part("/inquiries/1/terms", seen:, block: "O", words: "nightmare*")
    expect(notice).to eq("Also changed in another window: Added words wakeful* to O.")
  end

  it "writes nothing when a page is looked at, and remembers where one was all the same" do
    before = context.inquiries.all
    %w[ask word narrow sift weigh act trail].each { |step| visit_page "/inquiries/2/#{step}" }
    expect(context.inquiries.all).to eq(before)
    visit_page "/inquiries/2"
    expect(URI(last_response.headers["location"]).path).to eq("/inquiries/2/act")
  end

  it "builds no cascade for an offer while typing, nor for what another window did" do
    allow(Hobrin::Narrowing::Cascade).to receive(:of).and_call_original
    visit_page "/inquiries/1/offers?block=O&typed=delir"
    visit_page "/inquiries/1/since?seen=3"
    expect(Hobrin::Narrowing::Cascade).not_to have_received(:of)
  end

  it "works the cascade and the check of the search out once for a page of Narrow" do
    allow(Hobrin::Narrowing::Cascade).to receive(:of).and_call_original
    allow(Hobrin::Check).to receive(:new).and_call_original
    visit_page "/inquiries/1/narrow?show=check"
    expect(Hobrin::Narrowing::Cascade).to have_received(:of).once
    expect(Hobrin::Check).to have_received(:new).once
  end

  it "serves two homes from one process, each with its own inquiries and cookies" do
    with_home do |other_context|
      Dir.mktmpdir do |folder|
        other = Rack::MockRequest.new(Hobrin::Server.app(other_context, home: Pathname(folder)))
        expect(other.get("/", "HTTP_HOST" => "localhost", "REMOTE_ADDR" => "127.0.0.1").body).to include("None yet")
        expect(visit_page("/").body).not_to include("None yet")
      end
    end
  end
end
