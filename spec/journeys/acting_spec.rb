# frozen_string_literal: true

# Act in the browser: a brief written, signed, changed and compared; an archive altered and refused,
# an honest one opened; weeks pasted and the chart read; an inquiry taken away and brought back.
RSpec.describe "Acting", :sample, :browser do
  it "writes a brief, signs it off, changes it and sees what changed" do
    visit "/inquiries/2/act"
    fill_in "Conclusion (one sentence)", with: "The scan finds most of those who need it."
    fill_in "Review date", with: "in spring"
    click_button "Save the brief"
    expect(page).to have_text("Set a review date, for example 2027-02-01")
    fill_in "Review date", with: "2027-04-01"
    click_link "Sign-off and sharing"
    fill_in "Your name", with: "A night nurse"
    click_button "Sign off the brief"
    expect(page).to have_css("#reason:focus[aria-invalid]")
    expect(find_field("Your name").value).to eq("A night nurse")
    fill_in "Reason for signing off with open points", with: "The ward meets today"
    click_button "Sign off the brief"
    expect(page).to have_css(".since", text: "No changes since this version.")
    expect(page).to be_clean
    click_link "The brief"
    fill_in "Conclusion (one sentence)", with: "The scan finds nearly all of them."
    click_link "Sign-off and sharing"
    expect(find(".since-lines", match: :first)).to have_text("then The scan finds most")
    expect(find(".since-lines", match: :first)).to have_text("now The scan finds nearly all")
    click_button "Create a share link"
    click_link(href: %r{/shared/})
    expect(page).to have_css(".report-lead", text: "The scan finds most of those who need it.")
    expect(page).to have_text("Work has continued since")
    expect(page).to be_clean
  end

  it "refuses an archive that was altered, and opens an honest one as a copy" do
    honest = Hobrin::Services::Archives.new(context).write(1).body
    folder = Pathname(Dir.mktmpdir)
    folder.join("honest.json").write(honest)
    folder.join("altered.json").write(honest.sub('"estimate": -', '"estimate": -1'))
    visit "/"
    find("summary", text: "Import an archive").click
    attach_file "Archive (JSON)", folder.join("altered.json")
    click_button "Check and import"
    expect(page).to have_css(".problem", text: "contradicts itself")
    expect(page).to have_css(".problem", text: "numbers/outcomes/1")
    attach_file "Archive (JSON)", folder.join("honest.json")
    click_button "Check and import"
    expect(page).to have_css(".sentence", text: "earplugs and an eye mask at night")
    find("a", text: /\ATrail/).click
    expect(page).to have_text("Imported from an archive of 2026-11-23")
  ensure
    FileUtils.rm_rf(folder)
  end

  it "pastes weeks and reads the chart" do
    visit "/inquiries/3/act?show=measures"
    fill_in "Measure", with: "Falls"
    select "less is better", from: "Better when"
    fill_in "Numerator", with: "falls"
    fill_in "Denominator or time period", with: "people"
    fill_in "Date the change started", with: "2026-08-10"
    weeks = Array.new(26) { |week| [Date.new(2026, 5, 18) + (7 * week), week < 12 ? 9 + (week % 3) : 4, 30] }
    find("#numbers").set(weeks.map { |one| one.join(";") }.join("\n"))
    click_button "Save measure"
    expect(page).to have_css(".run-chart")
    expect(find(".pool-facts")).to have_text("14 of 14 points since the change lie below the baseline median")
    expect(find(".pool-facts")).to have_text("this is a change")
    visit "/"
    expect(find(".band", text: "Measuring 2")).to have_text("going home")
  end

  it "takes an inquiry away and brings it back, with nothing lost" do
    lines = context.inquiries.trail(4).size
    visit "/"
    card = find(".inquiry-card", text: "nasal bridle")
    card.find("summary").click
    card.click_button("Delete this inquiry")
    expect(page).to have_no_css(".inquiry-card", text: "nasal bridle")
    find("summary", text: "Deleted in the last 30 days: 1").click
    expect(page).to be_clean
    click_button "Restore"
    expect(page).to have_css(".inquiry-card", text: "nasal bridle")
    expect(page).to have_no_css("summary", text: "Taken away")
    expect(context.inquiries.trail(4).size).to eq(lines)
  end
end
