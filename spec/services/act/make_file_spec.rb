# frozen_string_literal: true

# A brief of many papers: files are made beside the requests, pages show a part at a time.
RSpec.describe Hobrin::Services::Act::MakeFile, :client do
  include SmallWard

  before do
    papers = Array.new(160) { |place| a_record(id: "many#{place}", title: "Sleep again, paper #{place}", published: "2019") }
    context.library.add(papers)
    decisions = papers.map { |paper| Hobrin::Screening::Decision.new(record_id: paper.id, verdict: :keep) }
    saved = context.stored.find(1)
    line = { who: "a test", kind: :papers_decided, facts: { verdict: "keep", reason: nil, papers: 160, records: [] }, brings_back: nil,
             count_before: 0, count_after: 0, library_version: "1" }
    context.stored.save(saved, saved.inquiry.with_decisions(decisions), step: :sift, at: context.clock.now, line:)
  end

  def opened = Hobrin::Services::Inquiries::Read.new(context).call(1)
  def made = home.glob("made/1/*")

  # What comes of asking until it is there: [the first answer, the file].
  def asked(name, ending)
    first = described_class.new(context).call(opened, name, ending)
    file = first
    file = described_class.new(context).call(opened, name, ending) until file.is_a?(Hobrin::Services::Download)
    [first, file]
  end

  it "makes a file once, keeps it until something changes, and shows how far it is" do
    _, file = asked("brief", "md")
    expect([file.name, file.body.scan("Sleep again, paper 159").size]).to match(["hobrin-1-brief.md", be >= 2])
    expect(made.map { |path| path.stat.mode & 0o777 }).to eq([0o600])
    expect(Hobrin::Exchange::Citation).not_to receive(:all)
    expect(described_class.new(context).call(opened, "brief", "md")).to eq(file)
    expect { described_class.new(context).call(opened, "brief", "exe") }.to raise_error(Hobrin::GoneError)
  end

  it "says in words what could not be made, and tries again when asked again" do
    allow(Hobrin::Exchange::Citation).to receive(:all).and_raise("no styles")
    expect { loop { described_class.new(context).call(opened, "brief", "html") } }
      .to raise_error(Hobrin::UnavailableError, /could not be made/).and output(/no styles/).to_stderr
    allow(Hobrin::Exchange::Citation).to receive(:all).and_call_original
    expect(asked("brief", "html").last.body).to include("Sleep again, paper 0")
  end

  it "answers over the web with a bar, and then with the file; pages show a hundred papers" do
    gate = Queue.new
    allow(Hobrin::Exchange::Citation).to receive(:all).and_wrap_original do |all, *given, &told|
      told.call(7)
      gate.pop
      all.call(*given, &told)
    end
    visit_page("/inquiries/1/act")
    page = Nokogiri::HTML(visit_page("/inquiries/1/files/brief.html").body)
    page = Nokogiri::HTML(visit_page("/inquiries/1/files/brief.html").body) until page.at_css("progress")["value"] == "7"
    expect(page.at_css("progress")["max"]).to eq("160")
    gate << true
    visit_page("/inquiries/1/files/brief.html") until last_response.headers["content-disposition"]
    expect(last_response.body).to include("Sleep again, paper 159")
    header "HX-Request", "true"
    expect(visit_page("/inquiries/1/files/brief.html").body).to include("The file is ready")
    header "HX-Request", nil
    { "act" => ".evidence tbody tr", "weigh" => ".title-list li" }.each do |step, rows|
      shown = ["", "?from=101"].map { |query| Nokogiri::HTML(visit_page("/inquiries/1/#{step}#{query}").body) }
      expect([step, shown.map { |one| one.css(rows).size }]).to eq([step, [100, 60]])
      expect(shown.first.at_css(".portion").text.gsub(/\s+/, " ").strip).to eq("1 to 100 of 160 Next")
    end
    open = Nokogiri::HTML(visit_page("/inquiries/1/weigh?paper=many150").body).css(".title-list [aria-current]")
    expect(open.map { |one| one.text[/paper \d+/] }).to eq(["paper 150"])
  end
end
