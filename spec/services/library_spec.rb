# frozen_string_literal: true

# Searching beside any inquiry, and after the lines of one.
RSpec.describe Hobrin::Services::Library::Search, :small_sample do
  let(:search) { described_class.new(context) }

  it "finds what a reading one by one finds, newest first" do
    found = search.call("delir* or dc.subject =/hobrin.narrower Pain")
    expect(found.set.to_a).to eq(plain.call(found.tree))
    dates = search.records(found).map(&:published)
    expect(dates).to eq(dates.sort.reverse)
    expect(search.ids(found, limit: 3)).to eq(search.records(found, limit: 3).map(&:id))
    expect(search.call(found.cql).tree).to eq(found.tree)
  end

  it "gives the newest of a large set without reading the rest" do
    everything = search.call("cql.allRecords = 1")
    newest = records.sort_by { |record| record.published.tr("-", "").ljust(8, "0") }.reverse.first(5).map(&:published)
    expect(search.records(everything, limit: 5).map(&:published)).to eq(newest)
    expect(search.records(search.call("zebra"))).to eq([])
  end

  it "reads free typing so that nothing typed is lost and no name could have been longer" do
    random = Random.new(17)
    thesaurus = context.library.thesaurus
    names = thesaurus.names
    120.times do
      some = -> { random.rand < 0.6 ? names.sample(random:) : %w[rounds zebra of].sample(random:) }
      typed = Array.new(random.rand(1..4)) { some.call }.join(" ")
      parts = Hobrin::Thesaurus::Reading.new(thesaurus).call(typed)
      words = Hobrin::Text::Tokens.of(typed)
      kept = parts.flat_map { |part| Hobrin::Text::Tokens.of(part.text) }
      expect([typed, kept - words]).to eq([typed, []])
      expect([typed,
              (words - kept).uniq - %w[a an and at by for from in of on or the to
                                       with]]).to eq([typed, []])
      parts.select { |part| part.kind == :heading }.each do |part|
        expect([part.text, thesaurus.named(part.text)&.label]).to eq([part.text, part.label])
        longer = words.each_cons(part.text.split.size + 1).map { |run| run.join(" ") }
        starting = longer.select { |run| run.start_with?("#{Hobrin::Text::Tokens.line(part.text)} ") }
        expect([typed, starting.select { |run| thesaurus.named(run) && parts.size == 1 }])
          .to eq([typed, []])
      end
    end
  end

  it "explains each paper of a search by something it says, and each other one by what it lacks" do
    cql = '(deliri* or dc.subject = "Falls") and dc.type any "cohort study guideline" not dc.date < 2012'
    tree = search.call(cql).tree
    explain = Hobrin::Services::Library::ExplainPaper.new(context)
    found = plain.call(tree)
    records.each_with_index.to_a.sample(60, random: Random.new(2)).each do |record, place|
      explained = explain.call(record.id, tree)
      expect([record.id, explained.found]).to eq([record.id, found.include?(place + 1)])
      expect(explained.reasons.any?).to eq(explained.found)
      expect(explained.missing.none?).to eq(explained.found)
      explained.missing.grep_v(Hobrin::Strategy::Except).each { |part| expect(plain.match?(record, part)).to be(false) }
    end
    expect(explain.call(records.first.doi.upcase, tree).record).to eq(records.first)
    expect { explain.call("nobody", tree) }.to raise_error(Hobrin::GoneError)
  end
end
