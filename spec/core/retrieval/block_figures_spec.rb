# frozen_string_literal: true

# Blocks and terms that take away or stand aside, against a reading of the records one by one.
RSpec.describe "Blocks however they are joined", :small_sample do
  it "find, count and thin out what a reading one by one finds" do
    strategies = RandomStrategies.new(404, context.library.thesaurus, records)
    random = Random.new(404)
    25.times do
      blocks = %w[P I O].map do |key|
        block = strategies.block(key)
        terms = block.terms.map { |term| term.with(excluded: random.rand < 0.25) }
        block.with(terms:, operator: %i[and and not out].sample(random:))
      end
      limits = strategies.limits
      state = Hobrin::Narrowing::State.of(blocks, limits)
      cascade = Hobrin::Narrowing::Cascade.of(blocks:, limits:, evaluator: context.evaluator)
      expect(cascade.final.to_a).to eq(state.tree ? plain.call(state.tree) : [])
      expect(Hobrin::Narrowing::WhatIfs.new(state,
                                            evaluator: context.evaluator).now).to eq(cascade.final)
      expect(cascade.steps.drop(1).sum { |step| step.removed.size })
        .to eq((cascade.steps.first&.size || 0) - cascade.final.size)
      absent_papers_name_their_step(cascade)
      blocks.each { |block| figures_agree(block) }
    end
  end

  def absent_papers_name_their_step(cascade)
    (1..records.size).step(97) do |number|
      absence = Hobrin::Narrowing::Cascade::ExclusionReasons.of(cascade, number, context.evaluator)
      lost = cascade.steps.find { |step| !step.set.include?(number) }
      expect([number, absence.step]).to eq([number, lost]) unless cascade.final.include?(number)
      expect(absence.all).to include(lost) if lost
    end
  end

  def figures_agree(block)
    figures = Hobrin::Retrieval::BlockFigures.of(block, context.evaluator)
    whole = block.tree ? plain.call(block.tree) : []
    expect(figures.size).to eq(whole.size)
    block.in_use.each do |term|
      rest = block.replace(term.id) { nil }
      without = rest.tree ? plain.call(rest.tree) : []
      expect(figures.terms.fetch(term.id).alone).to eq((whole - without).size)
    end
    block.excluded.each do |term|
      without = block.replace(term.id) { nil }.tree
      expect(figures.terms.fetch(term.id).alone)
        .to be >= ((without ? plain.call(without) : []) - whole).size
    end
  end

  it "writes the lines of such a search so that they lead to the same papers" do
    terms = [words("sleep*"), words("noise")].map.with_index(1) { |leaf, id| Hobrin::Strategy::Block::Term.new(id:, leaf:, excluded: id == 2) }
    blocks = [Hobrin::Strategy::Block.new(key: "P", terms:),
              Hobrin::Strategy::Block.new(key: "I", terms: terms.take(1), operator: :not)]
    question = Hobrin::Question.ask("sleep noise").marked("P", "sleep").marked("I", "noise")
    cascade = Hobrin::Narrowing::Cascade.of(blocks:, limits: [], evaluator: context.evaluator)
    lines = Hobrin::Brief::SearchLines.new(question:, cascade:, evaluator: context.evaluator)
    expect(lines.call.map(&:rule)).to include("line 1, not line 2", "3 not 5")
    tree = Hobrin::Strategy::Cql.read(lines.cql, context.vocabulary)
    expect(context.evaluator.call(tree)).to eq(cascade.final)
  end
end
