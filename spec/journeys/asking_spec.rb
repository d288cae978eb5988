# frozen_string_literal: true

# From a question as it is typed in a hurry to a first count, with few presses.
RSpec.describe "Asking in a hurry", :sample, :browser do
  def press(name, within: page)
    @presses += 1
    within.click_button(name)
  end

  def block(key) = find("section[aria-labelledby='block-#{key}']")
  def joined = find(".dock-count b").text.gsub(/\D/, "").to_i

  # Gives each empty block the first of the names that it is offered.
  def give_first_names
    while (empty = first("section.block:not(:has(.term-row)) .invite .offer:not(.nothing)", minimum: 0, wait: 0))
      name = empty.find("b").text
      @presses += 1
      empty.click
      expect(page).to have_css(".term-row", text: name)
    end
  end

  { "would earplugs or eye masks stop delerium in icu patients" => %w[P I O],
    "so many falls on nights!! do grip socks actually stop old people falling" => %w[P I O],
    "whats it like for parents, being there when their baby is on the neonatal unit" => %w[P I] }
    .each do |text, blocks|
    it "comes to a count in fewer than eight presses: #{text}" do
      @presses = 0
      visit "/"
      fill_in "What is your clinical question?", with: text
      press "Start an inquiry"
      expect(page).to have_css("h1 .proposed")
      press "delirium" if text.include?("delerium")
      press "Accept all suggestions"
      expect(page).to have_no_css("h1 .proposed")
      expect(page).to have_checked_field(name: "kind", visible: :all)
      find(".dock .btn-primary").click
      @presses += 1
      blocks.each { |key| expect(block(key)).to have_css(".offer") }
      give_first_names
      expect(@presses).to be < 8
      expect(joined).to be_positive
      expect(joined).to eq(inquiry(6).cascade(context.evaluator).joined.size)
      visit "/"
    end
  end

  it "mends a slip, takes the other reading, and goes on with nothing marked" do
    visit "/"
    fill_in "What is your clinical question?", with: "music for delerium, anyone?"
    click_button "Start an inquiry"
    click_button "delirium"
    expect(page).to have_field("The question", with: "music for delirium, anyone?")
    expect(page).to have_no_text("Did you mean")
    find(".dock .btn-primary").click
    expect(page).to have_text("Terms")
    expect(inquiry(6).question.marks).to eq([])
  end
end
