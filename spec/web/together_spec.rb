# frozen_string_literal: true

RSpec.describe "Papers together over the web", :sample, :client do
  def page_of(query = "") = Nokogiri::HTML(visit_page("/inquiries/1/weigh?show=together#{query}").body)
  def ratio(page) = page.at_css(".forest tfoot b").text

  it "pools the main inquiry's trials and leaves its review out, as the core says" do
    page = page_of
    pool = Hobrin::Services::ReadTogether.new(context, opened).call.first
    values = [pool.pooled.estimate, pool.pooled.low, pool.pooled.high].map { |log| format("%.2f", Math.exp(log)) }
    expect(ratio(page)).to eq("#{values[0]} (#{values[1]} to #{values[2]})")
    expect(page.css(".forest tbody tr").size).to eq(4)
    expect(page.css(".near-list").text).to include("systematic review", "its trials are here")
    expect(page.css(".forest-square").size).to eq(4)
  end

  it "takes a paper out and counts it again, both in the address" do
    out = page_of.css(".forest tbody a").find { |link| link.text.start_with?("Take out") }["href"]
    page = Nokogiri::HTML(visit_page(out).body)
    expect(page.css(".forest tbody tr").size).to eq(3)
    back = page.css("a").find { |link| link.text == "Count it again" }["href"]
    expect(ratio(Nokogiri::HTML(visit_page(back).body))).to eq(ratio(page_of))
  end

  it "shows a hundred people truly, also at the ends, and says what is no number" do
    { 0 => [0, 0, 0], 1 => [1, 0, 0], 99 => [67, 32, 0], 100 => [68, 32, 0] }.each do |typed, (both, spared, more)|
      page = page_of("&of_hundred=#{typed}")
      drawn = %w[person-both person-spared person-more].map { |name| page.css(".people .#{name}").size }
      expect([typed, drawn]).to eq([typed, [both, spared, more]])
      expect(page.css(".people circle").size).to eq(100)
    end
    ["101", "-1", "a few", "3.5"].each do |typed|
      page = page_of("&of_hundred=#{CGI.escape(typed)}")
      expect([typed, page.css(".problem").text, page.at_css("[name=of_hundred]")["value"]])
        .to eq([typed, "Write a whole number from 0 to 100.", typed])
    end
  end

  it "offers the numbers of the abstract, fills them in, and counts them with the others once saved" do
    decide("10.5555/hobrin.trial-2026-new", :keep)
    sheet = Nokogiri::HTML(visit_page("/inquiries/1/weigh?paper=10.5555/hobrin.trial-2026-new").body)
    offer = sheet.at_css(".number-offers a")
    expect(offer.text).to eq("Take 14 of 104 (13.5%) and 25 of 106 (23.6%)")
    taken = Nokogiri::HTML(visit_page(offer["href"]).body)
    numbers = %w[events total comparison_events comparison_total].to_h do |name|
      [name.to_sym, taken.at_css("##{name}")["value"]]
    end
    expect(numbers.values).to eq(%w[14 104 25 106])
    expect(inquiry.paper("10.5555/hobrin.trial-2026-new")).to be_nil
    send_form("/inquiries/1/weigh", paper: "10.5555/hobrin.trial-2026-new", design: "randomized_trial",
                                    outcome: "Delirium", **numbers)
    expect(page_of.css(".forest tbody tr").size).to eq(5)
    ["9", "-1", "x", "1" * 30].each do |take|
      expect(visit_page("/inquiries/1/weigh?paper=10.5555/hobrin.trial-2026-new&take=#{take}").status).to eq(200)
    end
  end
end
