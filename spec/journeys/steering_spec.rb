# frozen_string_literal: true

# Narrow as people steer by it: by what each change would do.
RSpec.describe "Narrow by what-ifs", :sample, :browser do
  def left = find(".dock-count b").text.gsub(/\D/, "").to_i

  # Waits until the number of papers left is this one.
  def expect_left(size)
    expect(page).to have_css(".dock-count b", text: /\A#{size.to_s.chars.join("\\D?")}\z/)
  end

  it "goes from thousands of papers into the aim by what-ifs alone, and back by undo" do
    edit(Hobrin::Edits::Blocks::Join.new(block: "O", operator: :out, step: :word), id: 3)
    add_words("P", "older people", "inpatient*", "adult*", id: 3)
    visit "/inquiries/3/narrow"
    start = left
    expect(start).to be > 3_000
    steps = 0
    until inquiry(3).aim.standing(left) == :inside
      row = find(".what-ifs tbody tr", match: :first)
      promised = row.find("td:nth-child(2)").text.gsub(/\D/, "").to_i
      row.click_button("Try")
      expect_left(promised)
      expect(steps += 1).to be <= 4
    end
    expect(find("#aim-title")).to have_text("within your target")
    steps.times do
      change = context.inquiries.history(3).undo
      click_button "Undo"
      expect(page).to have_css(".alert-warning",
                               text: "Undone: #{context.inquiries.line(3, change).change}")
    end
    expect_left(start)
  end

  it "reads what a change would bring and take before it is tried, and goes the way to the aim" do
    visit "/inquiries/4/narrow"
    find(".what-ifs tbody a", match: :first).click
    expect(page).to have_css(".what-if-papers li")
    offer = Hobrin::Services::Narrow::WhatIfs.new(context, opened(4)).call.first
    titles = context.library.newest(offer.removed | offer.added, limit: 1_000).map(&:title)
    expect(all(".what-if-papers li > span:first-child").map { |li| li.text.sub(/ \d{4}\z/, "") } - titles)
      .to eq([])
    find(".what-if-papers [name=known]", match: :first).click
    expect(page).to have_css(".what-if-papers small", text: "must-find", count: 1)
    expect(page).to have_css(".must-find li", count: 1)
    click_link "Find a way to the target"
    expect(find(".way")).to have_text("Reaches the target")
    promised = find(".way b").text.gsub(/\D/, "").to_i
    click_button "Apply these changes"
    expect_left(promised)
    expect(page).to have_no_link("Find a way to the target")
    first = find(".what-ifs tbody a", match: :first).text
    find(".what-ifs [name=dismiss]", match: :first).click
    expect(page).to have_no_css(".what-ifs tbody a", text: first, exact_text: true)
    click_link "Further limits"
    expect(page).to have_css("h3", text: "Language")
    offered = find_button("Peer reviewed").find("b").text.gsub(/\D/, "").to_i
    click_button "Peer reviewed"
    expect_left(offered)
  end

  it "looks at a line of the trail, notes on it, compares it with another, and restores it" do
    lines = context.inquiries.trail(1)
    one, other = ["Added heading Delirium to O", "Limit: Published"].map do |words|
      lines.find { |line| line.change.start_with?(words) }
    end
    sets = [one, other].map do |line|
      context.inquiries.state_at(1, line.number).cascade(context.evaluator).final
    end
    visit "/inquiries/1/trail"
    find("summary", text: "terms added", match: :first).click
    click_link one.change
    expect(find(".looked-at")).to have_text("#{sets.first.size} papers now")
    fill_in "Note", with: "Before the words for delirium"
    click_button "Save note"
    expect(page).to have_css(".trail-note", text: "Before the words for delirium")
    find_field("Compare with").find("option[value='#{other.number}']").select_option
    click_button "Compare"
    said = find(".comparison").text.delete("\u2009")
    both = sets[0].overlap(sets[1])
    expect(said).to include("#{sets[0].size - both} only after line #{one.number}", "#{both} both",
                            "#{sets[1].size - both} only after line #{other.number}")
    kept = context.library.set(inquiry.kept_ids)
    expect(said).to include("line #{one.number} finds #{sets[0].overlap(kept)}",
                            "How many both missed cannot be estimated")
    click_button "Restore this version"
    expect(page).to have_css(".alert-warning", text: "Restored as it was after line #{one.number}")
    # What the two screen and appraise independently stays as it is.
    at = ->(line) { context.inquiries.state_at(1, line.number).going_on_from(inquiry, %i[decisions sheets]) }
    expect(inquiry.with(next_term: 1)).to eq(at[one].with(next_term: 1))
    click_button "Undo"
    expect(page).to have_css(".alert-warning", text: "Undone: Restored line #{one.number}")
    expect(inquiry.with(next_term: 1)).to eq(at[lines.first].with(next_term: 1))
  end

  it "moves and switches steps, and ends with the same papers in any order" do
    visit "/inquiries/1/narrow"
    start = left
    names = -> { all(".cascade-step .step-label b").map(&:text) }
    find_button("Move Sleep or delirium up").click
    expect(page).to have_css(".cascade-step:nth-child(2)", text: "Sleep or delirium")
    find_button("Move 2016 to 2026 up").click
    expect(page).to have_css(".cascade-step:nth-child(4)", text: "2016 to 2026")
    expect_left(start)
    expect(names.call.first(5))
      .to match([/\AAdults in/, /\ASleep/, /\AEarplugs/, "2016 to 2026", "Adults, 19 and over"])
    find_button("Switch Earplugs and an eye mask at night off").click
    expect(page).to have_css(".cascade-step.off", text: "Earplugs")
    expect(left).to be > start
    find_button("Switch Earplugs and an eye mask at night on").click
    expect_left(start)
    click_button "Turn off all limits"
    expect_left(opened.cascade.joined.size)
    expect(page).to have_css(".cascade-step.off", count: 3)
  end

  it "sets the years by the handles, puts a study filter on, and lets in one paper that a step took away" do
    visit "/inquiries/1/narrow"
    handle = find("[data-handle=from]")
    handle.send_keys(:arrow_right, :arrow_right)
    expect(find_field("from").value).to eq("2018")
    promised = find("[data-within]").text[/\d+/].to_i
    find(".years button", text: "Apply", match: :first).click
    # Papers added manually stay, whatever their year.
    older = context.library.records_by_id(inquiry.included_ids).count { |record| record.year < 2018 }
    expect_left(promised + older)
    click_link "terms, other question types, your own filters"
    find(".filters summary", text: "Balanced").click
    expect(find(".filter-terms", match: :first)).to have_text("placebo")
    row = find(".filters tr", text: "Balanced", match: :first)
    promised = row.find("td:nth-child(2)").text.to_i
    row.click_button("Apply the balanced filter")
    expect_left(promised)
    expect(page).to have_css(".cascade-step", text: "Treatment, balanced")
    expect(page).to have_css(".filters .unstated", text: "A study-type limit is applied")
    fill_in "Name", with: "Mine"
    fill_in "Terms (CQL)", with: "risk* and"
    # Away from under the dock.
    scroll_to(find_button("Save and apply"), align: :center)
    click_button "Save and apply"
    expect(page).to have_css(".problem", text: "expected")
    expect(find_field("Name").value).to eq("Mine")
    find(".cascade-step", text: "2018 to 2026").find("a").click
    find(".orders a", text: "strongest design first").click
    expect(page).to have_css(".orders [aria-current]", text: "strongest design first")
    title = find(".taken-away li span", match: :first).text[/.+(?= \d{4})/]
    find(".taken-away li", match: :first).find_button("Add", match: :first).click
    expect_left(promised + 1)
    expect(find(".let-in")).to have_text(title)
    expect(page).to have_css("#taken-title")
    visit "/inquiries/1/sift?paper=#{inquiry.included_ids.first}"
    expect(page).to have_css(".by-hand", text: "added manually")
    click_button "Mark as must-find"
    expect(page).to have_css(".by-hand", text: "must-find")
    visit "/inquiries/1/narrow"
    expect(find(".must-find")).to have_text("1 of 1 still found")
    expect(find(".must-find"))
      .to have_text(/Sensitivity.*: 0 of 1.*1 paper added manually not counted.*precision \d+ %/m)
  end

  it "subtracts one line from another and joins them, by pointing and by writing" do
    visit "/inquiries/1/trail?line=20&with=28"
    sets = [20, 28].map do |number|
      context.inquiries.state_at(1, number).cascade(context.evaluator).final
    end
    fill_in "New line", with: "only-20"
    click_button "Only 20"
    expect(find(".looked-at h3")).to have_text("Line only-20: 20 not 28")
    expect(find(".looked-at")).to have_text("#{(sets[0] - sets[1]).size} papers now")
    fill_in "Name", with: "all"
    fill_in "is", with: "only-20 or 28 nr 3"
    click_button "Save search"
    expect(page).to have_css(".problem", text: "Write lines like this")
    expect(find_field("is").value).to eq("only-20 or 28 nr 3")
    fill_in "is", with: "only-20 or 28"
    click_button "Save search"
    expect(find(".looked-at")).to have_text("#{(sets[0] | sets[1]).size} papers now")
    find_field("Compare with").find("option[value='only-20']").select_option
    click_button "Compare"
    expect(find(".comparison").text).to include("0 only after line only-20")
    expect(page).to have_no_css(".problem")
  end

  it "saves the log, and after an import runs it again: the new papers and the lines that moved" do
    visit "/inquiries/1/trail"
    log = page.evaluate_async_script("fetch('/inquiries/1/log.json').then((log) => log.json()).then(arguments[0])")
    newest = context.library.newest(opened.cascade.found, limit: 1).first
    twin = newest.with(id: "again-1", doi: "10.5555/again-1", title: "Earplugs, looked at again")
    Hobrin::Services::Imports::ImportRecords.new(context).call(StringIO.new(Hobrin::Exchange::CslJson::Writer.call([twin])))
    before = log["trail"].last["count_after"]
    again = Hobrin::Services::Library::Search.new(context).call(log["cql"])
    visit "/inquiries/1/trail"
    expect(page).to have_text("The library has changed since the last line was counted")
    click_link "Run again"
    expect(find(".looked-at"))
      .to have_text("#{again.size} papers now, #{before} at line #{log["trail"].size}")
    expect(find(".new-papers")).to have_text("Earplugs, looked at again")
    find("summary", text: "Lines of the search whose counts have changed").click
    rows = all(".moved tbody tr").map do |row|
      row.all("th, td").map do |cell|
        cell.text.delete("^0-9").to_i
      end
    end
    expect(rows).to all(satisfy { |row| row.last > row[-2] })
    click_button "Record in the trail"
    expect(page).to have_css(".trail-change",
                             text: "Re-run: #{again.size} papers, 1 of them new")
    click_link "Earplugs, looked at again"
    expect(page).to have_css("#paper-title", text: "Earplugs, looked at again")
  end

  it "checks the search, and mends it press by press until nothing is left" do
    add_words("O", "con*", "effect", "delirum")
    visit "/inquiries/1/narrow"
    click_link "Check the search"
    expect(find(".check")).to have_text("“con*” matches")
    click_button "Search “delirium”"
    expect(find(".check")).to have_no_text("delirum")
    2.times do |time|
      find(".check").click_button("Cross it out", match: :first)
      expect(page).to have_css(".check .btn-quiet", text: "Cross it out", count: 1 - time)
    end
    expect(find(".check")).to have_text("No problems found")
    expect(inquiry.block("O").terms.count(&:crossed_out?)).to eq(2)
  end

  it "brings back a paper that must be found" do
    step = opened.cascade.steps.last
    lost = context.library.newest(step.removed, limit: 1).first
    visit "/inquiries/1/narrow"
    fill_in "Must-find paper", with: "zebra"
    find(".known-form button").click
    expect(page).to have_css(".problem", text: "No paper here")
    expect(find_field("Must-find paper").value).to eq("zebra")
    fill_in "Must-find paper", with: lost.doi
    find(".known-form button").click
    expect(find(".must-find")).to have_text("0 of 1 still found")
    expect(find(".must-find")).to have_text(lost.title)
    expect(find(".lost-by")).to have_text("Systematic review")
    promised = left + find_button("Retrieve it").find("b").text.delete("^0-9").to_i
    click_button "Retrieve it"
    expect(find(".must-find")).to have_text("1 of 1 still found")
    expect_left(promised)
    click_button "Remove “#{lost.title}”"
    expect(find(".must-find")).to have_no_text(lost.title)
  end
end
