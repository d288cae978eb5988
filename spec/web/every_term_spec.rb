# frozen_string_literal: true

# A block may hold terms of every kind; each page of the inquiry must be able to show it.
RSpec.describe "A search with every kind of term", :sample, :client do
  let(:record) { context.library.newest(context.library.index.everything, limit: 1).first }
  let(:leaves) do
    [Hobrin::Strategy::TextTerm.read("sleep*"), Hobrin::Strategy::Author.read(record.authors.first.family),
     Hobrin::Strategy::Journal.named(record.journal), Hobrin::Strategy::Heading.new(label: "Delirium"),
     Hobrin::Strategy::Proximity.new(left: "sleep", right: "sleep*", distance: 3, ordered: true)]
  end

  it "is shown on every step and panel, taken away or not" do
    terms = leaves.map.with_index(1) do |leaf, id|
      Hobrin::Strategy::Block::Term.new(id:, leaf:, crossed_out: nil, excluded: id.even?)
    end
    changed = inquiry.with_block(inquiry.block("I").with(terms:)).with(next_term: 9)
    line = { who: "a test", kind: :terms_added, facts: { block: "I", leaves: }, brings_back: nil,
             count_before: 0, count_after: 0, library_version: context.snapshot.version }
    context.inquiries.save(saved, changed, step: :word, at: context.clock.now, line:)
    %w[ask word narrow sift weigh act trail word?open=papers:I word?open=gain:I word?open=overlap narrow?show=way
       narrow?show=check narrow?opened=block-I log.json log.txt log.csv evidence.ris].each do |page|
      expect([page, visit_page("/inquiries/1/#{page}").status]).to eq([page, 200])
    end
    terms.each do |term|
      expect(visit_page("/inquiries/1/word?open=term:#{term.id}").status).to eq(200)
    end
    first = Hobrin::Services::Screen::Read.new(context, opened).call.records.first
    expect(visit_page("/inquiries/1/sift?paper=#{first.id}").status).to eq(200)
  end
end
