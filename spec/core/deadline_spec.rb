# frozen_string_literal: true

RSpec.describe Hobrin::Deadline do
  let(:seconds) { [0] }
  let(:clock) { -> { seconds.first } }

  def late(by) = seconds[0] += by

  it "ends what asks too late, and nothing that asks in time" do
    expect(described_class.within(15, clock) { late(15).then { described_class.check } }).to be_nil
    expect { described_class.within(15, clock) { late(15.1).then { described_class.check } } }.to raise_error(described_class::Passed)
  end

  it "holds for the block and its thread alone, and never later than the one around it" do
    described_class.within(5, clock) do
      described_class.within(60, clock) do
        late(6)
        expect { described_class.check }.to raise_error(described_class::Passed)
        expect(Thread.new { described_class.check }.value).to be_nil
      end
    end
    expect(described_class.check).to be_nil
  end

  it "is asked by the loops that can be long: searches, what-ifs, learning, pooling, statements and rows" do
    over = ->(&work) { described_class.within(-1, clock, &work) }
    evaluator = Hobrin::Retrieval::Evaluator.new(index: nil, thesaurus: Hobrin::Thesaurus.new([]))
    studies = [[0.1, 0.2], [0.4, 0.1]].map { |effect, variance| Hobrin::Statistics::Pooling::Result.new(effect:, variance:) }
    works = [-> { evaluator.call(Hobrin::Strategy::Everything.new) },
             -> { Hobrin::Statistics::Pooling::Tau2.new(studies, :reml).call },
             -> { Hobrin::Screening::Prediction.new([[{ "a" => 1.0 }, true], [{ "b" => 1.0 }, false]]) }]
    works.each { |work| expect { over.call(&work) }.to raise_error(described_class::Passed) }
    with_home do |context|
      expect { over.call { context.inquiries.all } }.to raise_error(described_class::Passed)
      expect(context.inquiries.all).to eq([])
    end
  end
end
