# frozen_string_literal: true

RSpec.describe Hobrin::Inquiry::Stage do
  brief = Hobrin::Brief
  today = Date.new(2026, 11, 23)
  let(:asked) { Hobrin::Inquiry.new(question: Hobrin::Question.ask("Do earplugs help?")) }
  let(:searching) { asked.with_leaf("I", words("earplug*")) }

  def outline(inquiry) = Hobrin::Inquiry::Outline.of(inquiry)

  def decided(verdict)
    Hobrin::Screening::Decision.new(record_id: verdict.to_s, verdict:, reason: verdict == :drop ? "No study" : nil)
  end

  def measured(*points) = brief_measure(points.map { |day| Hobrin::Brief::Measure::Point.new(day:, events: 1, of: 10) })
  def brief_measure(points) = Hobrin::Brief::Measure.new(id: 1, name: "Falls", points:)

  it "stands where the furthest sign of work is" do
    reading = searching.with_decision(decided(:drop))
    weighing = reading.with_decision(decided(:keep))
    changing = weighing.with(acting: brief::Acting.new(decision: "trial"))
    measuring = changing.with(acting: changing.acting.with(measures: [measured(today)]))
    due = measuring.with(plan: brief::ActionPlan.new(look_again: "On 23 Nov 2026, at handover"))
    not_yet = measuring.with(plan: brief::ActionPlan.new(look_again: "24.11.2026"))
    { asked:, searching:, reading:, weighing:, changing:, measuring:, due: }.each do |key, inquiry|
      expect(described_class.new(outline(inquiry), today:).key).to eq(key)
    end
    expect(described_class.new(outline(not_yet), today:).key).to eq(:measuring)
    expect(described_class.new(outline(measuring.with(acting: measuring.acting.with(measures: [brief_measure([])]))),
                               today:).key).to eq(:changing)
  end

  it "tells what waits and for whom, what is late first" do
    steps = [[today + 3, "Link nurse", "Order a box", false], [today - 1, "Night desk", "Ask", false],
             [nil, "", "Tell", true]]
    acting = brief::Acting.new(steps: steps.map { |on, who, what, done| brief::ActionPlan::Step.new(on:, who:, what:, done:) })
    inquiry = searching.with_decision(decided(:unsure)).with(acting:, conclusion: "May help.")
    waiting = described_class.new(outline(inquiry), today:, since_signed: 2).waiting
    expect(waiting.map { |one| [one.who, one.what, one.late] })
      .to eq([["Night desk", "Ask", true], ["Link nurse", "Order a box", false], ["", "1 unsure paper", false],
              ["", "the brief has changed since it was signed off", false]])
    expect(described_class.new(outline(inquiry), today:, since_signed: 0).waiting.map(&:what)).not_to include(/brief/)
    expect(described_class.new(outline(inquiry), today:).waiting.last.what).to eq("the brief is not signed off")
    expect(described_class.new(outline(asked), today:).waiting).to eq([])
  end

  it "finds the day for looking again as people write it, and none where it is none" do
    ["2027-02-01", "1 Feb 2027", "Monday, 1 February 2027", "01.02.2027"].each do |text|
      expect(brief::ActionPlan.new(look_again: text).look_again_on).to eq(Date.new(2027, 2, 1))
    end
    ["2027-02-30", "31.02.2027", "12 Foo 2027", "in spring", ""].each do |text|
      expect([text, brief::ActionPlan.new(look_again: text).look_again_on]).to eq([text, nil])
    end
  end
end
