# frozen_string_literal: true

RSpec.describe "What Word works with" do
  Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings)

  # Source: Dunning 1993, Computational Linguistics 19(1), table 1 (from memory): k(AB), k(A ~B),
  # k(~A B), k(~A ~B).
  { [110, 2442, 111, 29_114] => 270.72, [29, 13, 123, 31_612] => 263.90, [31, 23, 139, 31_584] => 256.84,
    [10, 0, 3, 31_764] => 167.23 }.each do |(both, left, right, neither), ratio|
    it "finds Dunning's #{ratio}" do
      found = Hobrin::Statistics::LogLikelihood.call(both, both + left, right, right + neither)
      expect(found).to be_within(0.006).of(ratio)
    end
  end

  it "is nothing for equal shares, and below nothing for the smaller one" do
    expect(Hobrin::Statistics::LogLikelihood.call(5, 10, 50, 100)).to be_within(1e-9).of(0)
    expect(Hobrin::Statistics::LogLikelihood.call(1, 10, 90, 100)).to be_negative
  end

  describe Hobrin::Statistics::Circles do
    # Source: the lens of two unit circles through each other's centres, 2π/3 - √3/2 (plane
    # geometry).
    it "knows the area of a lens" do
      expect(described_class.lens(1.0, 1.0,
                                  1.0)).to be_within(1e-9).of((2 * Math::PI / 3) - (Math.sqrt(3) / 2))
      expect([described_class.lens(1.0, 0.5, 2.0),
              described_class.lens(1.0, 0.5, 0.2)]).to eq([0.0, Math::PI / 4])
    end

    it "draws two sets exactly, three by their pairs, and says how far off the rest is" do
      random = Random.new(1880)
      100.times do
        sets = Array.new(random.rand(2..3)) do
          Array.new(random.rand(1..80)) do
            random.rand(1..120)
          end.uniq
        end
        overlap = Hobrin::Retrieval::Overlap.of(sets.map { |numbers| a_set(*numbers) })
        expect(overlap.regions).to eq(regions(sets))
        drawn = described_class.of(overlap.regions)
        expect(drawn.error).to be < (sets.size == 2 ? 0.02 : 1.2)
        shares = drawn.circles.map { |one| one.radius**2 }
        expect(shares.map { |share| share / shares.max }).to match(sets.map { |one|
          be_within(1e-9).of(one.size.to_f / sets.map(&:size).max)
        })
        next unless sets.size == 2

        one, two = drawn.circles
        shared = described_class.lens(one.radius, two.radius,
                                      Math.hypot(one.x - two.x, one.y - two.y)) / Math::PI * sets.map(&:size).max
        expect(shared).to be_within(0.01).of((sets[0] & sets[1]).size)
      end
    end

    def regions(sets)
      places = sets.each_index.to_a
      keys = (1..places.size).flat_map { |size| places.combination(size).to_a }
      keys.to_h do |key|
        [key, sets.flatten.uniq.count do |number|
                places.select do |place|
                  sets[place].include?(number)
                end == key
              end]
      end
    end
  end

  # a word or phrase => other ways that must be among those tried, whatever else is
  { "oedema" => %w[edema], "pediatric" => %w[paediatric], "anaesthetised" => %w[anesthetized],
    "behavior" => %w[behaviour],
    "centre" => %w[center], "counseling" => %w[counselling], "haemorrhage" => %w[hemorrhage],
    "mobilization" => %w[mobilisation],
    "diarrhea" => %w[diarrhoea], "randomised" => %w[randomized], "tumor" => %w[tumour], "esophageal" => %w[oesophageal],
    "catheterisation" => %w[catheterization], "leukaemia" => %w[leukemia], "orthopaedic" => %w[orthopedic],
    "child" => %w[children], "diagnoses" => %w[diagnosis], "pressure ulcer" => ["pressure ulcers"],
    "ear plug" => %w[earplug] + ["ear plugs"], "earplug" => ["ear plug"], "eye mask" => %w[eyemask] }
    .each do |text, others|
    it "tries #{others.join(", ")} beside #{text}, and the other way round" do
      expect(Hobrin::Text::Variants.new(text).call.map(&:text)).to include(*others)
      others.first(1).each { |other| expect(Hobrin::Text::Variants.new(other).call.map(&:text)).to include(text) }
    end
  end

  describe Hobrin::Strategy::PastedList do
    def read(text)
      vocabulary = Hobrin::Strategy::Vocabulary.new(thesaurus: Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings))
      described_class.read(text,
                           thesaurus: Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings), vocabulary:)
    end

    # what was pasted => headings (Symbols) and words read from it
    { "Delirium\nsleep*\r\n\n  eye mask" => [:Delirium, "sleep*", "eye mask"],
      "1. acute confusion\n2) noise*" => [:Delirium, "noise*"],
      "- earplug*\n• quiet time" => ["earplug*", :"Quiet Time"],
      "(earplug* OR \"eye mask*\" or masks)" => ["earplug*", "eye mask*", "masks"],
      "sleep; sleep ;\"Delirium\"" => [:Sleep, "delirium"],
      "dc.title = noise or hobrin.text = deliri*" => ["noise", "deliri*"] }
      .each do |text, leaves|
      it "reads #{text.inspect}" do
        list = read(text)
        expect(list.leaves.map do |leaf|
          leaf.is_a?(Hobrin::Strategy::Heading) ? leaf.label.to_sym : leaf.text
        end).to eq(leaves)
        expect(list.refused).to eq([])
      end
    end

    it "names what it cannot read and keeps the rest, and refuses what is no list" do
      list = read("noise\nea*\nsleep AND noise\n#{"long " * 30}")
      expect([list.leaves.size,
              list.refused.map(&:first)]).to eq([1,
                                                 ["ea*", "sleep AND noise", ("long " * 30).strip]])
      ["", " \n;\"\" ", "x\n" * 201, "dc.title = noise and dc.title = sleep", "dc.title = (noise",
       "dc.nothing = x"].each do |text|
        expect { read(text) }.to raise_error(Hobrin::InputError)
      end
    end
  end
end
