# frozen_string_literal: true

# A nurse with fifteen minutes, from a question to a printed brief with two papers appraised. Every press and every field that
# is typed into is counted.
RSpec.describe "A nurse in a hurry", :sample, :browser do
  before { @presses = @fields = 0 }

  def press(name, **options)
    @presses += 1
    click_link_or_button(name, **options)
  end

  def press_on(element)
    @presses += 1
    element.click
  end

  def type(field, text)
    @fields += 1
    fill_in field, with: text
  end

  def step(name)
    press_on find(".dock .btn-primary", text: name)
    expect(page).to have_css(".tab-current", text: name)
  end

  # Presses something that changes the inquiry, and waits for its line on the trail.
  def change
    line = find(".head-facts a", text: /Trail \d/).text[/\d+/].to_i
    yield
    expect(page).to have_css(".head-facts a", text: "Trail #{line + 1}")
  end

  # Answers what sentences of the abstract show, at most three, and the rest in one press.
  def appraise(number)
    expect(page).to have_css(".sheet-question")
    shown = all(".sheet-question").select { |question| question.has_css?(".take-sentence", wait: 0) }
    shown.first(3).map { |question| question.find("input", match: :first, visible: :all)["name"] }.each do |name|
      change { press_on find("input[name='#{name}'][value=yes]") }
    end
    change { press_on find("button[name=rest]") }
    expect(page).to have_css(".dock-count", text: /#{number}\s+of 2 appraised/)
  end

  it "comes to a printed brief within 35 presses and 5 fields" do
    visit "/"
    type "What is your clinical question?",
         "In adults in intensive care, do earplugs or eye masks, compared with usual care, prevent delirium?"
    press "Start an inquiry"
    press "Accept all suggestions"
    expect(page).to have_no_css("h1 .proposed")
    step "Terms"
    press "Add these terms"
    expect(page).to have_css(".term-row", minimum: 4)
    expect(find(".dock-count b").text.to_i).to be_positive
    step "Narrow"
    step "Screen"
    press_on find(".list-order summary")
    press_on find(".list-order a", text: "strongest")
    ["earplugs and eye masks to prevent delirium in adults in intensive care",
     "randomised controlled trial of sleep and acute confusion"].each_with_index do |title, number|
      press_on find(".title-list a", text: title, match: :first)
      expect(page).to have_css("#paper-title", text: title)
      press_on find("[data-desk] button", text: /\AInclude/)
      expect(page).to have_css(".tab", text: "#{number + 1} included")
    end
    step "Appraise"
    appraise(1)
    press_on find(".kept-papers .title:nth-child(2) a")
    appraise(2)
    press "Results"
    press "Delirium"
    press_on find(".number-offers a", match: :first)
    press "Save results"
    expect(page).to have_css(".standing")
    step "Act"
    press "Use this sentence"
    type "What changes", "Offer earplugs at 22:00"
    type "Who does it", "Night nurses"
    type "Start date", "1 January"
    press "Decision"
    select "Try it on one ward first", from: "Decision"
    @presses += 1
    press "The brief"
    expect(find_field("What changes").value).to eq("Offer earplugs at 22:00")
    page.execute_script("window.print = () => { window.printed = true; };")
    press "Print the brief"
    expect(page.evaluate_script("window.printed")).to be(true)
    expect(page).to have_css(".evidence tbody tr", minimum: 2)
    expect([@presses, @fields]).to match([be <= 35, be <= 5])
  end
end
