# frozen_string_literal: true

require "prawn"

RSpec.describe "A paper read closely", :sample do
  def key(name) = "10.5555/hobrin.#{name}"
  def closely(name) = Hobrin::Services::Screen::Paper::Closely.new(context).call(context.library.record(name))

  def decided(reason: nil)
    inquiry.decisions.select { |one| one.reason == reason }.map(&:record_id)
  end

  it "shows in the main inquiry all that may be wrong with a paper" do
    ids = context.library.ids(opened.cascade.final)
    expect(ids.size).to eq(37)
    records = context.library.records_by_id(ids)
    papers = records.to_h { |record| [record.id.delete_prefix(key("")), closely(record.id)] }
    expect(records.select(&:retracted?).map(&:id)).to eq([key("retracted-2020")])
    expect(papers.select { |_, paper| paper.label&.key == "protocol" }.keys).to eq(["protocol-2025"])
    expect(papers.select { |_, paper| paper.double_of }.keys).to eq(["other-source:trial-2019-mask"])
    expect(papers.select { |_, paper| paper.made_as.verdict == :disagree }.keys).to eq(["label-2019"])
    expect(papers.select { |_, paper| paper.disagreements.any? }.keys).to eq(["trial-2017-surgery"])
    expect(papers.fetch("trial-2021").reports.map(&:id)).to eq([key("trial-2021-again")])
    expect(papers.fetch("trial-2021-again").reports.map(&:id)).to eq([key("trial-2021")])
    expect(papers.select { |_, paper| paper.full }.keys).to match_array(%w[trial-2021 label-2019 trial-2017-surgery])
  end

  it "reads a kept full text where the abstract does not tell how a work was made" do
    record = context.library.record(key("trial-2026-new-2"))
    before = closely(record.id).made_as.verdict
    Tempfile.create(["a", ".pdf"]) do |file|
      Prawn::Document.generate(file.path) { |page| page.text "Methods: People got ear plugs on even dates." }
      context.papers.keep(record.id, file.path)
    end
    expect([before, closely(record.id).full]).to match([be_a(Symbol), true])
    expect(context.papers.text(record.id)).to include("even dates")
  end

  it "decides on several in one line that one undo takes back, and asks about retracted ones" do
    undecided(5)
    ids = context.library.ids(opened(5).cascade.final)
    several = ->(verdict, some = ids, **rest) { Hobrin::Edits::Screen::DecideSeveral.new(record_ids: some, verdict:, reason: nil, note: "", **rest) }
    seen = saved(5).version
    edit(several[:drop, ids, reason: "Other sample"], id: 5, seen:)
    expect([inquiry(5).decisions.size,
            last_line(5).change]).to eq([215, "Excluded 215 papers together (wrong sample)"])
    expect { edit(several[:unsure], id: 5, seen:) }.to raise_error(Hobrin::ConflictError)
    undo(id: 5)
    expect(inquiry(5).decisions).to eq([])
    expect { edit(several[:keep, [key("retracted-2020")]]) }.to raise_error(Hobrin::InputError, /was retracted/)
    expect do
      edit(several[:drop, [key("trial-2021")],
                   reason: "Because"])
    end.to raise_error(Hobrin::InputError, /Choose a reason/)
    expect { edit(several[:unsure, ["nope"]]) }.to raise_error(Hobrin::GoneError)
    expect { edit(several[:unsure, []]) }.to raise_error(Hobrin::InputError, /Select papers first/)
  end

  it "drops by the elements of the frame in use" do
    reasons = %w[pico spider spice eclipse].map { |frame| Hobrin::Screening::Decision::Reasons.for(frame).first(2) }
    expect(reasons).to eq([["Other people", "Other intervention"], ["Other sample", "Other phenomenon"],
                           ["Other setting", "Other perspective"], ["Other expectation", "Other client group"]])
    expect(Hobrin::Question::Frame::ALL.map { |frame| Hobrin::Screening::Decision::Reasons.for(frame.key).size }).to all(be <= 9)
  end

  it "learns the order anew after each decision, hides nothing, and says when it is too early" do
    undecided(5)
    reader = Hobrin::Services::Screen::Read.new(context, opened(5),
                                                view: Hobrin::Screening::ListView.new(order: :likeliest))
    expect([reader.likeliest.any?, reader.call.records.size]).to eq([false, 215])
    trial, interview = ["randomized controlled trial", "qualitative study"].map do |type|
      reader.call.records.find { |record| record.types == [type] }
    end
    decide(interview.id, :keep, id: 5)
    decide(trial.id, :drop, id: 5, reason: "Other design")
    learned = Hobrin::Services::Screen::Read.new(context, opened(5),
                                                 view: Hobrin::Screening::ListView.new(order: :likeliest))
    list = learned.call.records
    expect(list.map(&:id)).to match_array(context.library.ids(opened(5).cascade.final))
    expect(list.first(10).count { |record| record.types == ["qualitative study"] }).to be >= 8
    expect(list.last(2).map(&:id)).to contain_exactly(interview.id, trial.id)
  end

  it "knows a pace only from enough decisions, and no pause" do
    at = ->(*gaps) { gaps.reduce([Time.at(0)]) { |times, gap| [*times, times.last + gap] } }
    expect(Hobrin::Screening::StoppingEstimate::Pace.call(at[60, 60])).to be_nil
    expect(Hobrin::Screening::StoppingEstimate::Pace.call(at[60, 30, 5_000, 90, 60, 60, 45])).to eq(1.0)
  end
end
