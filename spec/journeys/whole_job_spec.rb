# frozen_string_literal: true

# One person, one question, from the sentence to the printed page. What is counted is compared with
# a plain reading of the sample file, which knows nothing of Hobrin.
RSpec.describe "The whole job", :sample, :browser do
  # The heading with all that is narrower in the sample.
  below_delirium = ["Delirium", "Emergence Delirium", "Hypoactive Delirium", "Delirium after " \
                                                                             "Surgery",
                    "Delirium with Dementia"]

  def said?(record, beginning)
    [record["title"], record["abstract"], *record["keyword"].to_s.split(",")].any? do |text|
      text.to_s.match?(/(?<![[:alnum:]])#{beginning}/i)
    end
  end

  def indexed?(record, *labels)
    record.dig("custom", "headings").to_a.any? { |heading| labels.include?(heading["label"]) }
  end

  def in_block(key, &) = within(find("section.block", text: key, match: :first), &)

  def block(key) = find("section[aria-labelledby='block-#{key}']")

  def shown_in(key) = block(key).find("h2 .count").text[/\d[\d,[:space:]]*/].gsub(/\D/, "").to_i

  # Selects words in the question box as a person at the keyboard does.
  def select_words(words)
    box = find_field("The question")
    start = box.value.index(words)
    box.send_keys(%i[control home], *([:arrow_right] * start),
                  *([%i[shift arrow_right]] * words.size))
  end

  let(:records) { SampleHome.plain_records }
  let(:people) do
    records.select do |one|
      indexed?(one, "Intensive Care", "Mechanical Ventilation", "Weaning", "Mask Ventilation", "Sedation",
               "Sedation Breaks", "Airway Care", "Suctioning", "Intensive Care Diaries") || said?(
                 one, "intensive care"
               )
    end
  end
  let(:devices) do
    records.select do |one|
      indexed?(one, "Ear Protective Devices") || said?(one, "earplug")
    end
  end
  let(:delirium) { records.select { |one| indexed?(one, *below_delirium) } }

  it "goes from a new question to the printed brief" do
    visit "/"
    fill_in "What is your clinical question?",
            with: "In adults in intensive care, do earplugs, compared with usual care, prevent " \
                  "delirium?"
    click_on "Start an inquiry"

    # Ask: by the keyboard and by the mouse
    { "P" => "intensive care", "I" => "earplugs" }.each do |key, words|
      select_words(words)
      find_field("The question").send_keys([:alt, key.downcase])
      expect(page).to have_css("h1 .phrase.of-#{key}:not(.proposed)", text: words)
    end
    select_words("usual care")
    click_button "Comparison"
    expect(page).to have_css("h1 .phrase.of-C:not(.proposed)", text: "usual care")
    page.execute_script(<<~JS)
      const text = document.evaluate("//h1//text()[contains(., 'delirium')]", document, null, 9).singleNodeValue;
      getSelection().setBaseAndExtent(text, text.data.indexOf("delirium"), text, text.data.indexOf("delirium") + 8);
    JS
    click_button "Outcome"
    expect(page).to have_css("h1 .phrase.of-O:not(.proposed)", text: "delirium")
    choose "Treatment or prevention"
    expect(page).to have_text("P, I and O will be searched")
    find(".dock .btn-primary").click

    # Word: a suggestion, an offer while typing, free typing that is read
    block("P").click_button("Intensive Care")
    expect(page).to have_css("section[aria-labelledby='block-P'] .term", text: "Intensive Care")
    block("P").fill_in("typed", with: "intensive care")
    expect(block("P")).to have_select("part[0]", selected: "heading Intensive Care")
    block("P").find(".offers").click_button("intensive care words")
    expect(block("P")).to have_css(".term", count: 2)
    expect(shown_in("P")).to eq(people.size)

    block("I").fill_in("typed", with: "ear def")
    expect(block("I")).to have_text("“ear defenders” is filed here")
    block("I").find_field("typed").send_keys(:arrow_down, :enter)
    expect(block("I")).to have_css(".term", text: "Ear Protective Devices")
    block("I").find_field("typed").send_keys("earplug*", :enter)
    expect(block("I")).to have_css(".term", count: 2)
    expect(shown_in("I")).to eq(devices.size)

    block("O").find_field("typed").send_keys("acute confusion", :enter)
    expect(block("O")).to have_css(".term", text: "Delirium")
    expect(shown_in("O")).to eq(delirium.size)
    joined = people & devices & delirium
    expect(find(".dock-count").text).to start_with(joined.size.to_s)

    # a word gone wild, crossed out with its reason
    block("O").find_field("typed").send_keys("care*", :enter)
    expect(block("O")).to have_css(".term", text: "care*")
    block("O").find(".term-row", text: "care*").click
    block("O").find_field("reason").send_keys("in everything", :tab)
    block("O").click_button("Cross out")
    expect(block("O")).to have_css(".crossed", text: "in everything")
    expect(find(".dock-count").text).to start_with(joined.size.to_s)
    find(".dock .btn-primary").click

    # Narrow: what a limit would leave is what it leaves
    offered = find_button("Adults, 19 and over").find("b").text.to_i
    click_button "Adults, 19 and over"
    adults = joined.select do |one|
      one.dig("custom",
              "ages").to_a.intersect?(["young adult", "adult", "middle aged", "aged",
                                       "80 and over"])
    end
    expect(page).to have_css(".cascade-step", text: "Adults, 19 and over")
    expect([offered,
            find(".dock-count").text[/\d[\d,[:space:]]*/].gsub(/\D/,
                                                               "").to_i]).to eq([adults.size] * 2)
    fill_in "from", with: "2016"
    click_button "Apply"
    recent = adults.select { |one| one.dig("issued", "date-parts", 0, 0) >= 2016 }
    expect(page).to have_css(".cascade-step", text: "2016")
    expect(find(".dock-count").text[/\d[\d,[:space:]]*/].gsub(/\D/, "").to_i).to eq(recent.size)
    expect(page).to have_css(".step-removed a", text: (joined.size - adults.size).to_s)
    expect(page).to have_text("do not state an age")
    find(".dock .btn-primary").click

    # Sift: from the keyboard
    expect(page).to have_css(".titles h2", text: "#{recent.size} papers")
    first = find("#paper-title").text
    page.active_element.send_keys("i")
    expect(page).to have_css(".title-keep", text: first)
    second = find("#paper-title").text
    expect(second).not_to eq(first)
    page.active_element.send_keys("6")
    expect(page).to have_css(".title-drop", text: second)
    page.active_element.send_keys("u")
    expect(page).to have_css(".title-unsure", count: 1)
    expect(page).to have_text("#{recent.size - 3} still to screen")
    find(".dock .btn-primary").click

    # Weigh: 56 of 70 against 48 of 80; what the numbers should be is checked in the core
    select "Randomised trial", from: "Study design"
    expect(page).to have_text("Level 2")
    find_field("Key finding (one sentence)").send_keys("More of them.")
    click_button "Save this paper"
    click_link "Results"
    fill_in "Outcome", with: "Delirium"
    click_button "Save outcome"
    { "events" => 56, "total" => 70, "comparison_events" => 48,
      "comparison_total" => 80 }.each do |name, value|
      find("##{name}").set(value)
    end
    click_button "Save results"
    expect(page).to have_css(".effect", text: "5.2 to 33.4")
    find(".dock .btn-primary").click

    # Act: written, left, and still there
    fill_in "Conclusion (one sentence)", with: "Earplugs are worth offering."
    fill_in "What changes", with: "Offer earplugs at 22:00."
    click_link "Trail"
    expect(page).to have_text("Wrote the conclusion and the action plan")
    find(".tab", text: "Act").click
    expect(find_field("What changes").value).to eq("Offer earplugs at 22:00.")
    ["#{joined.size} found by all blocks", "#{recent.size} left to screen", "duplicate 1"].each do |line|
      expect(find(".flow")).to have_text(line)
    end
    expect(find(".search-lines")).to have_text("hobrin.text = \"earplug*\"")
    printed = page.driver.browser.execute_cdp("Page.printToPDF",
                                              preferCSSPageSize: true)["data"].unpack1("m")
    expect(printed.scan(%r{/Type\s*/Page\b}).size).to eq(1)

    # The evidence set, as files, and the trail from the first step
    saved = context.inquiries.all.max_by(&:id)
    set = JSON.parse(Hobrin::Services::Act::ExportEvidence.new(context).call(saved.id, "json").body)
    expect(set).to match([a_hash_including("title" => first, "note" => /Made-up/)])
    expect(Hobrin::Services::Act::ExportEvidence.new(context).call(saved.id,
                                                                   "ris").body).to include(
                                                                     "TI  - #{first}", "N1  - Made-up"
                                                                   )
    lines = context.inquiries.trail(saved.id).reverse
    expect([lines.first.change,
            lines.map(&:number)]).to eq(["Wrote the question", (1..lines.size).to_a])
    lines.each_cons(2) do |one, two|
      expect([two.change, two.count_before]).to eq([two.change, one.count_after])
    end
  end
end
