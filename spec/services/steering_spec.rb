# frozen_string_literal: true

# What a person is offered and what they then do must agree: an offer is a promise.
RSpec.describe "Steering", :sample do
  let(:terms) { Hobrin::Services::AddTerms.new(context) }
  let(:limits) { Hobrin::Services::ChangeLimits.new(context) }

  def inquiry = context.inquiries.find(1).inquiry
  def standing = Hobrin::Services::ReadInquiry.new(context).call(1)
  def block_size(key) = context.evaluator.count(inquiry.block(key).tree)

  it "adds with each offer exactly as many papers as it said" do
    offers = Hobrin::Services::OfferTerms.new(context)
    ["conf", "sle", "noi", "mus", "eye sh", "acute confusion", "light*", "zzz"].each do |typed|
      offers.call(typed, inquiry.block("O")).first.each do |offer|
        if offer.held
          expect { terms.heading(1, "O", offer.leaf.label) }.to raise_error(Hobrin::InputError, /in this block already/)
          next
        end

        fresh = context.evaluator.call(offer.leaf) - context.evaluator.call(inquiry.block("O").tree)
        promised = block_size("O") + fresh.size
        terms.public_send(offer.leaf.class.name[/\w+\z/].downcase, 1, "O", offer.leaf.label)
        expect([offer.leaf.label, block_size("O")]).to eq([offer.leaf.label, promised])
      end
    end
    first = offers.call("melat", inquiry.block("O")).first.first
    expect { terms.heading(1, "O", first.leaf.label) }.to change { block_size("O") }.by(first.adds)
  end

  it "takes a name under the heading where it is filed, with what is narrower" do
    terms.call(1, "O", "icu delirium") if inquiry.block("O").terms.none? { |term| term.label == "Delirium" }
    expect { terms.call(1, "O", "ICU delirium") }.to raise_error(Hobrin::InputError, /Delirium/)
    terms.call(1, "I", "music therapy for noise reduction rounds")
    added = inquiry.block("I").terms.last(3).map(&:leaf)
    expect(added.map(&:label)).to eq(["Music", "Quiet Time", "rounds"])
    expect(added.first.narrower).to be(false)
    expect(context.inquiries.trail(1).first.change).to eq("Added heading Music, heading Quiet Time, words rounds to I")
  end

  it "finds the same papers in whatever order the limits stand, and all of them again when they are off" do
    before = standing.cascade
    %i[type type dates].each { |name| limits.move_up(1, name) }
    expect(inquiry.limits.map(&:name)).to eq(%i[type dates age])
    expect(standing.cascade.final).to eq(before.final)
    %i[age type dates].each { |name| limits.switch(1, name) }
    expect(standing.cascade.final).to eq(before.joined)
    %i[age type dates].each { |name| limits.remove(1, name) }
    expect([inquiry.limits, standing.cascade.final]).to eq([[], before.joined])
    expect { limits.remove(1, :age) }.to raise_error(Hobrin::GoneError)
  end

  it "takes two flags to mean both, and two study types to mean either" do
    flag = ->(name) { Hobrin::Strategy::Limit.new(name: :flag, values: [name]) }
    both = ["peer reviewed", "nurse author"].map { |name| flag[name].tap { |leaf| limits.put(1, leaf) } }
    sets = both.map { |leaf| context.evaluator.call(leaf) }
    expected = sets.reduce(standing.cascade.joined) { |left, set| left & set }
    %i[age dates type].each { |slot| limits.switch(1, slot) }
    expect([standing.cascade.final, inquiry.limits.map(&:slot).last(2)])
      .to eq([expected, %i[flag-peer-reviewed flag-nurse-author]])
    limits.remove(1, "flag-peer-reviewed")
    expect(standing.cascade.final).to eq(standing.cascade.joined & sets.last)
    offered = Hobrin::Services::ReadNarrow.new(context).call(standing, [:flag]).fetch(:flag)
    expect(offered.map { |one| one.leaf.values }).to include(["peer reviewed"])
    expect(offered.map { |one| one.leaf.values }).not_to include(["nurse author"])
  end

  it "moves and switches blocks in the cascade, and takes one that was taken away in again as such" do
    blocks = Hobrin::Services::ChangeBlock.new(context, step: :narrow)
    before = standing.cascade
    blocks.move_up(1, "O")
    expect(standing.cascade.steps.first(3).map { |step| step.source.key }).to eq(%w[P O I])
    expect(standing.cascade.final).to eq(before.final)
    2.times { blocks.move_up(1, "O") }
    expect(standing.cascade.steps.first.source.key).to eq("O")
    blocks.join(1, "I", :not)
    taken = standing.cascade
    blocks.switch(1, "I")
    expect(standing.cascade.final.size).to be > taken.final.size
    blocks.switch(1, "I")
    expect([inquiry.block("I").joins, standing.cascade.final]).to eq([:not, taken.final])
    expect { blocks.switch(1, "Z") }.to raise_error(Hobrin::GoneError)
  end

  it "opens a step newest or strongest first" do
    reader = Hobrin::Services::ReadNarrow.new(context)
    place = standing.cascade.steps.index { |step| step.source.respond_to?(:name) && step.source.name == :age }
    newest, total = reader.taken_away(standing, place, limit: 100)
    expect([newest.size, newest.map(&:published)]).to eq([total, newest.map(&:published).sort.reverse])
    strongest, = reader.taken_away(standing, place, order: :strongest, limit: 100)
    expect(strongest.map(&:id).sort).to eq(newest.map(&:id).sort)
    levels = strongest.filter_map do |record|
      design = Hobrin::Appraisal::Design.proposed(record)
      design && Hobrin::Appraisal::Level.of(kind: "treatment", design:).number
    end
    expect(levels.size).to be > 10
    expect(levels).to eq(levels.sort)
    expect(reader.taken_away(standing, place, order: :strongest, limit: 5).first).to eq(strongest.first(5))
  end

  it "says of each limit which papers it took for saying nothing" do
    silent = Hobrin::Services::ReadNarrow.new(context).silences(standing).to_h { |one| [one.step.source.name, one] }
    removed = silent.fetch(:age).step.removed.to_a
    records = context.library.newest(silent.fetch(:age).step.removed, limit: 500)
    expect(records.size).to eq(removed.size)
    expect(silent.fetch(:age).papers).to eq(records.count { |record| record.ages.empty? })
    fresh = records.select { |record| record.ages.empty? && record.headings.empty? }
    expect(silent.fetch(:age).not_indexed).to eq(fresh.size)
    expect(records.map(&:id)).to include("10.5555/hobrin.trial-2026-new")
  end

  it "opens the next unread paper, round the list, and stays when all are read" do
    text = "Do earplugs help?"
    Hobrin::Services::StartInquiry.new(context).call(text)
    draft = Hobrin::Services::WriteQuestion::Draft.new(situation: "", text:, kind: nil, uses: {}, typed: {})
    Hobrin::Services::WriteQuestion.new(context).call(6, draft) { |question| question.marked("I", "earplugs") }
    terms.words(6, "I", "eye shade*")
    terms.words(6, "I", "skin injury")
    desk = Hobrin::Services::ReadSift.new(context)
    ids = desk.call(Hobrin::Services::ReadInquiry.new(context).call(6)).records.map(&:id)
    seen = ids.each_with_object([ids.last]) do |_, order|
      Hobrin::Services::DecidePaper.new(context).call(6, order.last, verdict: :unsure)
      order << desk.following(6, order.last)
    end
    expect(ids.size).to be > 1
    expect(seen).to eq([ids.last, *ids[0...-1], ids[-2]])
  end

  it "writes typed phrases beside marked ones and reads out what changed" do
    draft = Hobrin::Services::WriteQuestion::Draft.new(
      situation: inquiry.question.situation, text: inquiry.question.text.sub("In adults", "In frail adults"),
      kind: "harm", uses: { "O" => :reading },
      typed: { "P" => "step-down unit; adults in intensive care; step-down unit " }
    )
    Hobrin::Services::WriteQuestion.new(context).call(1, draft)
    question = inquiry.question
    phrases = question.element("P").phrases.map { |phrase| [phrase.text, phrase.from] }
    expect(phrases).to eq([["adults in intensive care", 9], ["step-down unit", nil]])
    expect(question.searched.map(&:key)).to eq(%w[P I])
    expect(context.inquiries.trail(1).first.change)
      .to eq("Reworded the question; kind of question: Harm or cause; P: adults in intensive care or step-down unit; " \
             "O is kept for reading")
  end
end
