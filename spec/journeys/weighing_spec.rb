# frozen_string_literal: true

# Weigh in the browser: from an abstract to a pooled value, a sheet from the keyboard, a trap
# mended, a certainty set with a reason, a test's result moved by how many have it.
RSpec.describe "Weighing", :sample, :browser do
  def paper = "10.5555/hobrin.trial-2026-new"
  def pooled = find(".forest tfoot b").text

  it "goes from an abstract to a pooled value with the numbers that it offers" do
    decide(paper, :keep)
    visit "/inquiries/1/weigh?outcome=1"
    before = pooled
    find(".title", text: "step-down unit").click
    select "Randomised trial", from: "Study design"
    expect(page).to have_css(".level", text: "Level 2")
    click_link "Results"
    click_link "Use 14 of 104"
    expect(page).to have_text("Filled in: check, then save.")
    expect(find("#comparison_total").value).to eq("106")
    click_button "Save results"
    expect(page).to have_css(".standing", text: "0.57")
    find(".outcome-list a", text: "Delirium").click
    expect(page).to have_css(".forest tbody tr", count: 5)
    expect(pooled).not_to eq(before)
    expect(inquiry.paper(paper).reported.first.shown).to include("14 of 104")
  end

  it "answers a sheet with sentences, from the keyboard alone" do
    decide(paper, :keep)
    visit "/inquiries/1/weigh?paper=#{paper}"
    select "Randomised trial", from: "Study design"
    expect(page).to have_css("#answer_allocation_yes")
    find("#answer_allocation_yes").send_keys(:space)
    expect(page).to have_css(".question-group .concern", text: "low risk")
    expect(page).to have_css("[name='take[allocation]']")
    find("#shown_allocation").send_keys(:tab, :enter)
    expect(page).to have_css("#shown_allocation[value*='randomised by computer']")
    find("#answer_blinded_yes").send_keys(:arrow_right)
    expect(page).to have_css(".concern-word", text: "some concern")
    find("#answer_alike_not_told").send_keys(:space)
    expect(page).to have_css(".question-group .concern", text: "some concerns", count: 2)
    answers = inquiry.paper(paper).answers
    expect(answers.transform_values(&:says)).to eq({ allocation: :yes, alike: :not_told,
                                                     blinded: :mostly })
    expect(answers[:allocation].shown).to include("randomised by computer")
  end

  it "mends a trap in one press" do
    visit "/inquiries/1/weigh?outcome=1"
    before = pooled
    click_button "Include again Lambrwick 2023"
    expect(page).to have_css(".snares", text: "a review whose studies are here")
    expect(page).to have_no_css(".forest tfoot b")
    expect(page).to be_clean
    click_button "Exclude the review"
    expect(page).to have_no_css(".snares")
    expect(pooled).to eq(before)
    expect(page).to have_css(".dock", text: "6")
  end

  it "sets a certainty with a reason, and refuses one without" do
    visit "/inquiries/1/weigh?outcome=1&part=certainty"
    expect(page).to have_css(".certainty-word", text: "low")
    select "no change", from: "Steps: Risk of bias"
    find("#why_bias").sibling("button").click
    expect(page).to have_css(".problem", text: "Give a reason.")
    expect(find("#steps_bias").value).to eq("0")
    find("#why_bias").set("Sleep was not the question; delirium was judged unaware.")
    find("#why_bias").sibling("button").click
    expect(page).to have_css(".certainty-word", text: "moderate")
    find("a", text: "Summary of findings").click
    expect(page).to have_css(".findings-table", text: "Probably lowers delirium")
  end

  it "moves what a result of a test means by how many have it" do
    visit "/inquiries/2/weigh?outcome=1"
    click_link "Predictive values"
    before = find(".values-words").text
    find("#prevalence").send_keys(*[:arrow_left] * 15)
    expect(page).to have_css(".thousand-table", text: "100 900")
    expect(find(".values-words").text).not_to eq(before)
  end
end
