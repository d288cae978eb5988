# frozen_string_literal: true

RSpec.describe Hobrin::Brief do
  def decision(id, verdict, reason = nil)
    Hobrin::Screening::Decision.new(record_id: id, verdict:, reason:)
  end

  it "accounts for every paper on its way, and for kept ones that the search lost" do
    decisions = [decision("a", :keep), decision("b", :drop, "A double"), decision("c", :drop, "Other people"),
                 decision("d", :unsure), decision("gone", :keep), decision("also gone", :drop, "No study")]
    origins = { "a colleague's long list of papers" => 4, "b" => 2, "c" => 1, "d" => 1, "e" => 1 }
    flow = described_class::Flow.of(joined: 9, left: 4, found_ids: %w[a b c d e], doubles: 2, decisions:, origins:,
                                    settled: 2)
    expect(flow.to_h).to eq(joined: 9, limited: 5, by_hand: 1, doubles: 2, threaded: 0, found: 5,
                            dropped: { "A double" => 1, "Other people" => 1 }, unsure: 1, unread: 1,
                            kept: 1, kept_outside: 1, origins:, settled: 2)
    expect(described_class::Flow::Boxes.new(flow).steps.first.main.lines)
      .to eq(["found by the search", "4 a colleague's long lis…", "2 b", "1 c", "1 d", "1 from other sources",
              "2 possible duplicates"])
    expect(described_class::Flow::Boxes.new(flow).steps[-3].main.lines)
      .to eq(["screened", "2 resolved between two reviewers"])
    expect(flow.dropped_total + flow.unsure + flow.unread + flow.kept).to eq(flow.found)
  end

  it "drops a paper only with a reason" do
    expect { decision("a", :drop, "Because") }
      .to raise_error(Hobrin::InputError, /Choose a reason/)
  end
end
