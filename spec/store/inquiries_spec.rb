# frozen_string_literal: true

RSpec.describe Hobrin::Store::Inquiries, :sample, :slow do
  def placed(leaf) = Hobrin::Narrowing::AppliedLimit.new(leaf:)

  it "gives back the very inquiry that was written, for any search" do
    strategies = RandomStrategies.new(26, context.library.thesaurus, SampleHome.records)
    40.times do
      blocks = %w[I P].map { |key| strategies.block(key) }
      filter = strategies.pick([Hobrin::Strategy::Filters::Filter.new(kind: "treatment", width: "balanced"),
                                Hobrin::Strategy::Filters::OwnFilter.new(title: "Mine",
                                                                         tree: strategies.tree)])
      limits = [filter, Hobrin::Strategy::Journal.new(values: %w[B A])].map { |leaf| placed(leaf) } + strategies.limits
      tree = Hobrin::Strategy::Lines::LineNotation.read("3 not (4 or 5)")
      lines = [Hobrin::Strategy::Lines::NamedLine.new(name: "mine", tree:)]
      rest = { order: %w[O P], included_ids: ["10.5555/x"], aim: Hobrin::Narrowing::Target.new(from: 1, to: 9) }
      inquiry = context.inquiries.find(1).inquiry.with(blocks:, limits:, lines:, **rest)
      expect(Hobrin::Store::InquiryDocument.load(Hobrin::Store::InquiryDocument.dump(inquiry)))
        .to eq(inquiry)
    end
  end

  it "writes each change to the trail with the counts around it, and nothing for no change" do
    lines = context.inquiries.trail(1).reverse
    expect(lines.map(&:number)).to eq((1..lines.size).to_a)
    lines.each_cons(2) do |one, two|
      expect([two.change, two.count_before]).to eq([two.change, one.count_after])
    end
    expect(lines.last.count_after).to eq(opened.final)

    aim = context.inquiries.find(1).inquiry.aim
    expect(edit(Hobrin::Edits::Limits::SetTarget.new(aim:)).line).to be_nil
    expect(context.inquiries.trail(1).size).to eq(lines.size)
  end

  it "loses no term when many are added at the same time" do
    typed = Array.new(12) { |place| "\"word number#{place}\"" }
    context.evaluator
    typed.each_slice(3).map do |some|
      Thread.new do
        some.each do |one|
          add_words("I", one)
        end
      end
    end.each(&:join)
    block = context.inquiries.find(1).inquiry.block("I")
    expect(block.terms.map(&:label)).to include(*typed.map { |one| one.delete('"') })
    expect(block.terms.map(&:id).uniq.size).to eq(block.terms.size)
  end

  it "brings a deleted inquiry back for thirty days, then forgets it with its trail and nothing else" do
    Hobrin::Services::Inquiries::Start.new(context).call("Does music help?")
    deleting = Hobrin::Services::Inquiries::Delete.new(context)
    before, lines = saved, context.inquiries.trail(1)
    deleting.call(1)
    expect(context.inquiries.all.map(&:id)).to eq([2, 3, 4, 5, 6])
    expect { deleting.call(1) }.to raise_error(Hobrin::GoneError)
    expect(context.inquiries.save(before, before.inquiry, step: :ask, at: context.clock.now,
                                                          line: { facts: {}, count_after: 0 })).to be(false)
    deleting.bring_back(1)
    expect([saved, context.inquiries.trail(1)]).to eq([before, lines])
    expect { deleting.bring_back(1) }.to raise_error(Hobrin::GoneError)
    context.inquiries.delete(1, at: context.clock.days_ago(31))
    expect { deleting.bring_back(1) }.to raise_error(Hobrin::GoneError)
    deleting.call(6)
    Hobrin::Services::Nightly.new(context).call
    expect([context.inquiries.trail(1), context.inquiries.trail(2).size,
            context.inquiries.deleted(since: deleting.since).map(&:id)]).to match([[], be > 0, [6]])
  end

  it "stays whole when the library is built anew from other headings" do
    before = opened.final
    headings = Hobrin::Demo::SampleThesaurus.headings.reject { |heading| heading.label == "Eye Masks" }
                                             .map { |heading| heading.with(related: heading.related - ["Eye Masks"]) }
    Hobrin::Services::Imports::ImportThesaurus.new(context).call(headings)
    expect(opened.final).to eq(before)
    column = Hobrin::Services::Terms::Read.new(context).call(opened.inquiry).find { |one| one.block.key == "I" }
    expect(column.narrower).to eq("Ear Protective Devices" => 0, "Eye Masks" => nil)
  end

  it "keeps the decisions of an inquiry whose search no longer finds the paper" do
    put(Hobrin::Strategy::Dates.years(from_year: 2026))
    flow = Hobrin::Services::Act::ReadBrief.new(context).call(opened).flow
    expect([flow.kept, flow.kept_outside]).to eq([0, 6])
  end
end
