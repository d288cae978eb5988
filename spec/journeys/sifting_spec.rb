# frozen_string_literal: true

# Sift as a person goes through it, in the real browser.
RSpec.describe "Sifting", :sample, :browser do
  def press(*keys) = keys.each { |key| page.active_element.send_keys(key) }
  def opened_title = find("#paper-title").text
  def decided = find(".list-choices.tally", text: "to screen").text[/(\d+) to screen/, 1].to_i

  it "goes from the first paper to the last by the keyboard alone" do
    keep_few_papers
    visit "/inquiries/1/sift"
    total = find(".titles h2").text.to_i
    expect(total).to be_between(5, 12)
    keys = %w[i 1 u 6].cycle
    total.times do |number|
      title = opened_title
      press(keys.next)
      expect(page).to have_css(".list-choices.tally", text: "#{total - number - 1} to screen")
      expect(opened_title).not_to eq(title) if number < total - 1
    end
    expect(page).to have_css(".dock", text: "All screened.")
    press("p")
    expect(page).to have_css("#paper-title")
  end

  # A few papers only, none of them decided.
  def keep_few_papers
    put(Hobrin::Strategy::Dates.years(from_year: 2023, to_year: 2026))
    inquiry.included_ids.each { |id| edit(Hobrin::Edits::Papers::RemoveManually.new(record_id: id)) }
    undecided(1)
  end

  it "follows one thread two rounds, and lets a paper in from there" do
    visit "/inquiries/1/sift"
    click_link "Citation searching"
    expect(page).to have_css("h3", text: /Round 1: from 6 papers, 23 found/)
    click_button "Follow the citations of 2 papers"
    expect(page).to have_css("h3", text: /Round 2: from 2 papers, \d+ found/)
    expect(page).to have_css("svg .thread-kept", count: 6)
    found = first(".around li", text: "Add")
    title = found.find(".near-title").text
    found.find("button", text: "Add").click
    expect(page).to have_css(".around li", text: /#{Regexp.escape(title)}.*in this set, not screened/m)
    expect(page).to have_text("4 papers so far")
    click_link "Back to the list"
    expect(page).to have_css(".titles h2", text: "38 papers")
    expect(page).to have_css(".title-unread", text: title)
    click_link "Act"
    expect(page).to have_css(".flow", text: "+5 added manually (4 of them by citation searching)")
  end

  it "drops a part at once and takes it back with one press" do
    undecided(5)
    visit "/inquiries/5/sift?rung=unplaced"
    size = find(".titles h2").text.to_i
    find(".several summary").click
    check "All #{size} in this part, whether ticked or not"
    expect(page).to have_css("[data-chosen-count]", text: "#{size} chosen")
    select "Wrong design", from: "Exclude because"
    find("[data-drop]").click
    expect(page).to have_css(".alert-warning", text: "#{size} papers decided")
    expect(inquiry(5).decisions.map(&:reason).tally).to eq("Other design" => size)
    find("[data-way=undo]").click
    expect(page).to have_css(".list-choices.tally", text: "0 excluded")
    expect(inquiry(5).decisions).to eq([])
  end

  it "chooses a stretch with Shift and the arrows" do
    visit "/inquiries/5/sift"
    find("#desk")
    3.times { page.active_element.send_keys(%i[shift arrow_down]) }
    expect(page).to have_css("[data-chosen-count]", text: "3 chosen")
    within("#several") { click_button "Unsure" }
    expect(page).to have_css(".title-unsure", count: 3)
  end

  it "orders by what was kept as soon as there is something to learn from, and says why" do
    undecided(5)
    visit "/inquiries/5/sift"
    expect(page).to have_no_link("Most likely to be included first")
    press("i")
    expect(page).to have_css(".list-choices.tally", text: "1 included")
    press("1")
    expect(page).to have_css(".list-choices.tally", text: "1 excluded")
    click_link "Most likely to be included first"
    expect(page).to have_css(".speaks", text: "Similar to papers you included:")
    expect(page).to have_css(".may-stop", text: "Too early to tell")
  end

  it "decides on ten papers in the hand, at 390 px" do
    page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: 390, height: 844,
                                                                          deviceScaleFactor: 1, mobile: true)
    undecided(5)
    visit "/inquiries/5/sift"
    %w[Include Unsure].cycle.first(10).each_with_index do |name, number|
      click_button name
      expect(page).to have_css(".list-choices.tally", text: "#{215 - number - 1} to screen")
    end
    expect(inquiry(5).decisions.map(&:verdict).tally).to eq(keep: 5, unsure: 5)
    expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= 390
  end
end
