# frozen_string_literal: true

# A medical librarian who types as other catalogues want it, and doubts every number.
RSpec.describe "A librarian with a thorough search", :sample, :browser do
  def add(text)
    find("#typed-I").set(text)
    find("section[aria-labelledby='block-I'] .add").click
  end

  it "has operators read, notation questioned, and every term kept that other catalogues may have" do
    visit "/inquiries/1/word"
    add "noise cancel* OR sound mask* NOT hearing aid*"
    expect(page).to have_css("#block-I ~ .terms", text: "sound mask*")
    expect(page).to have_css("#block-I ~ .terms", text: "hearing aid*")
    find("#typed-I").set("quiet* W3 night*")
    expect(page).to have_css(".meant", text: "“W3” cannot be read here")
    click_button "quiet* within 3 words of night*"
    expect(page).to have_css("#block-I ~ .terms", text: "quiet* near night*")
    add "zyxel plugs"
    expect(page).to have_css("#block-I ~ .terms", text: "zyxel plugs")
    click_link "Suggested headings", match: :first
    expect(page).to have_css("#card", text: /beside|shares the word|related to|of 10 papers/)
    expect(page).to have_no_text("log-likelihood")
    expect(page).to be_clean

    visit "/inquiries/1/narrow?show=check"
    expect(find(".check")).to have_text(/No paper here has .*“zyxel plugs”/)
    click_button "Cross out what finds nothing"
    click_button "Restore all of them"
    expect(page).to have_text(/No paper here has .*“zyxel plugs”/)
  end

  it "picks a paper from those that fit, has the search reviewed, and copies it for elsewhere" do
    visit "/inquiries/1/narrow"
    fill_in "known", with: "earplugs delirium"
    find(".known-form button").click
    expect(page).to have_css("#known:focus[aria-invalid]")
    first(".must-find-choices .offer").click
    expect(page).to have_css(".must-find li", minimum: 1)
    expect(page).to have_no_css(".must-find-choices")

    visit "/inquiries/1/narrow?show=check"
    find("summary", text: "Review this search").click
    click_button "Save the review"
    expect(page).to have_css("[aria-invalid]:focus")
    fill_in "Your name", with: "Ines Quarrel"
    fill_in "remark-words", with: "Add masks."
    select "Request changes", from: "Decision"
    click_button "Save the review"
    expect(find(".search-reviews")).to have_text("Ines Quarrel")
    expect(find(".search-reviews")).to have_text("changes requested")
    expect(page).to be_clean

    visit "/inquiries/1/narrow?show=elsewhere"
    find("summary", text: "Search a catalogue that is not connected").click
    expect(find_field("With AND, OR, NOT and field names").value).to include('heading "Ear Protective Devices"', "AND\n(",
                                                                             "Limits: Age group")
    click_button "Create link"
    expect(find("#feed-address").value).to match(%r{\Ahttp://127\.0\.0\.1:\d+/inquiries/1/feed/[\w-]{43}\z})
    expect(Hobrin::Services::Trails::Export.new(context).call(1, "txt").body.gsub(/\s+/, " ")).to include("Reviewed by Ines Quarrel")
  end
end
