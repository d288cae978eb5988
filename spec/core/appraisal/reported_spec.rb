# frozen_string_literal: true

# What people type for the numbers of a paper.
RSpec.describe Hobrin::Appraisal::Reported do
  include WeighingHelp

  typed = described_class::Figures::Typed

  it "reads decimal points and commas, and spaces between thousands" do
    whole = { "1200" => 1200, "1 200" => 1200, "1,200" => 1200, "1.200" => 1200, "1\u2009200" => 1200, " 7 " => 7,
              "1,2" => nil, "3.5" => nil, "x" => nil, "" => nil, "1e3" => nil, "9" * 30 => nil }
    expect(whole.keys.to_h { |text| [text, typed.whole(text)] }).to eq(whole)
    number = { "3.5" => 3.5, "3,5" => 3.5, ".5" => 0.5, ",5" => 0.5, "−0,4" => -0.4, "12 %" => 12.0,
               "1,234.5" => 1234.5, "1.234,5" => 1234.5, "1,200" => 1.2, "1,2,3" => nil, "1-2" => nil, "NaN" => nil,
               "Infinity" => nil, "0x1" => nil }
    expect(number.keys.to_h { |text| [text, typed.number(text)] }).to eq(number)
  end

  # Form, what is typed, and where it is refused with which words.
  refused = [
    ["counts", %w[5 4 1 9], { events: /5 is more than the 4/ }], ["counts", %w[1 0 1 9], { total: /at least 1/ }],
    ["counts", ["a", "4", "-1", "9"], { events: /whole number/, comparison_events: /whole number/ }],
    ["counts", ["1", "", "1", "9"], { total: /Enter a number/ }],
    ["means_sd", %w[5 0 20 5 2 20], { deviation: /above 0/ }],
    ["means_sd", %w[5 2 1 5 -2 20], { size: /2 people/, comparison_deviation: /above 0/ }],
    ["means_sd", %w[five 2 20 5 2 20], { mean: /number, for example/ }],
    ["means_interval", %w[5 6 4 20 5 4 6 20], { mean: /below the 6/, high: /below/ }],
    ["means_interval", %w[5 5 5 20 5 4 6 20], { high: /no variation/ }],
    ["medians_quartiles", %w[4 3 6 20 3 4 6 20], { median: /below the 4/ }],
    ["medians_both", %w[9 3 4 6 8 20 1 3 4 6 8 20], { lower: /below the 9/ }],
    ["events_over_time", %w[3 0 5 100], { time: /above 0/ }], ["one_group", %w[9 8], { events: /more than the 8/ }],
    ["four_cells", %w[0 0 3 4], { false_negatives: /has the condition/ }],
    ["estimate", %w[0.8 1.1 0.6], { high: /lower end first/ }],
    ["estimate", %w[2.8 0.6 1.1], { value: /outside its own/ }],
    ["estimate", %w[0.8], { low: /interval, or its p/ }], ["estimate", %w[0.8 0.6], { high: /both ends/ }],
    ["estimate", %w[-0.8 0.6 1.1], { value: /above 0/ }], ["estimate", ["0.8", "", "", "1.2"], { p: /between 0 and 1/ }],
    ["estimate", ["1", "", "", "0.5"], { value: /says nothing/ }]
  ]
  refused.each do |form, numbers, messages|
    it "refuses #{numbers.join(" ")} as #{form} at #{messages.keys.join(", ")}" do
      expect do
        a_result(*numbers, form:, measure: (:risk_ratio if form == "estimate"))
      end.to raise_error(Hobrin::InputError) { |error|
               expect(error.errors).to match(messages.transform_values { |words| match(words) })
             }
    end
  end

  it "doubts what is possible and seldom true" do
    expect(a_result(5.0, 0.2, 60, 6.0, 0.2, 60,
                    form: "means_sd").doubts.join).to include("standard errors entered as standard deviations")
    expect(a_result(5.0, 0.2, 60, 5.1, 2, 60, form: "means_sd").doubts.join).to include("4 times")
    expect(a_result("0.80", "0.62", "1.30", form: "estimate",
                                            measure: :risk_ratio).doubts.join).to include("not symmetric")
    fine = [a_result(5.0, 2, 60, 6.0, 2.1, 60, form: "means_sd"),
            a_result("0.80", "0.62", "1.03", form: "estimate", measure: :risk_ratio),
            a_result("0.1", "-0.3", "0.5", form: "estimate", measure: :mean_difference), a_result(3, 10, 4, 10)]
    expect(fine.flat_map(&:doubts)).to eq([])
  end

  it "gives the effect of each form by each measure of its kind, turned round on a scale that runs the other way" do
    numbers = { "counts" => %w[10 50 20 50], "events_over_time" => %w[10 500 20 500], "one_group" => %w[10 50],
                "means_sd" => %w[5 2 50 6 2 50], "means_se" => %w[5 0.3 50 6 0.3 50],
                "means_interval" => %w[5 4.5 5.5 50 6 5.5 6.5 50],
                "medians_quartiles" => %w[4 5 6 50 5 6 7 50], "medians_range" => %w[1 5 9 50 2 6 9 50],
                "medians_both" => %w[1 4 5 6 9 50 2 5 6 7 9 50], "estimate" => %w[0.5 0.3 0.8] }
    tried = Hobrin::Appraisal::Outcome::Kind::ALL.reject { |kind| kind.key == "test" }.flat_map do |kind|
      kind.measures.product(kind.forms).map do |measure, form|
        one = a_result(*numbers.fetch(form), form:, measure: (measure if form == "estimate"))
        effect = one.effect(Hobrin::Appraisal::Outcome::Measure.fetch(measure))
        turned = one.with(turned: true).effect(Hobrin::Appraisal::Outcome::Measure.fetch(measure))
        printed = form == "estimate" && !Hobrin::Appraisal::Outcome::Measure.fetch(measure).ratio?
        falls = printed ? be_positive : be_negative
        expect([kind.key, measure, form, effect.effect]).to match([kind.key, measure, form, falls])
        # What has no opposite tells nothing on a reversed scale.
        opposite = form != "events_over_time" && !(form == "estimate" && %i[risk_ratio rate_ratio hazard_ratio ratio].include?(measure))
        expect([measure, form, turned&.effect&.positive?]).to eq([measure, form, opposite ? effect.effect.negative? : nil])
      end
    end
    expect(tried.size).to eq(30)
  end

  # Worked by hand: 720 of 1,000 alive beside 800 are a ratio of 0.90, and 280 dead beside 200 one of 1.40.
  it "reverses a printed risk ratio by the risk in the comparison group, and refuses without it" do
    measure = Hobrin::Appraisal::Outcome::Measure.fetch(:risk_ratio)
    counted = a_result(720, 1000, 800, 1000, turned: true).effect(measure)
    alive = a_result(720, 1000, 800, 1000).effect(measure)
    low, high = [-1, 1].map { |way| Math.exp(alive.effect + (way * Hobrin::Statistics::Distributions::Normal::Z95 * alive.error)) }
    printed = a_result(0.9, low, high, form: "estimate", measure: :risk_ratio, turned: true)
    expect([printed.effect(measure), printed.irreversible]).to match([nil, /cannot be reversed.*enter the risk/])
    expect(printed.questions.keys).to eq([:risk])
    reversed = printed.with(typed: { **printed.typed, risk: "80" })
    expect([reversed.irreversible, reversed.questions]).to eq([nil, {}])
    expect(Math.exp(reversed.effect(measure).effect)).to be_within(1e-9).of(1.40)
    expect([reversed.effect(measure).effect, reversed.effect(measure).error])
      .to match([be_within(1e-9).of(counted.effect), be_within(1e-6).of(counted.error)])
    over = a_result(1.3, 1.1, 1.5, form: "estimate", measure: :risk_ratio, turned: true)
    expect(%w[76 77].map { |risk| over.with(typed: { **over.typed, risk: }).irreversible }).to match([nil, /between 0 and 100/])
    hazard = a_result(0.9, 0.8, 1.0, form: "estimate", measure: :hazard_ratio, turned: true)
    rate = a_result(9, 100, 12, 100, form: "events_over_time", turned: true)
    expect([hazard, rate].map(&:irreversible)).to match([/cannot be reversed/, /cannot be reversed/])
    odds = a_result(0.5, 0.3, 0.8, form: "estimate", measure: :odds_ratio, turned: true)
    expect([odds.irreversible, odds.effect(Hobrin::Appraisal::Outcome::Measure.fetch(:odds_ratio)).effect])
      .to match([nil, be_within(1e-9).of(Math.log(2))])
  end

  it "asks which number is meant where a comma may stand for thousands, and where a level is not 95" do
    asked = ->(text) { a_result(text, 300, 50, 900, 280, 50, form: "means_sd").questions }
    expect(asked["1,200"]).to eq({ mean: "Is this 1200 or 1.2? Enter it without the comma." })
    ["1.2", "1200", "0,125", "1,20", "12,5"].each { |text| expect([text, asked[text]]).to eq([text, {}]) }
    expect(a_result("1,200", 2000, 300, 2000).questions).to eq({})
    measure = Hobrin::Appraisal::Outcome::Measure.fetch(:risk_ratio)
    errors = [90, 95, 99].map do |level|
      a_result("0.64", "0.43", "0.95", "", "", level, form: "estimate", measure: :risk_ratio).effect(measure).error
    end
    expect(errors).to match([1.644854, 1.959964, 2.575829].map { |z| be_within(1e-6).of(Math.log(0.95 / 0.43) / 2 / z) })
  end

  # Sources: metafor 3.8-1 (spec/outside/designs.R); the design effect of the worked example of Higgins et al. (2019),
  # chapter 23 (from memory): 625 children in 21 classes, ICC 0.02.
  describe "of people who were not randomised one by one" do
    outside = JSON.parse(File.read(File.expand_path("../../fixtures/metafor/designs.json", __dir__)))
    allocation = Hobrin::Appraisal::Reported::Allocation
    measures = { "ratio" => :risk_ratio, "odds" => :odds_ratio, "difference" => :risk_difference }

    def near(values) = values.map { |value| be_within(1e-8 * [1, value.abs].max).of(value) }
    def both(result) = [result.effect, result.variance]
    def by(reported, measure) = both(reported.effect(Hobrin::Appraisal::Outcome::Measure.fetch(measure)))

    it "takes a crossover trial by the correlation of its pairs" do
      outside["means"].each do |set|
        numbers = set["m"].zip(set["sd"]).flat_map { |mean, deviation| [mean, deviation, set["n"]] }
        one = a_result(*numbers, form: "means_sd", allocation: allocation.new(kind: :crossover, correlation: set["r"]))
        expect(by(one, :mean_difference)).to match(near(set["said"]))
      end
      outside["pairs"].each do |set|
        numbers = set["events"].flat_map { |events| [events.round, set["n"]] }
        one = a_result(*numbers, allocation: allocation.new(kind: :crossover, correlation: set["r"]))
        measures.each { |key, measure| expect(by(one, measure)).to match(near(set[key])) }
        expect(one.people).to eq(set["n"])
      end
    end

    it "takes a cluster-randomised trial at its effective sample size" do
      outside["clusters"].each do |set|
        clustered = allocation.new(kind: :cluster, size: set["size"], icc: set["icc"])
        counted = a_result(*set["events"].zip(set["n"]).flatten, allocation: clustered)
        measures.each { |key, measure| expect(by(counted, measure)).to match(near(set[key])) }
        numbers = set["m"].zip(set["sd"], set["n"]).flatten
        expect(by(a_result(*numbers, form: "means_sd", allocation: clustered), :mean_difference)).to match(near(set["means"]))
      end
      example = allocation.new(kind: :cluster, size: 625 / 21.0, icc: 0.02)
      expect(example.design_effect).to be_within(0.001).of(1.576)
      one = a_result(63, 295, 84, 330, allocation: example)
      expect([one.effective_people, one.people]).to eq([397, 625])
      expect(example.words).to eq("cluster-randomised: mean cluster size 29.762, ICC 0.02, design effect 1.58")
      expect(allocation.new(kind: :cluster, size: 20).words).to include("ICC 0.05 (assumed), design effect 1.95")
      expect(allocation.new(kind: :cluster, size: 20, adjusted: true).design_effect).to eq(1.0)
    end

    it "splits a comparison group that several arms share, and refuses what cannot be" do
      halved = a_result(10, 50, 20, 100, allocation: allocation.new(shared: 2))
      expect(by(halved, :risk_ratio)).to match(near(by(a_result(10, 50, 10, 50), :risk_ratio)))
      { size: 1, icc: 1.1, correlation: -1.1, kind: "both", shared: 0 }.each do |field, value|
        expect { allocation.new(field => value) }.to raise_error(Hobrin::InputError)
      end
    end
  end
end
