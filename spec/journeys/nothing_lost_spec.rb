# frozen_string_literal: true

# Nothing that was written is lost, whatever its letters and whenever the page is left; and the
# keyboard alone is enough.
RSpec.describe "Nothing is lost", :sample, :browser do
  # The step's own work, without the history of the sample.
  it "works an inquiry with the keyboard alone" do
    visit "/"
    page.active_element.send_keys("Does music help adults with pain?", :tab, :enter)
    expect(page).to have_css(".tab-current", text: "Ask")
    tab_to("The question").send_keys(%i[control home], *([:arrow_right] * 5), *([%i[shift arrow_right]] * 5),
                                     [:alt, "i"])
    expect(page).to have_css("h1 .phrase.of-I", text: "music")
    tab_to("Terms").send_keys(:enter)
    expect(page).to have_css(".tab-current", text: "Terms")
    tab_to("Add a term to music").send_keys("music")
    expect(page).to have_select("part[0]", selected: "heading Music")
    find_field("Add a term to music").send_keys(:arrow_down)
    expect(page).to have_css(".offer:focus")
    expect(page.driver.browser.logs.get(:browser).map(&:message)).to eq([])
    page.active_element.send_keys(:enter)
    expect(page).to have_css(".term", text: "Music")
    tab_to("Narrow").send_keys(:enter)
    tab_to("Screen").send_keys(:enter)
    expect(page).to have_css("#paper-title")
    title = find("#paper-title").text
    find("body").send_keys("n")
    expect(page).to have_no_css("#paper-title", text: title, exact_text: true)
    find("body").send_keys("p")
    expect(page).to have_css("#paper-title", text: title, exact_text: true)
    find_field("Note").send_keys("k1u", :enter)
    expect(page).to have_css(".problem", text: "the note is saved with it")
    expect(find_field("Note").value).to eq("k1u")
    expect(page).to have_no_css(".title-keep, .title-drop, .title-unsure")
  end

  it "keeps what was written when its reader turns away, and says so when it was refused" do
    visit "/inquiries/1/weigh"
    fill_in "Key finding (one sentence)", with: "Half a sentence"
    find(".titles a", text: "critically ill older adults").click
    expect(page).to have_css(".paper-title", text: "critically ill older adults")
    click_link "Results"
    first(".standing a", text: "Edit").click
    find("#events").set("900")
    find(".tab", text: "Act").click
    expect(page).to have_css(".problem", text: "900 is more than the 74")
    expect(find("#events").value).to eq("900")
    find("#events").set("24")
    find(".tab", text: "Act").click
    expect(page).to have_css(".evidence", text: "24/74")
    expect(page).to have_css(".evidence", text: "Half a sentence")
  end

  it "keeps numbers that are not all there yet as a draft, until they are saved or discarded" do
    visit "/inquiries/1/weigh"
    find(".titles a", text: "critically ill older adults").click
    click_link "Results"
    first(".standing a", text: "Edit").click
    find("#events").set("21")
    find("#total").set("")
    click_link "Checklist"
    expect(page).to have_css(".sheet-question")
    click_link "Results"
    first(".standing a", text: "Edit").click
    expect(page).to have_css(".draft", text: "Not saved yet")
    expect([find("#events").value, find("#total").value]).to eq(["21", ""])
    click_button "Save results"
    expect(page).to have_css("#total:focus[aria-invalid]")
    find("#total").set("74")
    click_button "Save results"
    expect(page).to have_css(".standing", text: "21 of 74")
    first(".standing a", text: "Edit").click
    expect(find("#events").value).to eq("21")
    expect(page).to have_no_css(".draft")
    find("#events").set("22")
    refresh
    expect(page).to have_css(".draft")
    click_button "Discard"
    expect(page).to have_no_css(".draft")
    expect(find("#events").value).to eq("21")
    expect(page.driver.browser.logs.get(:browser).map(&:message)).to eq([])
  end

  it "takes one change after the other, however quickly they are made" do
    visit "/inquiries/1/weigh"
    find(".titles a", text: "critically ill older adults").click
    expect(page).to have_css(".paper-title", text: "critically ill older adults")
    page.execute_script(<<~JS)
      ["allocation", "unaware", "alike"].forEach((key) => document.querySelector(`[id^=answer_${key}_no]`)?.click());
    JS
    expect(page).to have_css("input:checked[id=answer_allocation_no]")
    expect(page).to have_css("input:checked[id^=answer_alike_no]")
    expect(page).to have_no_css(".alert-danger", visible: true)
    expect(page.driver.browser.logs.get(:browser).map(&:message)).to eq([])
  end

  it "holds words without end, and letters of every kind, within the page" do
    endless = "withoutanend" * 20
    question = "👵🏽 Does délire in 𝒳 people, délire again, improve with #{endless}?"
    visit "/"
    fill_in "What is your clinical question?", with: question
    click_on "Start an inquiry"
    expect(page).to have_css(".tab-current", text: "Ask")
    places = { "P" => [question.rindex("délire"), "délire"],
               "I" => [question.index(endless), endless] }
    places.each do |key, (place, words)|
      # JavaScript counts in UTF-16 units; the place is worked out here from letters.
      from, size = [question[0...place], words].map { |part| part.encode("UTF-16LE").bytesize / 2 }
      page.execute_script(<<~JS)
        const box = document.querySelector("[data-markable]");
        box.focus();
        box.setSelectionRange(#{from}, #{from + size});
      JS
      find("button[name=mark][value=#{key}]").click
      expect(page).to have_css("h1 .phrase.of-#{key}")
    end
    marked = context.inquiries.all.max_by(&:id).inquiry.question.element("P").phrases
    expect(marked.map(&:from)).to eq([question.rindex("délire")])
    %w[ask word narrow sift act].each do |step|
      visit page.current_path.sub(/\w+\z/, step)
      expect([step,
              page.evaluate_script("document.documentElement.scrollWidth")]).to eq([step, 1280])
    end
  end

  it "gives the focus back to what was pressed, and keeps the page when no answer can be shown" do
    visit "/inquiries/1/narrow"
    switch = find("form[action$='/limits/age'] button[value=switch]")
    switch.send_keys(:enter)
    expect(page).to have_css(".off", text: "Adults")
    expect(page.active_element["value"]).to eq("switch")

    visit "/inquiries/1/act"
    page.driver.browser.manage.delete_all_cookies
    fill_in "What changes", with: "Typed on a page that was open too long"
    click_button "Save the brief"
    expect(page).to have_css("#trouble", text: "This page has expired")
    expect(find_field("What changes").value).to eq("Typed on a page that was open too long")

    visit "/inquiries/1/act"
    Hobrin::Services::Inquiries::Delete.new(context).call(1)
    fill_in "What changes", with: "Typed after it was deleted elsewhere"
    click_button "Save the brief"
    expect(page).to have_css("#trouble", text: "This inquiry is not here")
    expect(find_field("What changes").value).to eq("Typed after it was deleted elsewhere")
  end

  # Presses Tab until the field or button with this name has the focus.
  def tab_to(name)
    80.times do
      page.active_element.send_keys(:tab)
      return page.active_element if page.evaluate_script(<<~JS).start_with?(name)
        (() => { const at = document.activeElement;
          return (at.labels && at.labels[0] ? at.labels[0].innerText || at.labels[0].textContent : at.textContent).trim(); })()
      JS
    end
    raise "Tab never reaches #{name}"
  end
end
