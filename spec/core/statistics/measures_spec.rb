# frozen_string_literal: true

# Source: metafor 3.8-1 on open data sets of metadat 1.2-0, epiR 2.0.57, and R's qnorm, computed by
# spec/outside/measures.R. Every figure to six places of its own size.
RSpec.describe "Measures" do
  s = Hobrin::Statistics
  outside = JSON.parse(File.read(File.expand_path("../../fixtures/metafor/measures.json", __dir__)))

  def near(value, by = 1e-6)
    value.is_a?(Array) ? value.map { |one| near(one, by) } : be_within(by * [1.0, value.abs].max).of(value)
  end

  def ends(interval) = [interval.estimate, interval.low, interval.high]

  outside["rates"].each do |measure, said|
    it "gives and pools the #{measure} that metafor gives" do
      results = said["rows"].map { |row| s::Effects::Rates.call(*row, measure.to_sym) }
      expect([results.map(&:effect),
              results.map(&:variance)]).to match(near([said["effects"], said["variances"]]))
      pooled = s::Pooling::InverseVariance.call(results, tau2: :reml)
      expect([pooled.estimate, pooled.error, pooled.tau2,
              pooled.q]).to match(near(said.values_at("estimate", "error", "tau2", "q")))
    end
  end

  outside["shares"].each do |name, said|
    it "pools the shares of #{name} as metafor does" do
      results = said["rows"].map { |events, total| s::Proportions::Shares.call(events, total) }
      expect([results.map(&:effect),
              results.map(&:variance)]).to match(near([said["effects"], said["variances"]]))
      pooled = s::Pooling::InverseVariance.call(results, tau2: :reml)
      expect([pooled.estimate, pooled.error,
              pooled.tau2]).to match(near(said.values_at("estimate", "error", "tau2")))
    end
  end

  outside["bivariate"].each do |name, said|
    it "pools the tests of #{name} as metafor's multivariate model does" do
      pooled = s::Pooling::Bivariate.new(said["rows"].map { |row| accuracy(*row) }).call
      expect(pooled.converged).to be(true)
      expect(pooled.middle).to match(near(said["middle"]))
      errors = [0, 1].map { |place| Math.sqrt(pooled.covariance[place, place]) }
      expect(errors).to match(near(said["errors"]))
      expect([pooled.covariance[0, 1], pooled.between[0, 0], pooled.between[1, 1],
              pooled.correlation]).to match(near([said["covariance"], *said["tau2"], said["rho"]],
                                                 1e-5))
    end
  end

  def accuracy(found, alarmed, missed, cleared)
    Hobrin::Statistics::Accuracy.new(true_positives: found, false_positives: alarmed, false_negatives: missed,
                                     true_negatives: cleared)
  end

  it "tells how often a test is right as epiR does" do
    outside["tests"].each do |said|
      test = accuracy(*said["cells"])
      sensitivity, specificity = [test.sensitivity.estimate, test.specificity.estimate]
      expect([sensitivity,
              specificity]).to match(near(said.values_at("sensitivity", "specificity")))
      expect([ends(test.positive_ratio), ends(test.negative_ratio), test.odds_ratio.estimate])
        .to match(near(said.values_at("positive_ratio", "negative_ratio", "odds_ratio")))
      prevalence = test.ill.fdiv(test.people)
      values = %i[positive negative].map do |name|
        s::Accuracy::PredictiveValues.public_send(name, sensitivity, specificity, prevalence)
      end
      expect(values).to match(near(said.values_at("positive", "negative")))
    end
    outside["wilson"].each do |said|
      expect(ends(s::Proportions::Wilson.call(said["events"], said["total"]))).to match(near(said["interval"]))
    end
  end

  it "makes means and standard deviations of medians, ranges and intervals by the published formulas" do
    outside["spread"].each do |said|
      size, (least, lower, median, upper, most) = said.values_at("n", "five")
      { "range" => s::Spread.from_range(size, least, median, most),
        "both" => s::Spread.from_both(size, least, lower, median, upper, most),
        "quartiles" => s::Spread.from_quartiles(size, lower, median, upper) }.each do |name, group|
        expect([name, group.mean, group.deviation]).to match([name, *near(said[name])])
      end
      expect(s::Spread.from_interval(size, 30, lower,
                                     upper).deviation).to match(near(said["interval"]))
    end
  end

  # Source: Fagan, N Engl J Med 1975;293:257 in its arithmetic: 0.30 and LR+ 6 give 0.72; 0.10 and
  # LR− 0.1 give 0.011.
  it "turns a chance before a test into one after it" do
    expect(s::Accuracy::PredictiveValues.positive(0.9, 0.85, 0.3)).to be_within(0.005).of(0.72)
    expect(1 - s::Accuracy::PredictiveValues.negative(0.91, 0.9, 0.1)).to be_within(0.0005).of(0.011)
  end

  describe "on random numbers" do
    let(:random) { Random.new(61) }

    it "gives back an effect from its own interval, error and p-value" do
      1000.times do
        result = s::Pooling::Result.new(effect: random.rand(0.2..2.0) * [1, -1].sample(random:),
                                        variance: random.rand(0.001..0.5))
        reach = s::Distributions::Normal::Z95 * result.error
        p_value = s::Distributions::Normal.two_sided(result.effect / result.error)
        [true, false].each do |ratio|
          value, low, high = [0, -reach, reach].map do |way|
            ratio ? Math.exp(result.effect + way) : result.effect + way
          end
          made = [s::Effects::ReadyMade.from_interval(value, low, high, ratio:),
                  s::Effects::ReadyMade.from_error(value, result.error, ratio:)]
          made << s::Effects::ReadyMade.from_p(value, p_value, ratio:) if p_value.between?(1e-12, 0.9)
          expect(made.flat_map { |one| [one.effect, one.variance] }).to match(near([result.effect, result.variance] * made.size))
        end
      end
    end

    it "puts groups together as if their values had been in one" do
      200.times do
        parts = Array.new(random.rand(2..4)) { Array.new(random.rand(2..30)) { random.rand * 10 } }
        groups = parts.map { |values| s::Effects::Means::Group.new(size: values.size, mean: mean(values), deviation: deviation(values)) }
        one = s::Spread.together(groups)
        expect([one.size, one.mean,
                one.deviation]).to match(near([parts.flatten.size, mean(parts.flatten),
                                               deviation(parts.flatten)]))
      end
    end

    def mean(values) = values.sum / values.size

    def deviation(values)
      Math.sqrt(values.sum { |value| (value - mean(values))**2 } / (values.size - 1))
    end

    it "counts every one of a thousand people once, and says when tests could only be pooled apart" do
      300.times do
        values = s::Accuracy::PredictiveValues.of(sensitivity: random.rand, specificity: random.rand,
                                                  prevalence: random.rand)
        expect(values.found + values.missed + values.alarmed + values.cleared).to eq(1000)
        expect([values.found + values.missed,
                values.alarmed + values.cleared]).to eq([values.ill, values.well])
      end
      [1, 2, 4].each do |size|
        pooled = s::Pooling::Bivariate.new(Array.new(size) { accuracy(90, 10, 10, 90) }).call
        expect([pooled.sensitivity.estimate,
                pooled.specificity.estimate]).to match(near([0.9, 0.9]))
        expect(pooled.converged).to be(false)
      end
      hostile = Array.new(5) { |place| accuracy(place, 0, 1, 10**place) }
      expect(s::Pooling::Bivariate.new(hostile).call.sensitivity.estimate).to be_between(0, 1)
    end
  end
end
