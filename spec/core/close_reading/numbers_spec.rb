# frozen_string_literal: true

RSpec.describe Hobrin::CloseReading::Numbers do
  def found(text) = described_class.call(Hobrin::CloseReading::Passage.new(text))

  it "lets every abstract of the sample pass that adds up, and tells of the one that does not",
     :sample do
    told = SampleHome.records.filter_map do |record|
      disagreements = found(record.abstract)
      [record.id.delete_prefix("10.5555/hobrin."), disagreements.map(&:kind)] if disagreements.any?
    end
    expect(told).to eq([["trial-2017-surgery", [:share]]])
  end

  # Each slip is planted in an honest abstract of the sample, by making one number another. All of
  # them are ours: they show that each kind is found, not how often papers have them.
  describe "a planted slip" do
    let(:honest) { SampleHome.records.filter_map(&:abstract) }
    let(:slips) do
      { share: [/(\d+ of \d+) \((\d+)\.(\d)%\)/, ->(m) { "#{m[1]} (#{m[2].to_i + 2}.#{m[3]}%)" }],
        more_than_all: [/(?<!\.)\b(\d+) of (\d+) \(/, ->(m) { "#{m[2].to_i + 7} of #{m[2]} (" }],
        groups: [/(\d+) people took part/, ->(m) { "#{m[1].to_i + 31} people took part" }],
        ratio: [/risk ratio (\d)\.(\d\d)/, ->(m) { "risk ratio #{m[1].to_i + 3}.#{m[2]}" }],
        limits: [/CI (\S+) to (\d+\.\d+)/, ->(m) { "CI #{m[2]} to #{m[1]}" }],
        interval: [/hazard ratio (\d)\.(\d\d)/, ->(m) { "hazard ratio #{m[1].to_i + 3}.#{m[2]}" }],
        difference: [/rated (\d)\.(\d) \(SD/, ->(m) { "rated #{m[1].to_i + 4}.#{m[2]} (SD" }],
        mean: [/rated \d\.(\d) \(SD/, ->(m) { "rated 11.#{m[1]} (SD" }],
        deviation: [/\(SD (\d)\.(\d)\)/, ->(m) { "(SD #{m[1].to_i + 7}.#{m[2]})" }],
        cells: [/(\d+) true and/, ->(m) { "#{m[1].to_i + 3} true and" }],
        cost: [/, (\d+) for all/, ->(m) { ", #{m[1].to_i + 100} for all" }],
        grim: [/rated (\d\.\d) \(SD (\d\.\d)\) in \d+/, ->(m) { "rated #{m[1]}7 (SD #{m[2]}) in 20" }],
        p_value: [/(ratio 0\.\d\d, 95% CI 0\.\d\d to 0\.[0-8]\d)(?=\.)/, ->(m) { "#{m[1]}, p = 0.41" }],
        no_p_value: [/(?<=CI 0\.\d\d to 0\.\d\d)\./, ->(_) { "; p = 1.20." }] }
    end

    it "is found, whichever of fourteen kinds it is", :slow do
      slips.each do |kind, (pattern, slip)|
        able = honest.grep(pattern).first(40)
        missed = able.reject do |text|
          found(text.sub(pattern) { slip.call(Regexp.last_match) }).any? { |one| one.kind == kind }
        end
        expect([kind, able.size, missed.first]).to match([kind, be >= 5, nil])
      end
    end
  end

  # Ours; see the head of the file for what is held out.
  it "finds slips in abstracts as journals print them, and none in clean ones" do
    texts = YAML.safe_load_file(File.expand_path("../../fixtures/slips.yml", __dir__))
    missed = texts["slips"].reject { |kind, text| found(text).map(&:kind).include?(kind.to_sym) }
    expect(missed).to eq([])
    expect(texts["clean"].to_h { |text| [text, found(text).map(&:worked_out)] }.reject { |_, said| said.empty? }).to eq({})
  end

  # Brown and Heathers, Soc Psychol Personal Sci 2017;8:363: their worked example.
  it "knows which means whole numbers can have" do
    text = "On a scale from 0 to 10, sleep was rated %s (SD 2.0) in 20 with earplugs."
    expect(found(format(text, "3.45"))).to eq([])
    expect(found(format(text, "3.47")).map { |one| [one.kind, one.says, one.worked_out] })
      .to eq([[:grim, "3.47 (SD 2.0) in 20", "whole numbers of 20 give 3.45 or 3.50"]])
  end

  # Against a plain way: a share is right when some count of a whole, rounded, gives what is
  # printed.
  it "agrees with counting on every share of up to sixty people" do
    told = (1..60).flat_map do |whole|
      (0..99).map do |percent|
        [whole, percent]
      end
    end.select do |whole, percent|
      possible = (0..whole).any? { |part| ((100.0 * part / whole) - percent).abs <= 0.5 + 1e-9 }
      found("In all, #{percent}% of #{whole} slept.").any? == possible
    end
    expect(told).to eq([])
  end

  it "lets alone what only looks like a slip" do
    ["Sleep was rated 58 of 100 and 46 of 100.", "Of 40 units, 12 of 30 answered in spring.",
     "The dose was 5 to 3 of 10.",
     "RR 0.80 (95% CI 0.62 to 1.03; p = 0.09).", "Risk ratio 0.79 (95% CI 0.63–0.99), p=0.04.", "7 (14.3%) of 49 fell.",
     "19.1% (31/162) had delirium.", "1,012 of 2,024 (50%) slept.", "OR 1·20 (95% CI 0·85, 1·70).",
     "Mean difference −0.80 (95% CI −1.20 to −0.40); p < 0.001.", "We read on page 3 of 2."]
      .each do |text|
      expect([text, found(text).map(&:to_h)]).to eq([text, []])
    end
  end
end
