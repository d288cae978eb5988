# frozen_string_literal: true

RSpec.describe "Weigh over the web", :sample, :client do
  def page_of(id, query) = Nokogiri::HTML(visit_page("/inquiries/#{id}/weigh?#{query}").body)
  def pooled(page) = page.at_css(".forest tfoot b")&.text
  def forest(query = "outcome=1") = page_of(1, query)
  def reading(id) = Hobrin::Services::Appraise::Read.new(context, opened(id))

  def press(form, **more)
    send_form(form["action"], **form.css("input[type=hidden]").to_h do |one|
      [one["name"].to_sym, one["value"]]
    end.except(:authenticity_token, :seen), **more)
  end

  it "shows each paper, its weight and the pooled value as the core says them" do
    pool = reading(1).pools.first
    told = [pool.pooled.estimate, pool.pooled.low, pool.pooled.high].map do |log|
      format("%.2f", Math.exp(log))
    end
    expect(pooled(forest)).to eq("#{told[0]} (#{told[1]} to #{told[2]})")
    weights = pool.pooled.weights.map { |weight| (100 * weight).round.to_s }
    expect(forest.css(".forest tbody tr").map { |row| row.css("td")[-2].text }).to eq(weights)
    expect(forest.css(".forest-square").size).to eq(4)
    { "without" => 4, "time" => 4, "groups" => 2 }.each do |part, lines|
      expect([part,
              forest("outcome=1&part=#{part}").css(".forest tbody tr").size]).to eq([part, lines])
    end
    expect(forest("outcome=1&part=small").css(".paper-point").size).to eq(4)
  end

  it "takes a paper out and counts it again, and puts them together in another way" do
    before = pooled(forest)
    press(forest.at_css(".forest tbody form"), do: "out")
    expect(forest.css(".forest tbody tr").size).to eq(3)
    press(forest.css(".near-list form").first, do: "back")
    expect(pooled(forest)).to eq(before)
    send_form("/inquiries/1/outcomes", do: "put_together", outcome: 1, measure: "odds_ratio",
                                       model: "dl", level: 90, knapp: "yes")
    expect(forest.css(".forest thead th")[4].text).to include("Odds ratio (90 % CI)")
    expect(forest.at_css(".pool-facts").text).to include("DerSimonian–Laird", "Hartung and Knapp")
  end

  it "pools nothing while a trap is open, and settles it in one press" do
    before = pooled(forest)
    press(forest.at_css(".near-list form"), do: "back")
    page = forest
    expect([pooled(page),
            page.at_css(".snares").text]).to match([nil,
                                                    /review whose studies are here.*Kalloulande/m])
    expect(page.at_css(".unpooled").text).to include("integrity warning is open", "of 5 point to less")
    press(page.at_css(".snares form"), do: "mend")
    expect(pooled(forest)).to eq(before)
  end

  it "shows a hundred people truly, also at the ends" do
    forest
    ratio = Math.exp(reading(1).pools.first.pooled.estimate)
    [0, 1, 99, 100].each do |baseline|
      send_form("/inquiries/1/outcomes", do: "write", outcome: 1, name: "Delirium", baseline:)
      with = (baseline * ratio).round
      page = forest
      drawn = %w[person-both person-spared person-more person-none].map do |name|
        page.css(".people .#{name}").size
      end
      expect([baseline, drawn]).to eq([baseline, [with, baseline - with, 0, 100 - baseline]])
      expect(page.at_css(".hundred b").text).to eq(baseline.to_s)
    end
  end

  it "offers the numbers of the abstract, fills them in, and counts them with the others once saved" do
    decide("10.5555/hobrin.trial-2026-new", :keep)
    sheet = forest("paper=10.5555/hobrin.trial-2026-new&numbers=1")
    offer = sheet.at_css(".number-offers a")
    expect(offer.text).to eq("Use 14 of 104 (13.5%) and 25 of 106 (23.6%)")
    taken = Nokogiri::HTML(visit_page(offer["href"]).body)
    names = %w[events total comparison_events comparison_total]
    numbers = names.to_h { |name| [name.to_sym, taken.at_css("##{name}")["value"]] }
    expect([numbers.values,
            taken.at_css("#shown").text]).to match([%w[14 104 25 106],
                                                    /Delirium occurred in 14 of 104/])
    expect(inquiry.paper("10.5555/hobrin.trial-2026-new")).to be_nil
    send_form("/inquiries/1/weigh", paper: "10.5555/hobrin.trial-2026-new",
                                    design: "randomized_trial")
    press(taken.at_css("#result-form"), **numbers)
    expect(forest.css(".forest tbody tr").size).to eq(5)
  end

  it "asks which group is which where the sentence does not tell, and stops at groups that stand the other way round" do
    paper = "10.5555/hobrin.older-2022"
    sheet = forest("paper=#{paper}&numbers=1")
    expect(sheet.at_css(".number-offers").text).to include("Which group had earplugs and an eye mask at night?")
    first, second = sheet.css(".number-offers li").first.css("a").map { |link| link["href"] }
    taken = [first, second].map do |path|
      page = Nokogiri::HTML(visit_page(path).body)
      %w[events total comparison_events comparison_total].map { |name| page.at_css("##{name}")["value"] }
    end
    expect(taken).to eq([%w[23 74 32 74], %w[32 74 23 74]])

    written = { do: "write", paper:, outcome: 1, result: 1, form: "counts", events: 32, total: 74, comparison_events: 23,
                comparison_total: 74, group: "usual care", comparison: "earplugs" }
    send_form("/inquiries/1/results", **written)
    page = forest("outcome=1")
    expect([page.at_css(".snares").text, page.css(".forest tfoot b").size])
      .to match([/two groups the other way round.*Swap the two groups/m, 0])
    press(page.at_css(".snares form"), do: "mend")
    expect(forest("outcome=1").css(".snares").size).to eq(0)
    expect(inquiry.paper(paper).result(1).typed.values).to eq(%w[23 74 32 74])
  end

  it "refuses to reverse a printed risk ratio without the risk, beside the field, and asks what a comma means" do
    paper = "10.5555/hobrin.older-2022"
    forest("paper=#{paper}&numbers=1")
    written = { do: "write", paper:, outcome: 1, numbers: 1, form: "estimate", measure: "risk_ratio", value: "0.9", low: "0.8",
                high: "1.01", turned: "yes" }
    send_form("/inquiries/1/results", **written)
    expect([last_response.status, Nokogiri::HTML(last_response.body).css(".problem").text])
      .to match([422, /cannot be reversed by itself: enter the risk/])
    expect(send_form("/inquiries/1/results", **written, risk: "80").status).to eq(303)
    send_form("/inquiries/1/results", do: "write", paper:, outcome: 2, numbers: 2, form: "means_sd", mean: "1,200", deviation: 300,
                                      size: 40, comparison_mean: 900, comparison_deviation: 280, comparison_size: 41)
    expect([last_response.status, last_response.body]).to match([422, /Is this 1200 or 1\.2\?/])
    send_form("/inquiries/1/results", **written, form: "counts", allocation: "cluster", cluster_size: "0")
    expect([last_response.status, last_response.body]).to match([422, /Enter a number above 1/])
  end

  it "shows a test as the core pools it, and what a result means at any share of people" do
    tests = reading(2).pools.first.tests
    page = page_of(2, "outcome=1")
    told = [tests.sensitivity, tests.specificity].map { |one| format("%.1f", 100 * one.estimate) }
    expect(page.css(".test-table tfoot b").map { |one| one.text[/\A[\d.]+/] }).to eq(told)
    expect(page.css(".roc-picture .paper-point").size).to eq(8)
    { "0" => [0, 0], "10" => [100, 900], "100" => [1000, 0],
      "12,5" => [125, 875] }.each do |typed, (ill, well)|
      page = page_of(2, "outcome=1&part=values&prevalence=#{typed}")
      cells = page.css(".thousand-table tbody td").map { |cell| cell.text.to_i }
      expect([typed, cells.last(2),
              cells.first(4).sum]).to match([typed, typed == "0" ? [0, 1000] : [ill, well], 1000])
    end
    ["101", "-1", "many"].each do |typed|
      page = page_of(2, "outcome=1&part=values&prevalence=#{typed}")
      expect([typed, page.css(".problem").text]).to eq([typed, "Enter a number from 0 to 100."])
    end
  end

  it "keeps the sentence that shows an answer, and works out the concern of its group" do
    paper = "10.5555/hobrin.trial-2026-new"
    decide(paper, :keep)
    forest("paper=#{paper}")
    send_form("/inquiries/1/weigh", paper:, design: "randomized_trial")
    sentence = forest("paper=#{paper}").at_css("[name='take[allocation]']")["value"]
    expect(sentence).to include("randomised by computer")
    send_form("/inquiries/1/weigh", paper:, design: "randomized_trial", "answers[allocation]": "no",
                                    "take[allocation]": sentence,
                                    "answers[blinded]": "mostly", "concerns[told]": "high",
                                    "concern_why[told]": "half is told",
                                    "applies[people]": "far")
    stored = inquiry.paper(paper)
    expect([stored.answers[:allocation].shown, stored.near]).to eq([sentence, :far])
    expect(stored.concern_by_group("treatment")).to eq({ alike: :high, measured: :some,
                                                         told: :high })
    expect(forest("paper=#{paper}").css(".question-group .concern").map(&:text)).to eq([
                                                                                         "high risk",
                                                                                         "some concerns", "high risk"
                                                                                       ])
  end

  it "has a sheet for each of thirteen designs, of five to nine questions" do
    sheets = Hobrin::Appraisal::Checklists::ALL.except(:any)
    expect([sheets.size, sheets.values.map { |sheet| sheet.questions.size }]).to match([13, all(be_between(5, 9))])
    texts = sheets.values.map { |sheet| sheet.questions.map(&:text) }
    expect(texts).to all(satisfy { |some| some.uniq == some && some.all? { |text| text.end_with?("?") } })
    kinds = { "cohort" => "prognosis", "inception_cohort" => "prediction" }
    shown = Hobrin::Appraisal::Design::ALL.map { |design| Hobrin::Appraisal::Checklists.for(design, nil).key } +
            kinds.map { |key, kind| Hobrin::Appraisal::Checklists.for(Hobrin::Appraisal::Design.fetch(key), kind).key }
    expect(shown.uniq - [:any]).to match_array(sheets.keys)
  end
end
