# frozen_string_literal: true

RSpec.describe Hobrin::Store::Inquiries::TrailStates::Differences do
  # Plain data, at most so deep.
  def anything(random, depth = 3)
    case random.rand(depth.positive? ? 6 : 4)
    when 0 then random.rand(5)
    when 1 then %w[a b c d].sample(random:)
    when 2 then [nil, true, false, 1.5].sample(random:)
    when 3 then ""
    when 4 then Array.new(random.rand(6)) { anything(random, depth - 1) }
    else Array.new(random.rand(5)) { |place| ["k#{place}", anything(random, depth - 1)] }.to_h
    end
  end

  # Something near to what it was.
  def near(data, random)
    case data
    when Hash then data.reject { random.rand(6).zero? }.transform_values { |value| random.rand(3).zero? ? near(value, random) : value }
    when Array
      moved = random.rand(4).zero? ? data.shuffle(random:) : data
      kept = moved.reject { random.rand(8).zero? }.map { |value| random.rand(5).zero? ? near(value, random) : value }
      random.rand(3).zero? ? kept.insert(random.rand(kept.size + 1), anything(random, 1)) : kept
    else anything(random, 1)
    end
  end

  it "leads from any data to any other, and leaves what was before as it is" do
    random = Random.new(18)
    1_000.times do
      before = anything(random, 4)
      after = random.rand(3).zero? ? anything(random, 4) : near(before, random)
      copy = JSON.parse(JSON.generate(before))
      differences = JSON.parse(JSON.generate(described_class.between(before, after)))
      expect(described_class.apply(before, differences)).to eq(after)
      expect(before).to eq(copy)
      expect(differences).to eq([]) if before == after
    end
  end

  it "is small where little changed: a decision that is new, changed or taken back among five thousand" do
    decisions = Array.new(5_000) { |place| { "record" => "10.5555/#{place}", "verdict" => "drop", "reason" => "No study", "note" => "" } }
    changed = decisions[9].merge("verdict" => "keep")
    { [*decisions, changed] => 140, decisions.reject.with_index { |_, place| place == 9 } => 60,
      [*decisions.reject.with_index { |_, place| place == 9 }, changed] => 160,
      decisions.each_with_index.map { |one, place| place == 9 ? changed : one } => 60 }.each do |after, most|
      data = [decisions, after].map { |list| { "decisions" => list, "rest" => { "a" => 1 } } }
      expect(JSON.generate(described_class.between(*data)).bytesize).to be <= most
    end
  end
end
