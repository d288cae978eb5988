# frozen_string_literal: true

# A statistician who doubts every number of the main sample inquiry, and signs only what fits.
RSpec.describe "A statistician with the brief", :sample, :browser do
  it "finds model, heterogeneity and reasons in the brief, and what does not fit before it is signed" do
    visit "/inquiries/1/act"
    expect(find(".compared")).to have_text("compared with")
    fill_in "Conclusion (one sentence)", with: "Earplugs and eye masks raise delirium."
    click_button "Save the brief"
    expect(page).to have_css(".doubt", text: "Delirium: the findings say otherwise")
    click_link "Sign-off and sharing"
    expect(find(".sign-gaps")).to have_text("Conclusion and findings")
    expect(find(".sign-gaps")).to have_link("3 papers are not screened yet.")
    fill_in "Your name", with: "Oskar Thimmel"
    click_button "Sign off the brief"
    expect(page).to have_css("#reason:focus[aria-invalid]")
    fill_in "Reason for signing off with open points", with: "To be discussed"
    click_button "Sign off the brief"
    expect(page).to have_css(".version-list", text: "Oskar Thimmel")
    expect(page).to be_clean
    find("summary", text: "as it was signed").click
    within ".since .report" do
      ["Mantel–Haenszel", "restricted maximum likelihood", "I²", "τ²", "Risk of bias: rated down one level", "Appraisal of the papers",
       "open: To be discussed", "The conclusion does not match the findings."].each { |words| expect(page).to have_text(words) }
    end
  end

  it "reads a measure by the direction that is wanted, with the difference since the change" do
    visit "/inquiries/1/act?show=measures"
    expect(find(".pool-facts")).to have_text(/Difference since the change: −[\d.]+ per 100 \(95 % CI −[\d.]+ to −[\d.]+\)/)
    expect(find(".pool-facts")).to have_text("show a fall of")
    click_link "Offered at night"
    expect(find(".pool-facts")).to have_text("show a rise of")
    expect(find(".pool-facts")).to have_text("for the better")
    find("#numbers").set("#{find("#numbers").value}\n2027-06-01; 3; 10")
    click_button "Save measure"
    expect(page).to have_css("#numbers:focus[aria-invalid]")
    expect(page).to have_text("2027-06-01 is in the future")
    expect(page).to be_clean
  end
end
