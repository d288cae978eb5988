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
      expect(cascade.steps.drop(1).sum do |step|
        step.removed.size
      end).to eq((cascade.steps.first&.size || 0) - cascade.final.size)
      absent_papers_name_their_step(cascade)
      blocks.each { |block| figures_agree(block) }
    end
  end

  def absent_papers_name_their_step(cascade)
    (1..records.size).step(97) do |number|
      absence = Hobrin::Narrowing::ExclusionReasons.of(cascade, number, context.evaluator)
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
      expect(figures.terms.fetch(term.id).alone).to be >= ((without ? plain.call(without) : []) - whole).size
    end
  end

  it "writes the lines of such a search so that they lead to the same papers" do
    terms = [words("sleep*"), words("noise")].map.with_index(1) { |leaf, id| Hobrin::Strategy::Term.new(id:, leaf:, excluded: id == 2) }
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

# Truncation, against a reading of the records one by one.
RSpec.describe Hobrin::Retrieval::TruncationExpansion, :small_sample do
  it "spells out a mask into what together finds the same papers" do
    ["sle*", "random*", "eye mask*", "wom?n", "deli*", "con*"].each do |text|
      [Hobrin::Strategy::TextTerm::TEXT, [:title]].each do |fields|
        leaf = words(text, fields:)
        taken = described_class.of(leaf, context.evaluator)
        spelled = taken.words.map { |spelling, _| words(spelling, fields:) }
        expect(taken.words.map(&:last)).to eq(spelled.map { |one| plain.call(one).size })
        next unless taken.more.zero?

        expect([text, spelled.flat_map do |one|
          plain.call(one)
        end.uniq.sort]).to eq([text, plain.call(leaf)])
      end
    end
  end
end

# What a card promises is what its press does.
RSpec.describe "What Word offers", :sample do
  def turn(term_id, choice) = edit(Editing::Word::TurnHeading.new(term_id:, choice:))
  def card(term_id) = Hobrin::Services::ReadWord.new(context).term_card(inquiry, term_id)
  def cross_out(term_id, seen: nil) = edit(Editing::Word::CrossOut.new(term_id:, reason: ""), seen:)

  def join(operator, seen:)
    edit(Editing::Word::JoinBlock.new(block: "O", operator:, step: :word), seen:)
  end

  def size(key) = context.evaluator.count(inquiry.block(key).tree)
  def term(key, label) = inquiry.block(key).terms.find { |one| one.label == label }

  it "searches a heading in every way it names, with the papers it said" do
    id = term("O", "Delirium").id
    [:narrower, :main, "prevention", "nursing", :main].each do |choice|
      promised = card(id).choices.find { |one| one.key == choice }
      turn(id, choice)
      found = context.evaluator.count(inquiry.block("O").term(id).leaf)
      expect([choice, found]).to eq([choice, promised.size])
    end
    expect { turn(id, "cooking") }.to raise_error(Hobrin::GoneError)
    expect(last_line.change).to include("Delirium", "only nursing, prevention")
  end

  it "adds with another way to write it as many papers as it said, and offers none that finds nothing" do
    add_words("O", "behaviour")
    ways = card(term("O", "behaviour").id).synonyms
    expect(ways.map(&:size)).to all(be_positive)
    term("I", "Ear Protective Devices").then do |one|
      expect(card(one.id).synonyms.map do |way|
        way.leaf.text
      end).to include("earplugs")
    end
    ways.first(2).each do |way|
      before = size("O")
      adds = (context.evaluator.call(way.leaf) - context.evaluator.call(inquiry.block("O").tree)).size
      add_words("O", way.leaf.text)
      expect(size("O")).to eq(before + adds)
    end
  end

  it "names headings that its papers have more often than others, by counts taken anew" do
    gains = Hobrin::Services::SuggestHeadings.new(context).call(inquiry, "I")
    library = SampleHome.records
    kept = library.select { |record| inquiry.kept_ids.include?(record.id) }
    expect(gains.keys).to eq(%i[newest kept])
    gains.fetch(:kept).suggestions.each do |gain|
      having = lambda { |some|
        some.count do |record|
          record.headings.any? do |one|
            one.label == gain.label
          end
        end
      }
      expect(gain.share).to eq(having.call(kept))
      expect(gain.share.to_f / kept.size).to be > having.call(library).to_f / library.size
    end
    labels = gains.values.flat_map { |sample| sample.suggestions.map(&:label) }
    expect(labels & inquiry.searched_blocks.flat_map { |block| block.terms.map(&:label) }).to eq([])
    expect { add_headings("I", gains.fetch(:newest).suggestions.first.label) }.to change {
      size("I")
    }.by(gains.fetch(:newest).suggestions.first.adds)
  end

  it "rewords a term in place, as a phrase or near, and keeps its place and its id" do
    id = term("O", "sleep*").id
    reword = ->(leaf) { edit(Editing::Word::RewordTerm.new(term_id: id, leaf:)) }
    reword[words("sleep quality", fields: [:title])]
    expect(inquiry.block("O").term(id).leaf).to eq(words("sleep quality", fields: [:title]))
    near = { split: 1, distance: 4, ordered: true, fields: %i[title abstract] }
    reword[Hobrin::Strategy::Proximity.split("sleep of quality", **near)]
    leaf = inquiry.block("O").term(id).leaf
    expect([leaf.left, leaf.right, leaf.distance,
            leaf.ordered]).to eq(["sleep", "of quality", 4, true])
    expect do
      Hobrin::Strategy::Proximity.split("sleep",
                                        **near)
    end.to raise_error(Hobrin::InputError, /two words/)
    expect { reword[words("deliri*")] }.to raise_error(Hobrin::InputError, /already/)
    edit(Editing::Word::MoveTerm.new(term_id: id, by: -1))
    expect(inquiry.block("O").terms[-2].id).to eq(id)
    send_to = ->(term_id, to) { edit(Editing::Word::SendTerm.new(term_id:, to:)) }
    send_to[id, "I"]
    expect([inquiry.block("I").terms.last.id, inquiry.block_of(id).key]).to eq([id, "I"])
    expect do
      send_to[term("P", "intensive care").id, "C"]
    end.to raise_error(Hobrin::InputError, /searched/)
  end

  it "goes back over every change ever made to the beginning, and forth again to the same inquiry" do
    states = (1..context.inquiries.find(1).version).map do |number|
      context.inquiries.state_at(1, number)
    end
    (states.size - 1).times { undo }
    expect(inquiry.with(next_term: 1)).to eq(states.first.with(next_term: 1))
    expect { undo }.to raise_error(Hobrin::InputError, /began/)
    (states.size - 1).times { do_again }
    expect(inquiry).to eq(states.last)
    expect { do_again }.to raise_error(Hobrin::InputError, /Nothing was undone/)
    lines = context.inquiries.trail(1)
    expect(lines.size).to eq(states.size + (2 * (states.size - 1)))
    lines.reverse.each_cons(2) { |one, two| expect(two.count_before).to eq(one.count_after) }
  end

  it "lets two windows change different things, and refuses the second change of the same thing" do
    seen = context.inquiries.find(1).version
    one, two = %w[deliri* sleep*].map { |label| term("O", label).id }
    [one, two].each { |term_id| cross_out(term_id, seen:) }
    add_words("O", "insomnia", seen:)
    expect(inquiry.block("O").terms.select(&:crossed_out?).map(&:id)).to eq([one, two])
    expect { edit(Editing::Word::RemoveTerm.new(term_id: one), seen:) }.to raise_error(Hobrin::ConflictError)
    expect { join(:not, seen:) }.not_to raise_error
    expect { join(:out, seen:) }.to raise_error(Hobrin::ConflictError)
    expect { undo(seen:) }.to raise_error(Hobrin::ConflictError)
    expect { cross_out(two, seen: 9_999) }.to raise_error(Hobrin::ConflictError)
  end

  it "has good searches in the other inquiries: no term without papers, in each block headings and words" do
    others = (2..5).map { |id| context.inquiries.find(id) }
    expect(others.map do |one|
      one.inquiry.question.kind
    end).to eq(%w[diagnosis prognosis harm experience])
    expect(others.map(&:step)).to all(eq(:word))
    others.each do |one|
      one.inquiry.searched_blocks.each do |block|
        expect(block.in_use.map do |term|
          term.leaf.class
        end.uniq).to contain_exactly(Hobrin::Strategy::Heading, Hobrin::Strategy::TextTerm)
        empty = block.in_use.select { |term| context.evaluator.call(term.leaf).empty? }
        expect([one.id, empty.map(&:label)]).to eq([one.id, []])
      end
      expect(one.inquiry.cascade(context.evaluator).joined.size).to be_between(20, 400)
    end
  end
end
