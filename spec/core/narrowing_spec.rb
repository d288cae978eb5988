# frozen_string_literal: true

# The cascade and what stands beside it, against a reading of the records one by one.
RSpec.describe Hobrin::Narrowing, :small_sample, :slow do
  let(:strategies) { RandomStrategies.new(2_026, context.library.thesaurus, records) }
  let(:evaluator) { context.evaluator }
  let(:today) { Date.new(2026, 11, 23) }

  # An inquiry by chance: two blocks, either of them taken away or left out at times, limits, papers
  # let in by hand.
  def inquiry
    question = Hobrin::Question.ask("Sleep and noise?").marked("P", "Sleep").marked("O", "noise")
    blocks = [strategies.block("P"),
              strategies.block("O").with_operator(strategies.pick(%i[and and not out]))]
    Hobrin::Inquiry.new(question:, blocks:, limits: strategies.limits, order: strategies.pick([[], %w[O P], ["O"]]),
                        included_ids: strategies.pick([[], strategies.some(records).map(&:id)]))
  end

  def previews(one, **rest)
    Hobrin::Narrowing::Previews.new(cascade: one.cascade(evaluator), limits: one.limits,
                                    evaluator:, today:, **rest)
  end

  it "loses in the cascade, step by step, exactly the difference of its ends, and ends where the whole search does" do
    100.times do
      one = inquiry
      cascade = one.cascade(evaluator)
      next expect(one.tree).to be_nil if cascade.steps.empty?

      last = cascade.steps.last.set
      expect(cascade.steps.first.size - cascade.steps.sum { |step| step.removed.size })
        .to eq(last.size)
      by_hand = records.each_index.select { |place| one.included_ids.include?(records[place].id) }.map(&:succ)
      expect([cascade.included.to_a, cascade.final.to_a]).to eq([by_hand, plain.call(one.tree)])
      expect(cascade.final.to_a).to eq((last.to_a | by_hand).sort)
    end
  end

  it "ends alike in whatever order blocks and limits stand" do
    40.times do
      one = inquiry
      turned = one.with(limits: one.limits.reverse, order: one.ordered_blocks.map(&:key).reverse)
      expect(turned.cascade(evaluator).final).to eq(one.cascade(evaluator).final)
      block = one.block("O")
      expect(block.switched.operator).to eq(block.operator == :out ? block.previous_operator : :out)
      expect(one.block("O").switched.switched).to eq(one.block("O"))
    end
  end

  it "previews for every unused limit exactly what putting it on then leaves, and which known papers it loses" do
    12.times do
      one = inquiry
      now = one.cascade(evaluator).final
      must_find = a_set(*now.first(9), 3, 30)
      all = previews(one, must_find:).call(Hobrin::Narrowing::Previews::ALL)
      expect(all.values_at(:dates, :added).map(&:size)).to all(be >= 1)
      all.values.flatten.sample(25, random: Random.new(4)).each do |preview|
        after = one.with_limit(preview.leaf).tree.then { |tree| tree ? plain.call(tree) : [] }
        lost = (must_find & now).to_a - after
        expect([preview.leaf, preview.size, preview.change, preview.lost])
          .to eq([preview.leaf, after.size, after.size - now.size, lost.size])
      end
    end
  end

  it "counts the papers of each year as they would be with other dates" do
    20.times do
      one = inquiry
      others = one.with(limits: one.limits.reject { |limit| limit.name == :dates }, included_ids: [])
      found = others.tree ? plain.call(others.tree).map { |number| records[number - 1] } : []
      found |= records.select { |record| one.included_ids.include?(record.id) }
      years = Hobrin::Narrowing::Previews::PerYear.of(one.cascade(evaluator), evaluator)
      expect(years.counts.reject { |_, papers| papers.zero? })
        .to eq(found.filter_map(&:year).tally.sort.to_h)
      expect(years.counts.keys)
        .to eq(years.counts.empty? ? [] : (years.counts.keys.min..years.counts.keys.max).to_a)
      recent = years.counts.select { |year, _| year >= 2016 }.values.sum
      expect([years.undated, recent])
        .to eq([found.count { |record| record.year.nil? },
                found.count { |record| record.year.to_i >= 2016 }])
    end
  end

  it "brings a paper back by the two changes that let in the fewest others" do
    moves = ->(state) { Hobrin::Narrowing::Moves.new(state, thesaurus: context.library.thesaurus, today:) }
    newborn = Hobrin::Strategy::Limit.new(name: :age, values: ["newborn"])
    limits = [newborn, Hobrin::Strategy::Dates.years(from_year: 2018)]
    sleep = Hobrin::Strategy::Block.new(key: "P",
                                        terms: [Hobrin::Strategy::Block::Term.new(
                                          id: 1, leaf: words("sleep*")
                                        )])
    state = limits.reduce(Hobrin::Narrowing::State.new(blocks: [sleep])) { |now, leaf| now.with_limit(leaf.slot, leaf) }
    lost = plain.call(words("sleep*")).find do |number|
      limits.none? do |leaf|
        plain.match?(records[number - 1], leaf)
      end
    end
    found = Hobrin::Narrowing::WayToTarget::RecoveryPair.new(evaluator:, moves:).call(state, lost)
    every = moves[state].call.flat_map do |first|
      moves[first.state].call.map do |second|
        second.state.tree
      end
    end.uniq
                        .map { |tree| plain.call(tree) }.select { |after| after.include?(lost) }
    expect(plain.call(found.moves.last.state.tree)).to include(lost)
    expect([found.moves.size, found.size]).to eq([2, every.map(&:size).min])
    expect(moves[state].call.none? { |one| plain.call(one.state.tree).include?(lost) }).to be(true)
    other = (1..records.size).find { |number| !plain.match?(records[number - 1], words("sleep*")) }
    expect(Hobrin::Narrowing::WayToTarget::RecoveryPair.new(evaluator:, moves: ->(_) { [].method(:itself) }).call(state, other))
      .to be_nil
  end

  it "sees of some records what the whole finds of them" do
    half = a_set(*(1..(records.size / 2)))
    as_of = Hobrin::Retrieval::Evaluator::AsOf.new(evaluator, half)
    40.times do
      one = inquiry
      found = one.tree ? plain.call(one.tree) : []
      expect(one.cascade(as_of).final.to_a).to eq(found & half.to_a)
    end
  end

  # Number needed to read = 1 / precision, by its definition; the interval is Wilson's, see
  # statistics_spec.
  it "says sensitivity, precision and number needed to read of what is known so far" do
    rates = Hobrin::Narrowing::Rates.new(known: 4, found: 3, by_hand: 0, kept: 81, dropped: 182)
    expect([rates.sensitivity.estimate, rates.number_needed_to_read.round(3)]).to eq([0.75, 3.247])
    expect([rates.precision.low.round(4), rates.precision.high.round(4)]).to eq([0.2553, 0.3662])
    none = Hobrin::Narrowing::Rates.new(known: 0, found: 0, by_hand: 0, kept: 0, dropped: 0)
    expect([none.sensitivity, none.precision, none.number_needed_to_read]).to all(be_nil)
  end

  it "does not count as found what a person let in by hand" do
    step = described_class::Cascade::Step.new(source: nil, set: a_set(1, 2), removed: a_set,
                                              on: true)
    cascade = described_class::Cascade.new(steps: [step], joined: a_set(1, 2), included_ids: %w[a], included: a_set(3),
                                           final: a_set(1, 2, 3))
    rates = described_class::Rates.of(cascade:, must_find: a_set(2, 3, 4), kept: a_set(2, 3),
                                      dropped: a_set(1))
    expect(rates.to_h).to eq(known: 3, found: 1, by_hand: 1, kept: 1, dropped: 1)
  end
end
