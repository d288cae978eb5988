# frozen_string_literal: true

require_relative "../contracts/index"

# The whole way from a strategy to an exact set, against the slow reading of the same records.
RSpec.describe "Retrieval over the sample library", :small_sample, :slow do
  let(:index) { context.library.index }
  let(:evaluator) { context.evaluator }
  let(:strategies) { RandomStrategies.new(4646, context.library.thesaurus, records) }

  it_behaves_like "an index"

  it "finds for 200 random strategies exactly what a reading one by one finds" do
    200.times do
      tree = strategies.tree
      expect([Hobrin::Strategy::Cql.write(tree),
              evaluator.call(tree).to_a]).to eq([Hobrin::Strategy::Cql.write(tree),
                                                 plain.call(tree)])
    end
  end

  # Source: SQLite's own full-text search reads the same Booleans from one query text.
  it "finds for 200 random strategies of words what FTS5 finds with its own AND, OR and NOT" do
    db = Hobrin::Store::Database.open(home.join("library.sqlite3"), kind: :library)
    200.times do
      tree = strategies.tree { Hobrin::Strategy::TextTerm.read(strategies.pick(%w[sleep* deliri* earplug* music night patients]), fields: [:abstract]) }
      numbers = db[:texts].where(Sequel.lit("texts MATCH ?", full_text(tree))).select_map(:rowid)
      expect([full_text(tree), evaluator.call(tree).to_a]).to eq([full_text(tree), numbers.sort])
    end
    db.disconnect
  end

  def full_text(tree)
    case tree
    when Hobrin::Strategy::AnyOf then "(#{tree.parts.map { |part| full_text(part) }.join(" OR ")})"
    when Hobrin::Strategy::AllOf then "(#{tree.parts.map { |part| full_text(part) }.join(" AND ")})"
    when Hobrin::Strategy::Except then "(#{full_text(tree.kept)} NOT #{full_text(tree.excluded)})"
    else "abstract : #{tree.text}"
    end
  end

  # Source: the terms of the treatment filters, Haynes et al., BMJ 2005;330:1179 (from memory).
  # Figures of the others: Haynes & Wilczynski, BMJ 2004;328:1040; Wilczynski & Haynes, BMC Med
  # 2004;2:23 and AMIA 2003:719; Wong et al., AMIA 2003:728.
  it "lets a study filter stand for its published terms, each wider one holding the narrower" do
    sets = %w[specific balanced sensitive].map { |width| evaluator.call(Hobrin::Strategy::Cql.read("hobrin.filter = \"treatment/#{width}\"", context.vocabulary)) }
    expect(sets.map(&:size).sort).to eq(sets.map(&:size))
    expect([sets[0] - sets[1], sets[1] - sets[2]]).to all(be_empty)
    terms = 'dc.type = "randomized controlled trial" or hobrin.text = randomized or hobrin.text = randomised ' \
            "or hobrin.text = placebo"
    expect(sets[1].to_a).to eq(plain.call(Hobrin::Strategy::Cql.read(terms, context.vocabulary)))
    published = { "treatment" => [99, 70, 96, 95, 93, 97], "diagnosis" => [98, 74, 93, 92, 64, 98],
                  "prognosis" => [90, 80, 83, 84, 52, 94], "harm" => [93, 63, 51, 95],
                  "prediction" => [96, 79, 54, 99] }
    said = context.filters.kinds.to_h do |kind|
      all = context.filters.of_kind(kind)
      expect(all).to all(have_attributes(source: /\w/, searched: /\w/, here: /\w/,
                                         note: /memory|substance/))
      expect(all.map { |one| plain.call(one.tree) })
        .to eq(all.map { |one| evaluator.call(one.filter).to_a })
      [kind, all.flat_map { |one| [one.sensitivity, one.specificity] }.compact]
    end
    expect(said.reject { |_, figures| figures.empty? }).to eq(published)
    expect(said.keys - published.keys).to eq(%w[reviews experience cost])
  end

  it "keeps no more answers than its memory allows, and gives the same ones again" do
    cache = Hobrin::Retrieval::Evaluator::LeafCache.new(most_bytes: 40_000)
    bounded = Hobrin::Retrieval::Evaluator.new(index:, thesaurus: context.library.thesaurus, cache:)
    trees = Array.new(60) { strategies.tree }
    2.times { trees.each { |tree| expect(bounded.call(tree)).to eq(evaluator.call(tree)) } }
    expect(cache.bytes).to be_between(1, 45_000)
  end

  it "counts for a block what is found, by which term alone, and by words only" do
    60.times do
      block = strategies.block("P")
      figures = Hobrin::Retrieval::BlockFigures.of(block, evaluator)
      found = block.terms.to_h { |term| [term.id, plain.call(term.leaf)] }
      used = block.in_use.map(&:id)
      whole = found.values_at(*used).flatten.uniq
      by_headings = found.values_at(*block.in_use.select(&:heading?).map(&:id)).flatten.uniq
      expect([figures.size, figures.by_words]).to eq([whole.size, (whole - by_headings).size])
      block.terms.each do |term|
        others = found.values_at(*(used - [term.id])).flatten
        expect(figures.terms[term.id].to_h.values).to eq([found[term.id].size,
                                                          (found[term.id] - others).size])
      end
    end
  end

  it "shows in a text exactly the words that brought it here" do
    matched = Hobrin::Retrieval::Reasons::MatchedPlaces.new("I" => [words("ear plug*")])
    expect(matched.call("Ear-plugs, éar plug and ear. Plugs",
                        :title)).to eq([[0, 9, "I"], [11, 19, "I"], [24, 34, "I"]])
    in_abstract = Hobrin::Retrieval::Reasons::MatchedPlaces.new("I" => [words("ear plug*",
                                                                              fields: [:abstract])])
    expect(in_abstract.call("ear plug", :title)).to eq([])
  end
end
