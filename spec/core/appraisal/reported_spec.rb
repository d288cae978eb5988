# frozen_string_literal: true

# What people type for the numbers of a paper.
RSpec.describe Hobrin::Appraisal::Reported do
  include WeighingHelp

  typed = described_class::Typed

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
    ["counts", ["1", "", "1", "9"], { total: /Write the number/ }],
    ["means_sd", %w[5 0 20 5 2 20], { deviation: /above 0/ }],
    ["means_sd", %w[5 2 1 5 -2 20], { size: /2 people/, comparison_deviation: /above 0/ }],
    ["means_sd", %w[five 2 20 5 2 20], { mean: /number, such as/ }],
    ["means_interval", %w[5 6 4 20 5 4 6 20], { mean: /below the 6/, high: /below/ }],
    ["means_interval", %w[5 5 5 20 5 4 6 20], { high: /nothing varies/ }],
    ["medians_quartiles", %w[4 3 6 20 3 4 6 20], { median: /below the 4/ }],
    ["medians_both", %w[9 3 4 6 8 20 1 3 4 6 8 20], { lower: /below the 9/ }],
    ["events_over_time", %w[3 0 5 100], { time: /above 0/ }], ["one_group", %w[9 8], { events: /more than the 8/ }],
    ["four_cells", %w[0 0 3 4], { false_negatives: /has the condition/ }],
    ["estimate", %w[0.8 1.1 0.6], { high: /lower end stands first/ }],
    ["estimate", %w[2.8 0.6 1.1], { value: /outside its own/ }],
    ["estimate", %w[0.8], { low: /interval, or its p/ }], ["estimate", %w[0.8 0.6], { high: /both ends/ }],
    ["estimate", %w[-0.8 0.6 1.1], { value: /above 0/ }], ["estimate", ["0.8", "", "", "1.2"], { p: /below 1/ }],
    ["estimate", ["1", "", "", "0.5"], { value: /tells nothing/ }]
  ]
  refused.each do |form, numbers, messages|
    it "refuses #{numbers.join(" ")} as #{form} at #{messages.keys.join(", ")}" do
      expect do
        a_result(*numbers, form:, measure: (:risk_ratio if form == "estimate"))
      end.to raise_error(Hobrin::InputError) { |error|
               expect(error.errors).to match(messages.transform_values { |words|
                 match(words)
               })
             }
    end
  end

  it "doubts what is possible and seldom true" do
    expect(a_result(5.0, 0.2, 60, 6.0, 0.2, 60,
                    form: "means_sd").doubts.join).to include("standard errors typed as deviations")
    expect(a_result(5.0, 0.2, 60, 5.1, 2, 60, form: "means_sd").doubts.join).to include("4 times")
    expect(a_result("0.80", "0.62", "1.30", form: "estimate",
                                            measure: :risk_ratio).doubts.join).to include("not even")
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
    tried = Hobrin::Appraisal::Outcome::Kind::ALL.reject do |kind|
      kind.key == "test"
    end.flat_map do |kind|
      kind.measures.product(kind.forms).map do |measure, form|
        one = a_result(*numbers.fetch(form), form:, measure: (measure if form == "estimate"))
        effect = one.effect(Hobrin::Appraisal::Outcome::Measure.fetch(measure))
        turned = one.with(turned: true).effect(Hobrin::Appraisal::Outcome::Measure.fetch(measure))
        printed = form == "estimate" && !Hobrin::Appraisal::Outcome::Measure.fetch(measure).ratio?
        falls = printed ? be_positive : be_negative
        expect([kind.key, measure, form, effect.effect]).to match([kind.key, measure, form, falls])
        expect(turned.effect.positive?).to eq(effect.effect.negative?)
      end
    end
    expect(tried.size).to eq(30)
  end
end
