# frozen_string_literal: true

# From an empty Hobrin to a count, without a command line: a large file with the faults that such
# files have is dropped, read while work goes on, its keywords matched, doubles settled.
RSpec.describe "Papers in", :browser do
  let(:words) do
    %w[lamps curtains corridors alarms telephones trolleys footsteps doors radios voices pumps beds
       wheels bells lifts taps keys carts floors]
  end
  let(:home) { Pathname(Dir.mktmpdir("hobrin")) }
  let(:context) { Hobrin::Boot.context(home:, who: "a test", clock: Builders::FixedClock) }

  after { FileUtils.rm_rf(home) }

  # Made up: 12,000 papers in 20 MB as a reference manager leaves them. It begins with a mark of its
  # encoding; some have no title, some no end, some bytes of an older encoding, some a line too
  # many, and ten come twice in other letters. Every tenth has a keyword that is no heading.
  def file
    doubles = Array.new(10) do |place|
      ["TY  - JOUR", "ID  - d#{place}", "TI  - NIGHT PAPER #{place + 1} OF A WARD.", "PY  - 2020",
       "AU  - Vendrillon, A", "ER  - ", ""].join("\r\n")
    end
    home.join("from a colleague.ris").tap do |path|
      path.binwrite(["\uFEFF", *Array.new(12_000) { |place| entry(place) }, *doubles].map(&:b).join)
    end
  end

  def entry(place)
    title = (place % 250).zero? ? "" : "Night paper #{place} of a ward"
    keyword = "KW  - #{(place % 100).zero? ? "night noise" : "ward #{words[place % words.size]}"}"
    ["TY  - JOUR", "ID  - p#{place}", "TI  - #{title}", "PY  - 2020", *(keyword if (place % 10).zero?),
     *("U7  - a field of its own" if place % 3 == 1), "AB  - #{abstract}",
     "AU  - Vendrillon, A#{"\xE9" if place % 500 == 3}", *("ER  - " unless place % 1_000 == 7), ""].join("\r\n")
  end

  def abstract = @abstract ||= "Made up for a test: nights on wards are loud, and sleep is short. " * 25

  it "starts empty and comes to a count, with keywords matched and doubles settled" do
    Hobrin::Services::Imports::ImportThesaurus.new(context).call(Hobrin::Demo::SampleThesaurus.headings)
    visit "/"
    click_link "the library is empty: import papers"
    expect(page).to be_clean
    expect(file.size).to be > 20_000_000
    attach_file "Files", home.join("from a colleague.ris")
    click_button "Import"
    expect(page).to have_css(".import", text: "from a colleague.ris")
    # Going on with something else while it is read
    visit "/"
    fill_in "question", with: "Does night noise on wards keep people awake?"
    click_button "Start an inquiry"
    expect(page).to have_css(".tab", text: "Ask")
    visit "/library"
    expect(page).to have_css(".import-state", text: /\Aimported\z/, wait: 180)
    expect(find(".import")).to have_text(/11.962 new papers, 10 possible duplicates, 48 rejected/)
    ["night noise", *words.map { |word| "ward #{word}" }].each { |name| match(name, "Noise") }
    expect(page).to have_css(".matches li", text: "done", count: 20, wait: 60)
    click_link "possible duplicates"
    expect(page).to have_css(".pair", count: 10)
    expect(page).to be_clean
    # Ten settled: five are two papers, one of those the same after all; the others stay the same.
    (1..5).each do |parted|
      find("button", text: "Mark as different papers", match: :first).click
      expect(page).to have_css("button", text: "Mark as the same paper", count: parted)
    end
    find("button", text: "Mark as the same paper", match: :first).click
    expect(page).to have_css("button", text: "Mark as the same paper", count: 4)
    expect(page).to have_css(".pair", count: 10)
    expect(context.library.duplicates.count).to eq(6)
    found = Hobrin::Services::Library::Search.new(context).call('dc.subject = "Noise"')
    expect(context.evaluator.count(found.tree)).to eq(1_152)
  end

  def match(name, heading)
    find("summary", text: "Keywords not in the thesaurus").click
    within(".match-form", text: name) do
      fill_in "Heading for “#{name}”", with: heading
      find("button").click
    end
    expect(page).to have_css(".matches li", text: name)
  end
end
