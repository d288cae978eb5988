# frozen_string_literal: true

RSpec.describe "Citations around papers", :sample do
  let(:plain) do
    SampleHome.plain_records.to_h do |one|
      [one["id"], one.dig("custom", "cites").to_a]
    end
  end
  let(:cited_by) do
    plain.each_with_object({}) do |(id, cites), by|
      cites.each do |cited|
        (by[cited] ||= []) << id
      end
    end
  end
  let(:library) { context.library }

  def key(name) = "10.5555/hobrin.#{name}"
  def follow = edit(Hobrin::Edits::Screen::SearchCitations.new)
  def neighbours(ids) = ids.flat_map { |id| plain.fetch(id) + cited_by.fetch(id, []) }.uniq

  it "are those that the records name, from both ends" do
    ids = plain.keys.sample(80, random: Random.new(2))
    expect(library.citations.cited_by(ids).transform_values(&:sort)).to eq(ids.to_h { |id| [id, plain[id].sort] })
    expect(library.citations.citing(ids).transform_values(&:sort)).to eq(ids.to_h { |id| [id, cited_by.fetch(id, []).sort] })
    both = [plain, cited_by].map { |all| all.fetch(key("trial-2021")).size }
    expect(library.citations.counts(library.record(key("trial-2021")))).to eq(both)
  end

  # Against a walk over the sample's own file, which knows nothing of the library.
  it "are followed round by round until nothing new comes" do
    kept = inquiry.kept_ids
    set = library.ids(opened.cascade.final)
    first = inquiry.rounds.first
    expect(first.found_ids).to match_array(neighbours(kept) - kept - (set - inquiry.included_ids))
    threaded = inquiry.included_ids & first.found_ids
    expect(threaded).to contain_exactly(key("trial-2012"), key("trial-2026-new"),
                                        key("protocol-2025"))
    dropped = inquiry.decisions.select { |one| one.verdict == :drop }.map(&:record_id)
    from = threaded - dropped
    outcome = follow
    expect(outcome.opened.inquiry.rounds.last.from_ids).to match_array(from)
    expect(outcome.opened.inquiry.rounds.last.found_ids)
      .to match_array(neighbours(from) - set - kept - first.found_ids - from)
    expect(last_line.change).to match(/\ACitation searching from 2 papers, round 2: \d+ found\z/)
    expect { follow }.to raise_error(Hobrin::InputError, /Nothing new was included or added/)
  end

  it "count apart in the flow of papers" do
    flow = Hobrin::Services::Act::ReadBrief.new(context).call(opened).flow
    expect([flow.threaded, flow.by_hand, flow.found]).to eq([3, 1, 37])
    expect(flow.joined + flow.by_hand + flow.threaded).to eq(flow.limited + flow.found)
    edit(Hobrin::Edits::Papers::RemoveManually.new(record_id: key("trial-2012")))
    expect(Hobrin::Services::Act::ReadBrief.new(context).call(opened).flow.threaded).to eq(2)
  end

  it "say where each paper stands: in the set and how decided, or what keeps it out" do
    groups = Hobrin::Services::Screen::Paper::Around.new(context,
                                                         opened).call(library.record(key("review-2023")))
    by_key = groups.values.flatten.to_h do |near|
      [near.record.id.delete_prefix(key("")), near.standing]
    end
    expect(by_key["trial-2021"]).to have_attributes(in_set: true, kept_out: nil)
    expect(by_key["trial-2021"].decision.verdict).to eq(:keep)
    expect(by_key["trial-2015-old"]).to have_attributes(in_set: false, decision: nil)
    expect(Hobrin::Narrowing::AppliedLimit::Wording.named(by_key["trial-2015-old"].kept_out.leaf)).to eq("Published: 2016 to 2026")
    expect(groups[:alike].map(&:likeness)).to eq(groups[:alike].map(&:likeness).sort.reverse)
  end

  it "have a picture whose marks and lines are those of the rounds" do
    marks, lines = Hobrin::Services::Screen::CitationRounds.new(context, opened).picture
    ids = marks.map { |mark| mark.record.id }
    expect(ids).to match_array(inquiry.kept_ids | inquiry.rounds.flat_map(&:found_ids))
    expect(lines).to match_array(ids.flat_map { |id|
      (plain[id] & ids).map { |cited|
        [id, cited]
      }
    })
    expect(marks.map(&:kind).tally).to include(kept: 6, in: 3)
  end
end
