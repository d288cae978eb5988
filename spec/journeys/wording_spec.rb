# frozen_string_literal: true

# The ways in which people come to their blocks, in the real interface.
RSpec.describe "Ask and Word", :sample, :browser do
  def block(key) = find("section[aria-labelledby='block-#{key}']")
  def entry(key) = block(key).find("[data-entry]")
  def row(label) = find(".term-row", text: label, match: :first)
  def joined = find(".dock-count b").text.gsub(/\D/, "").to_i
  def count(key) = block(key).find("h2 .count").text.gsub(/\D/, "").to_i
  def papers(&) = SampleHome.records.count(&)
  def indexed?(record, *labels) = record.headings.any? { |one| labels.include?(one.label) }

  def add(key, typed)
    entry(key).send_keys(typed, :enter)
    expect(page).to have_css("section[aria-labelledby='block-#{key}'] [data-entry]") { |field| field.value == "" }
  end

  # Turns a page-wide keystroke on what is not a field.
  def press(*keys) = find("body").send_keys(keys)

  it "builds a search from nothing: what is proposed, what the question suggests, what typing offers" do
    visit "/"
    fill_in "What is your clinical question?",
            with: "Does chewing gum reduce nausea in adults after bowel surgery since 2015?"
    click_on "Start an inquiry"
    expect(page).to have_css("h1 .proposed", count: 3)
    expect(page).to have_text("before “in”; in the thesaurus: Nausea and Vomiting")
    expect(page).to have_text("It sounds like treatment or prevention, because of “reduce”")
    within(".element", text: "Outcome") { click_button("Dismiss “nausea”") }
    expect(page).to have_css("h1 .proposed", count: 2)
    click_button "Accept all suggestions"
    expect(page).to have_css("h1 .phrase.of-P", text: "adults after bowel surgery")
    expect(page).to have_css("h1 .phrase.of-I", text: "chewing gum")
    expect(page).to have_checked_field("Treatment or prevention", visible: :all)
    click_button "“since 2015”"
    expect(page).to have_no_button("“since 2015”")
    expect(page).to have_text("What outcome matters?")

    # an edge moved from the keyboard, and the sentence edited inside a mark
    find(".phrases a", text: "adults after bowel surgery").send_keys(:enter)
    find_button("Start one word later").send_keys(:enter)
    expect(page).to have_css("h1 .phrase.of-P", text: "after bowel surgery", exact_text: true)
    expect(page.active_element["aria-label"]).to eq("Start one word later")
    page.active_element.send_keys(:enter)
    expect(page).to have_css("h1 .phrase.of-P", text: "bowel surgery", exact_text: true)
    box = find_field("The question")
    box.set(box.value.sub("chewing gum", "chewing peppermint gum"))
    find(".element h2", match: :first).click
    expect(page).to have_css("h1 .phrase.of-I", text: "chewing peppermint gum", exact_text: true)
    find(".dock .btn-primary").click

    expect(block("P")).to have_css(".offer", text: "Bowel Surgery")
    block("P").click_button("Bowel Surgery")
    expect(row("Bowel Surgery"))
      .to have_text(papers { |record| indexed?(record, "Bowel Surgery") }.to_s)
    add("I", "chewing gum")
    expect(joined).to eq(inquiry(6).cascade(context.evaluator).joined.size)
    expect(inquiry(6).limits.map { |limit| limit.leaf.from }).to eq(["2015"])
  end

  it "takes a list as it was pasted, says which entry it cannot read, and keeps that one" do
    visit "/inquiries/1/word"
    before = inquiry.block("I").terms.size
    page.execute_script(<<~JS, entry("I"))
      const data = new DataTransfer();
      data.setData("text", "1. quiet time\\n2. ear muff*\\n3. x*\\n4. noise OR acute confusion");
      arguments[0].dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
    JS
    expect(find("[data-list]").value).to include("ear muff*")
    click_button "Add the list"
    expect(page).to have_css(".alert-warning", text: "“x*” was not added")
    expect(find("[data-list]").value).to eq("x*")
    added = inquiry.block("I").terms.drop(before).map { |term| term.leaf.label }
    expect(added).to eq(["Quiet Time", "ear muff*", "Noise", "Delirium"])
    fill_in find("[data-list]")["id"], with: "dc.title = (sleep"
    click_button "Add the list"
    expect(page).to have_css(".problem", text: /Column \d+/)
    expect(find("[data-list]").value).to eq("dc.title = (sleep")
  end

  it "goes from a paper that is known to headings for a block" do
    known = SampleHome.records.find do |record|
      record.headings.size > 2 && !indexed?(record, "Delirium") && indexed?(record, "Music")
    end
    visit "/inquiries/1/word"
    block("I").click_link("Papers")
    fill_in "Find a known paper", with: known.doi
    click_button "Find"
    expect(page).to have_css("h2", text: "Papers for")
    find(".paper-list a", match: :first).click
    expect(page).to have_css(".paper-title", text: known.title)
    main, other = known.headings.partition(&:main)
    expect(all(".indexing-list li").map { |li| li.find("span > b").text })
      .to eq((main + other).map(&:label))
    expect(page).to have_css("small", text: "main topic", count: main.size)
    click_button "Add Music to I"
    expect(block("I")).to have_css(".term-row", text: "Music")
    expect(find(".indexing-list li", text: "Music")).to have_text("in I")
    press(:escape)
    expect(page).to have_no_css("#card")
  end

  it "finds a name filed under another heading, takes neighbours from its card, and can read it as words" do
    visit "/inquiries/1/word"
    block("O").find("li", text: "Delirium").find(".term-row").click
    click_button "Remove"
    expect(block("O")).to have_no_css(".term-row", text: /\ADelirium/)
    entry("O").send_keys("acute confusion")
    expect(block("O")).to have_select("part[0]",
                                      with_options: ["heading Delirium: “acute confusion” is filed under it"])
    block("O").select("words acute confusion", from: "part[0]")
    entry("O").send_keys(:enter)
    expect(row("acute confusion")).to have_text("phrase")
    entry("O").send_keys("acute conf")
    expect(block("O")).to have_css(".offer", text: "“acute confusion” is filed here")
    block("O").click_link("view Delirium")
    expect(find("#card")).to have_text("A sudden, changing disturbance")
    check "Select Emergence Delirium", match: :first
    check "Select Confusion", match: :first
    click_button "Add selected"
    expect(block("O")).to have_css(".term-row", text: "Emergence Delirium")
    expect(block("O")).to have_css(".term-row", text: /\AConfusion/)
    promised = find("label.turn", text: "main topic only").find("b").text.gsub(/\D/, "").to_i
    check "main topic only"
    within("#card") { click_button "Add", exact: true }
    expect(row(/\ADelirium/)).to have_text("main topic only")
    expect(row(/\ADelirium/)).to have_text(promised.to_s)
    entry("O").send_keys("deli")
    expect(block("O")).to have_select("way")
    block("O").select("labels that contain it", from: "way")
    expect(block("O")).to have_css(".offer", text: "Hypoactive Delirium")
  end

  it "shows a truncation gone wild, what it takes in, and crosses it out with its reason" do
    visit "/inquiries/1/word"
    before = joined
    add("O", "con*")
    expect(row("con*")).to have_css(".wild", text: /matches \d+ spellings/)
    row("con*").click
    words = find(".taken-in").all("span").map { |span| span.text.split(" ", 2) }
    expect(words.map { |_, papers| papers.delete("\u2009").to_i })
      .to eq(words.map { |_, papers| papers.delete("\u2009").to_i }.sort.reverse)
    expect(words.map(&:first)).to all(start_with("con"))
    find("#card [name=reason]").send_keys("takes in everything")
    click_button "Cross out"
    expect(find(".crossed", text: "con*")).to have_text("takes in everything")
    expect(joined).to eq(before)
  end

  it "says of a heading that it has nothing narrower, and of a concept that it has no heading" do
    visit "/inquiries/1/word"
    row("Ear Protective Devices").click
    expect(find("#card")).to have_text("no narrower headings")
    expect(find("#card")).to have_no_button("narrower")
    entry("O").send_keys("randomised zigzag")
    expect(block("O")).to have_text("No heading found")
    entry("O").send_keys(*([:backspace] * 7), :enter)
    row("randomised").click
    expect(find("#card")).to have_css(".ways .choice", text: "randomized")
    find("#card [name=text]").set("sleep randomised")
    click_button "Apply"
    choose "near each other, within"
    fill_in "How many words apart", with: "0"
    click_button "Apply"
    expect(find("#card")).to have_css(".problem", text: "from 1 to 50")
    expect([find_field("How many words apart").value,
            find_field("near each other, within")]).to match(["0", be_checked])
    fill_in "How many words apart", with: "5"
    click_button "Apply"
    expect(row("sleep near randomised")).to have_text("within 5 words")
  end

  it "takes away, leaves out and puts back a block, with every pair and the picture in sight" do
    visit "/inquiries/1/word"
    sets = %w[P I O].to_h { |key| [key, context.evaluator.call(inquiry.block(key).tree)] }
    expect(joined).to eq((sets["P"] & sets["I"] & sets["O"]).size)
    expect(find(".pairs").text.delete("\u2009")).to include("P and I #{sets["P"].overlap(sets["I"])}",
                                                            "I and O #{sets["I"].overlap(sets["O"])}")
    find(".dock-picture").click
    expect(find(".overlap-panel")).to have_text("regions are off by")
    expect(find(".overlap-panel")).to have_css("circle", count: 3, visible: :all)
    press(:escape)
    block("O").click_button("NOT")
    expect(block("O")).to have_css("[aria-pressed=true]", text: "NOT")
    expect(joined).to eq(((sets["P"] & sets["I"]) - sets["O"]).size)
    expect(find(".dock-count")).to have_text("in both, not in O")
    block("O").click_button("not used")
    expect(block("O")).to have_css("[aria-pressed=true]", text: "not used")
    expect(joined).to eq((sets["P"] & sets["I"]).size)
    block("O").click_button("AND")
    expect(block("O")).to have_css("[aria-pressed=true]", text: "AND")
    block("I").click_link("Suggested headings")
    check "Noise", match: :first
    click_button "Add selected"
    expect(block("I")).to have_css(".term-row", text: "Noise")
  end

  it "undoes and does again across both steps, from the keyboard" do
    visit "/inquiries/1/ask"
    select "PICOT: clinical questions with a time limit", from: "Frame"
    expect(page).to have_css(".element", text: "Time")
    visit "/inquiries/1/word"
    row("eye shade*").click
    find("#card [data-move=up]").send_keys(%i[alt arrow_up])
    expect(block("I")).to have_css(".term:nth-last-child(2)", text: "eye shade*")
    click_button "Remove"
    expect(page).to have_no_css(".term-row", text: "eye shade*")
    press(:control, "z")
    expect(page).to have_css(".alert-warning", text: "Undone: Removed eye shade* from I")
    press(:control, "z")
    expect(page).to have_css(".alert-warning", text: "Undone: Moved eye shade* up")
    press(:control, "z")
    expect(page).to have_css(".alert-warning", text: "Undone: Frame: PICOT")
    expect(page).to have_css(".tab-current", text: "Ask")
    expect(page).to have_no_css(".element", text: "Time")
    press(:control, :shift, "z")
    expect(page).to have_css(".alert-warning", text: "Redone: Frame: PICOT")
    expect(page).to have_css(".element", text: "Time")
    2.times do |time|
      [press(:control, :shift, "z"), page.has_css?(".alert-warning", text: %w[Moved Removed][time])]
    end
    expect(page).to have_css(".tab-current", text: "Terms")
    expect(page).to have_no_css(".term-row", text: "eye shade*")
    expect(find_button("Redo", disabled: true)).to be_disabled
  end

  it "keeps what two windows do to one inquiry, and tells each of the other" do
    visit "/inquiries/1/word"
    other = open_new_window
    within_window(other) do
      visit "/inquiries/1/word"
      entry("O").send_keys("insomnia", :enter)
      expect(block("O"))
        .to have_text("“insomnia” is filed under Sleep Disorders, which is already in this block")
      entry("O").set("wakeful*")
      entry("O").send_keys(:enter)
      expect(block("O")).to have_css(".term-row", text: "wakeful*")
    end
    add("O", "nightmare*")
    expect(page).to have_css(".alert-warning",
                             text: "Also changed in another window: Added words wakeful* to O")
    expect(inquiry.block("O").terms.last(2).map(&:label)).to eq(%w[wakeful* nightmare*])
    within_window(other) do
      row("sleep*").click
      click_button "Remove"
      expect(page).to have_no_css(".term-row", text: "sleep*")
    end
    row("sleep*").click
    expect(page).to have_no_css("#card")
    within_window(other) do
      row("confusion").click
      find("#card [name=text]").set("confused")
      click_button "Apply"
      expect(row("confused")).to have_text("word")
    end
    visit "/inquiries/1/word"
    row("confused").click
    within_window(other) do
      page.evaluate_script("document.querySelector('#card [name=do][value=remove]').click()")
    end
    within_window(other) { expect(page).to have_no_css(".term-row", text: "confused") }
    page.execute_script("window.dispatchEvent(new Event('focus'))")
    expect(find("#since")).to have_text("Changed in another window: Removed confused from O")
    find("#card [name=reason]").set("too wide")
    click_button "Cross out"
    expect(page).to have_css("[role=alert]", text: "changed in another window")
    expect(page).to have_no_css(".term-row", text: "confused")
    other.close
  end
end
