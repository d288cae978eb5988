# frozen_string_literal: true

# The same search in another catalogue, in the real browser, with a stand-in that answers.
RSpec.describe "Searching elsewhere", :sample, :browser do
  def context
    @context ||= Hobrin::Boot.context(home:, who: "a test", clock: Builders::FixedClock,
                                      allowed: "127.0.0.1:#{@port}")
  end

  around do |example|
    Dir.mktmpdir do |folder|
      own = Hobrin::Boot.context(home: Pathname(folder), who: "a test",
                                 clock: Builders::FixedClock)
      papers = SampleHome.records.first(60).map do |record|
        record.with(id: "s#{record.id}",
                    cites: [])
      end
      Hobrin::Services::Imports::ImportRecords.new(own).call(StringIO.new(Hobrin::Exchange::CslJson::Writer.call(papers)))
      Hobrin::Services::Imports::ImportThesaurus.new(own).call(Hobrin::Demo::SampleThesaurus.headings)
      Wire.serve(Hobrin::Demo::StandIns::StandIn.new(own,
                                                     Hobrin::Demo::StandIns::StandIn::KINDS.fetch("rich"))) do |port|
        @port = port
        example.run
      end
    end
  end

  it "puts a catalogue on the list, asks it line by line, changes a line, and brings its papers in" do
    visit "/library"
    find("summary", text: "Add a catalogue").click
    fill_in "Name", with: "University catalogue"
    fill_in "Address", with: "http://127.0.0.1:#{@port}/sru"
    select "searched (SRU)", from: "Protocol"
    click_button "Test connection"
    expect(page).to have_css(".catalogue-list", text: "University catalogue")
    visit "/inquiries/1/narrow"
    click_link "Search other catalogues"
    expect(page).to have_css(".elsewhere-form .line-limit",
                             text: "left out: there is no index for it")
    click_button "Run the search"
    expect(page).to have_css(".bring-form", text: /\A\d+ records found there on 2026-11-23/)
    there = -> { find(".line-whole td:last-child").text.to_i }
    before = there.call
    fill_in "Line 24, as sent to this catalogue", with: ""
    click_button "Run the search"
    expect(page).to have_css(".line-limit", text: "edited by you")
    expect(there.call).to be > before
    fill_in "Import the first", with: "3"
    click_button "Import"
    expect(page).to have_css(".elsewhere table:last-of-type tbody tr",
                             text: "University catalogue")
    visit "/library"
    expect(page).to have_css(".import", text: /University catalogue.*imported: 3 new papers, 3 possible duplicates/m,
                                        wait: 60)
    expect_clean("/inquiries/1/narrow?show=elsewhere")
    click_button "Create link"
    expect(page).to have_link(href: %r{/inquiries/1/feed/[\w-]{43}})
    expect_clean("/library")
  end
end
