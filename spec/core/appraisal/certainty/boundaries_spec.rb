# frozen_string_literal: true

# Each threshold of the reasons to rate down, on either side. The pools are stand-ins that weigh and differ as they are told,
# so that a share can be exactly a third.
RSpec.describe Hobrin::Appraisal::Certainty do
  effect = Struct.new(:estimate, :low, :high, :i2, :prediction, keyword_init: true)
  paper = Struct.new(:given, :near, :applies, keyword_init: true) { def concern(_kind) = given }
  study = Struct.new(:paper, :people, keyword_init: true) { def reported = self }
  pool = Struct.new(:studies, :pooled, :without, :effects, :test, keyword_init: true) do
    def weight_of(&) = studies.count(&).fdiv(studies.size)
    def without(&) = studies.all?(&) ? nil : self[:without]
    def measure = Hobrin::Appraisal::Outcome::Measure.fetch(:difference)
    def results = effects.map { |value| Struct.new(:effect).new(value) }
    def tests = nil
    def spread = Struct.new(:i2_interval).new([0.0, 0.9])
    def small_study_test = ["Peters' test", test && Struct.new(:p).new(test)]
    def enough_to_test? = false
  end
  less = effect.new(estimate: -0.5, low: -0.8, high: -0.2)
  unclear = effect.new(estimate: -0.2, low: -0.6, high: 0.2)

  describe Hobrin::Appraisal::Certainty::RiskOfBias do
    rated = lambda do |*concerns, left: less|
      studies = concerns.map { |given| study.new(paper: paper.new(given:)) }
      described_class.of(pool.new(studies:, pooled: less, without: left), "treatment").first
    end

    it "rates down from more than a third of high concern on, and from less than a third of low concern" do
      expect([rated[:high, :low, :low], rated[:high, :high, :low, :low, :low]]).to eq([0, -1])
      expect([rated[:some, :some, :low], rated[:some, :some, :some, :low]]).to eq([0, -1])
      expect(rated[:some, :some, nil]).to eq(0)
    end

    it "rates down where the direction is lost without any of high concern, by two from more than two thirds on" do
      expect([rated[:high, :low, :low, :low, left: unclear], rated[:low, :low, left: unclear]]).to eq([-1, 0])
      expect([rated[:high, :high, :low, left: unclear], rated[:high, :high, :high, :low, left: unclear]]).to eq([-1, -2])
      expect(rated[:high, :high, :high, :low]).to eq(-1)
    end
  end

  describe Hobrin::Appraisal::Certainty::Indirectness do
    rated = lambda do |*nears, parts: 1|
      applies = %i[people place].first(parts).to_h { |part| [part, :far] }
      studies = nears.map { |near| study.new(paper: paper.new(near:, applies: near == :far ? applies : {})) }
      described_class.of(pool.new(studies:)).first
    end

    it "rates down from more than a third on, by two from more than two thirds and two parts on" do
      expect([rated[:far, :same, :same], rated[:far, :far, :same, :same, :same]]).to eq([0, -1])
      expect([rated[:far, :far, :same, parts: 2], rated[:far, :far, :far, :same, parts: 2]]).to eq([-1, -2])
      expect(rated[:far, :far, :far, :same]).to eq(-1)
    end
  end

  describe Hobrin::Appraisal::Certainty::Inconsistency do
    rated = lambda do |i2, effects: [-1, 1, -1, -1, -1], prediction: nil|
      pooled = effect.new(estimate: -0.5, low: -0.8, high: -0.2, i2:, prediction:)
      described_class.of(pool.new(studies: effects, effects:, pooled:)).first
    end

    it "rates down from more than half beyond chance on, where papers lie on both sides" do
      expect([rated[0.5], rated[0.51], rated[0.51, effects: [-1] * 5]]).to eq([0, -1, 0])
    end

    it "rates down for an opposite prediction of five papers or more, by two from more than three quarters on" do
      opposite = [-1.2, 0.3]
      expect([rated[0.2, prediction: opposite], rated[0.2, prediction: [-1.2, -0.1]]]).to eq([-1, 0])
      expect([rated[0.2, effects: [-1, 1, -1, -1], prediction: opposite]]).to eq([0])
      expect([rated[0.75, prediction: opposite], rated[0.76, prediction: opposite]]).to eq([-1, -2])
      expect(rated[0.76, prediction: [-1.2, -0.1]]).to eq(-1)
    end

    it "rates down where nothing is pooled and papers lie on both sides" do
      single = ->(*effects) { described_class.of(pool.new(studies: effects, effects:)).first }
      expect([single[-1, -1], single[1, 1], single[-1, 1], single[-1, -1, 1]]).to eq([0, 0, -1, -1])
    end

    it "rates shares down from more than 30 of 100 apart on" do
      shares = lambda do |*all|
        effects = all.map { |share| Math.log(share / (1 - share)) }
        of_share = pool.new(studies: effects, effects:, pooled: effect.new(i2: 0.5))
        of_share.define_singleton_method(:measure) { Hobrin::Appraisal::Outcome::Measure.fetch(:share) }
        described_class.of(of_share).first
      end
      expect([shares[0.1, 0.399], shares[0.1, 0.401]]).to eq([0, -1])
    end
  end

  describe Hobrin::Appraisal::Certainty::PublicationBias do
    rated = lambda do |people, test: nil, protocols: 0, effects: people.map { -1 }|
      studies = people.map { |count| study.new(people: count) }
      described_class.of(pool.new(studies:, effects:, test:), protocols).first
    end
    large = [500] * 4

    it "rates down for a test below 0.1, for five small papers on one side, and for half as many protocols" do
      expect([rated[large, test: 0.1], rated[large, test: 0.099]]).to eq([0, -1])
      expect([rated[[99] * 4], rated[[99] * 5], rated[[99, 99, 99, 99, 100]]]).to eq([0, -1, 0])
      expect(rated[[99] * 5, effects: [-1, -1, 1, -1, -1]]).to eq(0)
      expect([rated[large, protocols: 1], rated[large, protocols: 2]]).to eq([0, -1])
      expect([rated[large + [500], protocols: 2], rated[[500], protocols: 1]]).to eq([0, 0])
    end
  end
end
