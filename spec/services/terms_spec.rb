# frozen_string_literal: true

# What a card promises is what its press does.
RSpec.describe "What Word offers", :sample, :slow do
  def turn(term_id, choice) = edit(Hobrin::Edits::Terms::TurnHeading.new(term_id:, choice:))
  def card(term_id) = Hobrin::Services::Terms::Read.new(context).term_card(inquiry, term_id)
  def cross_out(term_id, seen: nil) = edit(Hobrin::Edits::Terms::CrossOut.new(term_id:, reason: ""), seen:)

  def join(operator, seen:)
    edit(Hobrin::Edits::Blocks::Join.new(block: "O", operator:, step: :word), seen:)
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
    expect(last_line.change).to include("Delirium", "subheadings: nursing, prevention")
  end

  it "adds with another way to write it as many papers as it said, and offers none that finds nothing" do
    add_words("O", "behaviour")
    ways = card(term("O", "behaviour").id).synonyms
    expect(ways.map(&:size)).to all(be_positive)
    term("I", "Ear Protective Devices").then do |one|
      expect(card(one.id).synonyms.map { |way| way.leaf.text }).to include("earplugs")
    end
    ways.first(2).each do |way|
      before = size("O")
      adds = (context.evaluator.call(way.leaf) - context.evaluator.call(inquiry.block("O").tree)).size
      add_words("O", way.leaf.text)
      expect(size("O")).to eq(before + adds)
    end
  end

  it "names headings that its papers have more often than others, by counts taken anew" do
    gains = Hobrin::Services::Terms::SuggestHeadings.new(context).call(inquiry, "I")
    library = SampleHome.records
    ids = inquiry.kept_ids
    kept = library.select { |record| ids.include?(record.id) }
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
    reword = ->(leaf) { edit(Hobrin::Edits::Terms::Reword.new(term_id: id, leaf:)) }
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
    edit(Hobrin::Edits::Terms::Move.new(term_id: id, by: -1))
    expect(inquiry.block("O").terms[-2].id).to eq(id)
    send_to = ->(term_id, to) { edit(Hobrin::Edits::Terms::Send.new(term_id:, to:)) }
    send_to[id, "I"]
    expect([inquiry.block("I").terms.last.id, inquiry.block_of(id).key]).to eq([id, "I"])
    expect { send_to[term("P", "intensive care").id, "C"] }
      .to raise_error(Hobrin::InputError, /searched/)
  end

  it "goes back over every change ever made to the beginning, and forth again to the same inquiry" do
    states = (1..context.inquiries.find(1).version).map do |number|
      context.inquiries.state_at(1, number)
    end
    (states.size - 1).times { undo }
    # What two people screen and appraise independently stays as it is.
    first = states.first.going_on_from(inquiry, %i[decisions sheets])
    expect(inquiry.with(next_term: 1)).to eq(first.with(next_term: 1))
    expect { undo }.to raise_error(Hobrin::InputError, /start of the inquiry/)
    (states.size - 1).times { do_again }
    expect(inquiry).to eq(states.last)
    expect { do_again }.to raise_error(Hobrin::InputError, /Nothing to redo/)
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
    expect { edit(Hobrin::Edits::Terms::Remove.new(term_id: one), seen:) }
      .to raise_error(Hobrin::ConflictError)
    expect { join(:not, seen:) }.not_to raise_error
    expect { join(:out, seen:) }.to raise_error(Hobrin::ConflictError)
    expect { undo(seen:) }.to raise_error(Hobrin::ConflictError)
    expect { cross_out(two, seen: 9_999) }.to raise_error(Hobrin::ConflictError)
  end

  it "has good searches in the other inquiries: no term without papers, in each block headings and words" do
    others = (2..5).map { |id| context.inquiries.find(id) }
    expect(others.map { |one| one.inquiry.question.kind })
      .to eq(%w[diagnosis prognosis harm experience])
    expect(others.map(&:step)).to all(eq(:weigh))
    others.each do |one|
      one.inquiry.searched_blocks.each do |block|
        expect(block.in_use.map { |term| term.leaf.class }.uniq)
          .to contain_exactly(Hobrin::Strategy::Heading, Hobrin::Strategy::TextTerm)
        empty = block.in_use.select { |term| context.evaluator.call(term.leaf).empty? }
        expect([one.id, empty.map(&:label)]).to eq([one.id, []])
      end
      expect(one.inquiry.cascade(context.evaluator).joined.size).to be_between(20, 400)
    end
  end
end
