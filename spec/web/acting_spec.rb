# frozen_string_literal: true

RSpec.describe "Act over the web", :sample, :client do
  def page_of(query = "") = Nokogiri::HTML(visit_page("/inquiries/1/act#{query}").body)

  it "pastes weeks and reads the chart, with the numbers as a table and back for pasting" do
    page_of
    weeks = Array.new(24) do |week|
      [(Date.new(2026, 5, 18) + (7 * week)).iso8601, week < 12 ? 9 + (week % 3) : 4, 30]
    end
    numbers = weeks.map { |one| one.join(";") }.join("\r\n")
    send_form("/inquiries/1/measures", do: "write", name: "Falls", way: "share", sort: "outcome", better: "less", target: "20",
                                       counted: "falls", of: "people", started: "2026-08-10", numbers:)
    page = page_of("?show=measures&measure=4")
    expect(page.css(".run-chart circle").size).to eq(24)
    expect(page.css(".run-chart .chart-middle, .run-chart .chart-target, .run-chart .chart-start").size).to eq(3)
    expect(page.css(".run-chart .chart-limit").size).to eq(2)
    expect(page.at_css(".pool-facts").text).to include("Median 33.3 per 100 before, 13.3 per 100 since",
                                                       "12 of 12 points since", "this is a change")
    expect(page.css(".small-table tbody tr").size).to eq(24)
    expect(page.at_css("#numbers").text.strip.lines.map(&:strip)).to eq(weeks.map { |one| one.join("; ") })
    send_form("/inquiries/1/measures", do: "drop", measure: 4)
    expect(inquiry.acting.measures.map(&:id)).to eq([1, 2, 3])
  end

  it "draws values below nothing, and all alike, within its frame" do
    page_of
    ["-3\n-5\n-4", "0\n0\n0", "7\n7\n7"].each_with_index do |values, place|
      numbers = values.split("\n").each_with_index.map { |value, week| "2026-09-#{10 + week}; #{value}" }.join("\n")
      send_form("/inquiries/1/measures", do: "write", name: "Value #{place}", way: "value",
                                         sort: "outcome", better: "less", numbers:)
      heights = page_of("?show=measures&measure=#{4 + place}").css(".run-chart circle").map do |one|
        one["cy"].to_f
      end
      expect([values, heights]).to match([values, all(be_between(0, 230))])
    end
  end

  it "says what makes a measure uncountable, and what few numbers cannot tell" do
    page_of
    send_form("/inquiries/1/measures", do: "write", name: "Calls", way: "value", sort: "process", better: "less",
                                       numbers: "2026-09-07\t3,5\n2026-09-14\t4")
    page = page_of("?show=measures&measure=4")
    said = ["Enter the numerator.", "Enter the target.",
            "Enter the date the change starts."]
    expect(page.css(".doubt").map(&:text)).to eq(said)
    expect(page.at_css(".pool-facts").text).to include("All data are from before the change")
  end

  it "thinks of eight things, decides, and puts the decision on the printed page" do
    page = page_of("?show=decision")
    expect(page.css(".considerations tbody tr").size).to eq(8)
    expect(page.at_css(".considerations").text).to include("May lower delirium", "May slightly " \
                                                                                 "raise sore skin")
    send_form("/inquiries/1/deliberation", decision: "some", "marks[benefit]": "2",
                                           "lines[benefit]": "Ten fewer")
    expect([inquiry.acting.decision,
            inquiry.acting.consideration(:benefit).to_h.values]).to eq(["some", [2, "Ten fewer"]])
    expect(page_of.at_css(".conclusion").text).to include("Decided: Change for some patients")
    expect(last_line.change).to eq("Decided: Change for some patients")
  end

  it "says when the conclusion claims more than the findings allow, and where to begin when it is empty" do
    expect(page_of.css(".conclusion .doubt").size).to eq(0)
    send_form("/inquiries/1/act", conclusion: "Earplugs lower delirium.")
    expect(page_of.at_css(".conclusion .doubt").text).to include("certainty is low, so say “may”")
    send_form("/inquiries/1/act", conclusion: "")
    expect(page_of.at_css(".conclusion .remark").text).to include("May lower delirium: per 100 " \
                                                                  "people here, 30 without it, 20 with it")
  end

  # The boxes of PRISMA 2020 (from memory): each is the one above it, less what leaves, and what is
  # let in.
  it "draws a flow of papers whose boxes add up, for the sample and for fifty that are made up" do
    random = Random.new(50)
    flows = (1..5).map { |id| Hobrin::Services::Act::ReadBrief.new(context).call(opened(id)).flow }
    flows += Array.new(50) { made_up_flow(random) }
    flows.each do |flow|
      steps = Hobrin::Brief::Flow::Boxes.new(flow).steps
      steps.each_cons(2) do |one, two|
        lets_in = one.aside.lines.first == "added manually"
        expect(two.main.count).to eq(one.main.count + (lets_in ? one.aside.count : -one.aside.count))
      end
      parts = steps.filter_map(&:aside).reject { |box| box.lines.size == 1 }
      expect(parts.map do |box|
        box.lines.drop(1).sum do |line|
          line[/\A\d+/].to_i
        end
      end).to eq(parts.map(&:count))
    end
    boxes = page_of.css(".flow-picture .flow-count").map { |one| one.text.to_i }
    expect(boxes).to eq([90, 57, 33, 4, 37, 23, 14, 8, 6])
  end

  # Papers found, let in by hand and by citations, and decided on, as they come.
  def made_up_flow(random)
    found = Array.new(random.rand(1..80)) { |place| "p#{place}" }
    threaded, by_hand = [found.sample(random.rand(0..3), random:), random.rand(0..2)]
    decisions = found.sample(random.rand(0..found.size), random:).map do |record_id|
      verdict = %i[keep drop unsure].sample(random:)
      reason = verdict == :drop ? ["Other people", "No study"].sample(random:) : nil
      Hobrin::Screening::Decision.new(record_id:, verdict:, reason:, note: "")
    end
    left = [found.size - threaded.size - by_hand, 0].max
    Hobrin::Brief::Flow.of(joined: left + random.rand(0..500), found_ids: found, decisions:, left:,
                           threaded_ids: threaded)
  end

  it "gives the archive as a file that agrees with itself" do
    response = visit_page("/inquiries/1/archive.json")
    expect(response.headers["content-disposition"]).to include("hobrin-1-archive.json")
    expect(Hobrin::Services::Archives.verify(response.body).faults).to eq([])
    expect(visit_page("/inquiries/99/archive.json").status).to eq(404)
  end
end
