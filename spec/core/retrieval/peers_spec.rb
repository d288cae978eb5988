# frozen_string_literal: true

# The engine beside other ways to the same answer: plain SQL, pairs compared one by one, many
# readers at once.
RSpec.describe "The engine and its peers", :small_sample, :slow do
  let(:random) { Random.new(12) }
  let(:evaluator) { context.evaluator }

  # Source: SQLite's own UNION, INTERSECT and EXCEPT over a table with a row for each facet value.
  it "counts what plain SQL counts" do
    Dir.mktmpdir do |folder|
      FileUtils.cp_r("#{home}/.", folder)
      db = Hobrin::Store::Database.open(File.join(folder, "library.sqlite3"), kind: :library)
      counts = Hobrin::Store::Library::PlainCounts.new(db, context.library.thesaurus)
      strategies = RandomStrategies.new(8, context.library.thesaurus, records)
      200.times do
        tree = strategies.tree { plain_leaf(strategies) }
        expect([Hobrin::Strategy::Cql.write(tree),
                evaluator.count(tree)]).to eq([Hobrin::Strategy::Cql.write(tree),
                                               counts.call(tree)])
      end
      db.disconnect
    end
  end

  def plain_leaf(strategies)
    case random.rand(3)
    when 0 then Hobrin::Strategy::TextTerm.read(strategies.pick(["sleep*", "intensive care", "delirium", "music"]),
                                                fields: strategies.some(%i[title abstract]))
    when 1 then strategies.heading.then do |leaf|
      leaf.label == "*" ? leaf.with(label: "Delirium", aspects: []) : leaf.with(aspects: [])
    end
    else Hobrin::Strategy::Limit.new(name: :type, values: strategies.some(Hobrin::Records::StudyTypes::ALL))
    end
  end

  it "measures itself and reports a table with a ratio beside each figure" do
    table = Hobrin::Tools::Benchmarks::Run.new(900, err: StringIO.new).call
    names = Hobrin::Tools::Benchmarks::Names::Figures.new(headings: 1, names: 2, build_ms: 3.0,
                                                          look_up_ms: { ranked: 1.0 }, reading_ms: 1.0, question_ms: 1.0)
    text = Hobrin::Tools::Benchmarks::Report.new([table, table.with(size: 1_800)], names).text
    expect(text).to include("## 900 records", "150 what-ifs", "previews of all unused limits",
                            "From 900 to 1,800 (2.0 ×)", "records a second")
    expect(table.lines.first(4).map(&:ratio)).to all(be > 1)
    expect([table.import, table.memory_mb]).to all(be_positive)
  end

  it "answers many readers at once as it answers one" do
    strategies = RandomStrategies.new(31, context.library.thesaurus, records)
    trees = Array.new(40) { strategies.tree }
    expected = trees.map { |tree| evaluator.call(tree).to_a }
    fresh = Hobrin::Retrieval::Evaluator.new(index: context.library.index, thesaurus: context.library.thesaurus,
                                             cache: Hobrin::Retrieval::Evaluator::LeafCache.new(most_bytes: 20_000))
    answers = Array.new(6) do
      Thread.new do
        trees.map do |tree|
          fresh.call(tree).to_a
        end
      end
    end.map(&:value)
    expect(answers.uniq).to eq([expected])
  end

  it "links the same doubles as comparing every pair" do
    titles = ["Sleep", "sleep!", "Noise"]
    papers = Array.new(90) do |number|
      author = Hobrin::Records::Author.new(family: %w[Zorvane Wistrow][random.rand(2)])
      doi = random.rand < 0.6 ? "10.5555/#{random.rand(25)}" : nil
      a_record(id: "p#{number}", title: titles[random.rand(3)], published: %w[2020 2021][random.rand(2)], doi:,
               authors: [author], pages: "#{random.rand(3)}-9")
    end
    with_home do |fresh|
      papers.each_slice(30) { |some| fresh.library.add(some) }
      links = fresh.library.duplicates.within(fresh.library.index.everything)
      links.each do |number, first|
        expect([first < number,
                different_dois?(papers[number - 1], papers[first - 1])]).to eq([true, false])
      end
      certain = earlier(papers) { |one, two| one.doi && one.doi == two.doi }
      possible = earlier(papers) { |one, two| same_paper?(one, two) }
      expect([certain - links.keys, links.keys - possible]).to eq([[], []])
    end
  end

  # Numbers of the papers for which the block holds with some earlier one.
  def earlier(papers)
    papers.each_index.select do |place|
      papers.first(place).any? do |other|
        yield(papers[place], other)
      end
    end.map(&:succ)
  end

  # Written out anew: by DOI where both have one, else by what is printed on them.
  # By comparing every pair, without the keys by which the library finds them.
  def same_paper?(one, two)
    return one.doi == two.doi if one.doi && two.doi

    Hobrin::Records::SamePaper.call(one, two)
  end

  def different_dois?(one, two) = !one.doi.nil? && !two.doi.nil? && one.doi != two.doi
end
