# frozen_string_literal: true

# Source: ten open data sets of metadat 1.2-0 as metafor 3.8-1 pools them, computed by
# spec/outside/metafor.R. Every figure to six places of its own size.
RSpec.describe "Pooling" do
  s = Hobrin::Statistics
  outside = JSON.parse(File.read(File.expand_path("../../fixtures/metafor/pooling.json", __dir__)))

  def near(value)
    value.is_a?(Array) ? value.map { |one| near(one) } : be_within(1e-6 * [1.0, value.abs].max).of(value)
  end

  def tables(set)
    set["cells"].map do |a, b, c, d|
      Hobrin::Statistics::TwoByTwo.new(events: a, total: a + b, comparison_events: c, comparison_total: c + d)
    end
  end

  def results(set)
    case set["kind"]
    when "counts" then tables(set).filter_map { |table| Hobrin::Statistics::Effects::TwoGroups.call(table, set["measure"].to_sym) }
    when "means"
      set["groups"].map do |row|
        groups = row.each_slice(3).map { |size, mean, deviation| Hobrin::Statistics::Effects::Means::Group.new(size:, mean:, deviation:) }
        Hobrin::Statistics::Effects::Means.public_send(set["measure"], *groups)
      end
    else set["effects"].zip(set["variances"]).map { |effect, variance| Hobrin::Statistics::Pooling::Result.new(effect:, variance:) }
    end
  end

  def pool(some, how)
    knapp = { "knapp" => true, "adhoc" => :never_narrower }.fetch(how, false)
    tau2 = knapp ? :reml : how.to_sym
    Hobrin::Statistics::Pooling::InverseVariance.call(some, tau2: (tau2 unless how == "fixed"), hartung_knapp: knapp)
  end

  outside["sets"].each do |name, set|
    it "gives what metafor gives for #{name}" do
      some = results(set)
      expect([some.map(&:effect), some.map(&:variance)]).to match(near([set["effects"], set["variances"]]))
      set["fits"].each do |how, said|
        pooled = pool(some, how)
        figures = %w[estimate error low high statistic p tau2 i2 q q_p weights]
        expect([how, figures.map { |figure| pooled.public_send(figure) }]).to match([how, near(said.values_at(*figures))])
        next unless said["tau2_interval"]

        expect(pooled.prediction).to match(near(said["prediction"]))
        spread = s::Pooling::Heterogeneity.new(some)
        expect([spread.tau2_interval,
                spread.i2_interval]).to match(near(said.values_at("tau2_interval", "i2_interval")))
      end
      expect(s::Pooling::Comparisons.leave_one_out(some, tau2: :reml).map(&:estimate)).to match(near(set["leave_one_out"]))
      expect(s::Pooling::Comparisons.cumulative(some, tau2: :dl).map(&:estimate)).to match(near(set["cumulative"]))
      # The interval of Hartung and Knapp, too, from three studies on.
      knapp = ->(size) { { hartung_knapp: size > 2 && :never_narrower } }
      lines = { "leave_one_out_knapp" => s::Pooling::Comparisons.leave_one_out(some, tau2: :reml, &knapp),
                "cumulative_knapp" => s::Pooling::Comparisons.cumulative(some, tau2: :reml, &knapp).drop(2) }
      lines.each do |name, found|
        found.zip(set[name].last(found.size)).each do |one, wanted|
          next if wanted.include?("NA") # metafor's steps did not converge

          expect([name, one.estimate, one.low, one.high]).to match([name, *near(wanted)])
        end
      end
      expect(s::Pooling::SmallStudyEffects::Egger.call(some).to_h.values_at(:t, :df,
                                                                            :p)).to match(near(set["egger"].values_at("t", "df", "p")))
      expect(s::Pooling::SmallStudyEffects::Peters.call(some).to_h.values).to match(near(set["peters"].values)) if set["peters"]
    end
  end

  # Source: metafor's likelihood at the highest maximum that R's optimize finds
  # (spec/outside/restricted_likelihood.R); metafor's own steps end elsewhere in some of them.
  it "finds the highest maximum of the restricted likelihood in 2,000 random subsets" do
    highest = JSON.parse(File.read(File.expand_path("../../fixtures/metafor/restricted_likelihood.json", __dir__)))
    expect(highest["subsets"].size).to eq(2_000)
    expect(highest["subsets"].reject do |subset|
      some = subset["rows"].map do |row|
        effect, variance = highest["sets"][subset["set"]][row - 1].map(&:to_f)
        s::Pooling::Result.new(effect:, variance:)
      end
      pooled = s::Pooling::InverseVariance.call(some, tau2: :reml)
      near(subset.values_at("estimate", "low", "high")).zip([pooled.estimate, pooled.low, pooled.high])
                                                       .all? { |wanted, found| wanted.matches?(found) }
    end).to eq([])
  end

  it "weighs counts as Mantel and Haenszel do, and as Peto does" do
    outside["sets"].each_value.select { |set| set["kind"] == "counts" }.each do |set|
      measure = set["measure"].to_sym
      pooled = if measure == :peto_log_odds_ratio then s::Pooling::InverseVariance.call(results(set))
               else s::Pooling::MantelHaenszel.call(tables(set), measure)
               end
      expect([set["measure"], pooled.estimate,
              pooled.error]).to match([set["measure"], *near(set["pooled"].values_at("estimate", "error"))])
      expect(pooled.q).to match(near(set["pooled"]["q"])) unless set["cells"].flatten.include?(0)
    end
  end

  it "tests the difference between groups of studies" do
    groups = s::Pooling::Comparisons.groups(results(outside["sets"]["dat.bcg, RR"]), outside["groups"]["labels"], tau2: :reml)
    expect([groups.between, groups.p]).to match(near(outside["groups"].values_at("between", "p")))
  end

  # Against plain sums and properties, on a thousand random sets.
  describe "on random sets" do
    let(:random) { Random.new(16) }
    let(:sets) do
      Array.new(1_000) do
        scale = 10.0**random.rand(-6..6)
        Array.new(random.rand(1..12)) do
          s::Pooling::Result.new(effect: scale * random.rand(-2.0..2.0), variance: (scale**2) * random.rand(0.001..1.0))
        end
      end
    end

    it "gives plain sums, whatever the order, and a wider interval for effects that vary" do
      sets.each do |some|
        fixed = s::Pooling::InverseVariance.call(some)
        weights = some.map { |one| 1 / one.variance }
        expect(fixed.estimate).to be_within(1e-9 * fixed.error).of(some.zip(weights).sum { |one, weight|
          one.effect * weight
        } / weights.sum)
        turned = s::Pooling::InverseVariance.call(some.reverse, tau2: :dl)
        random = s::Pooling::InverseVariance.call(some, tau2: :dl)
        expect(turned.estimate).to be_within(1e-9 * random.error).of(random.estimate)
        expect(random.error).to be >= fixed.error * (1 - 1e-12)
        expect(random.weights.sum).to be_within(1e-9).of(1)
        low, high = some.map(&:effect).minmax
        expect(fixed.estimate).to be_between(low - 1e-12 * low.abs, high + 1e-12 * high.abs)
      end
    end

    it "finds τ² where each method says it is" do
      sets.select { |some| some.size > 2 }.first(300).each do |some|
        pm = s::Pooling::Tau2.new(some, :pm).call
        spread = s::Pooling::Heterogeneity.new(some)
        expect(spread.q(pm)).to be_within(1e-6 * some.size).of(some.size - 1) if pm.positive?
        reml = s::Pooling::Tau2.new(some, :reml).call
        likelihood = lambda do |tau2|
          weights = some.map { |one| 1 / (one.variance + tau2) }
          (weights.sum { |weight| Math.log(weight) } - Math.log(weights.sum) - spread.q(tau2)) / 2
        end
        step = 1e-4 * (reml + spread.typical)
        around = [likelihood[[reml - step, 0.0].max], likelihood[reml + step]].max
        expect(likelihood[reml]).to be >= around - 1e-7
      end
    end

    it "turns a ratio over when the groups change places, and odds when the outcome is its opposite" do
      300.times do
        a, b, c, d = Array.new(4) { random.rand(0..40) }
        next if (a + b).zero? || (c + d).zero?

        table = lambda { |one, two, three, four|
          s::TwoByTwo.new(events: one, total: one + two, comparison_events: three, comparison_total: three + four)
        }
        %i[log_risk_ratio log_odds_ratio risk_difference peto_log_odds_ratio].each do |measure|
          there, back = [table[a, b, c, d], table[c, d, a, b]].map { |one| s::Effects::TwoGroups.call(one, measure) }
          expect([measure, back&.effect,
                  back&.variance]).to match([measure, *(there ? near([-there.effect, there.variance]) : [nil, nil])])
        end
        odds, opposite = [table[a, b, c, d], table[b, a, d, c]].map { |one| s::Effects::TwoGroups.call(one, :log_odds_ratio) }
        expect(opposite&.effect.to_f).to be_within(1e-9).of(-odds&.effect.to_f)
      end
    end
  end

  it "takes one study, two, identical ones, and says what it cannot" do
    one = s::Pooling::Result.new(effect: 0.4, variance: 0.04)
    alone = s::Pooling::InverseVariance.call([one], tau2: :reml, hartung_knapp: true)
    expect(alone).to have_attributes(estimate: 0.4, error: be_within(1e-12).of(0.2), tau2: 0.0, i2: 0.0, df: nil,
                                     q_p: 1.0)
    same = s::Pooling::InverseVariance.call([one] * 8, tau2: :pm)
    expect(same).to have_attributes(tau2: 0.0, q: be_within(1e-20).of(0), i2: 0.0, estimate: be_within(1e-12).of(0.4))
    knapp = s::Pooling::InverseVariance.call([one] * 12, tau2: :reml, hartung_knapp: :never_narrower)
    expect([knapp.p, knapp.low, knapp.high]).to all(be_finite)
    expect(s::Pooling::SmallStudyEffects::Egger.call([one] * 12)).to be_nil
    others = Array.new(12) { |place| s::Pooling::Result.new(effect: 0.4, variance: 0.04 + place) }
    expect(s::Pooling::SmallStudyEffects::Egger.call(others)).to be_nil
    two, three = [2, 3].map { |size| s::Pooling::InverseVariance.call(others.first(size), tau2: :reml) }
    expect(two.prediction).to be_nil
    reach = s::Distributions::Student.quantile(0.975, 1) * Math.sqrt((three.error**2) + three.tau2)
    expect(three.prediction).to eq([three.estimate - reach, three.estimate + reach])
    expect { s::Pooling::InverseVariance.call([]) }.to raise_error(ArgumentError)
    expect { s::Pooling::Result.new(effect: Float::NAN, variance: 1.0) }.to raise_error(ArgumentError)
    expect(s::Pooling::MantelHaenszel.call([s::TwoByTwo.new(events: 0, total: 9, comparison_events: 0, comparison_total: 9)],
                                           :log_odds_ratio)).to be_nil
  end

  it "takes the middle of an odd number of values, and halfway between the middle two of an even one" do
    expect([[3, 1, 2], [0.5, 0.1], [4, 1, 3, 2], []].map { |values| s.median(values) }).to eq([2, 0.3, 2.5, nil])
  end

  # Source: printed tables of the distributions (from memory): 95 % points.
  it "knows the distributions" do
    distributions = s::Distributions
    points = [distributions::ChiSquared.quantile(0.95, 1), distributions::ChiSquared.quantile(0.95, 10),
              distributions::Student.quantile(0.975, 1), distributions::Student.quantile(0.975, 12),
              distributions::Normal.quantile(0.975)]
    expect(points.map { |value| value.round(4) }).to eq([3.8415, 18.307, 12.7062, 2.1788, 1.96])
    expect(s::Distributions::Normal.quantile(0.975)).to be_within(1e-12).of(s::Distributions::Normal::Z95)
  end
end
