# frozen_string_literal: true

# What becomes of each part of a search in a catalogue that can do less, and what that changes.
RSpec.describe Hobrin::Catalogue::Translation, :sample do
  let(:evaluator) { context.evaluator }
  let(:kinds) { Hobrin::Demo::StandIns::StandIn::KINDS }
  let(:everything) { Hobrin::Services::Catalogues::AnswerSru::ABILITY }

  def part(leaf, ability) = described_class.new(ability:, evaluator:).call(leaf)
  def heading(label, **rest) = Hobrin::Strategy::Heading.new(label:, **rest)
  def limit(name, *values) = Hobrin::Strategy::Limit.new(name:, values:)

  # Each leaf, and for the plain and the rich stand-in: how the text begins, and what is said of it.
  let(:table) do
    s = Hobrin::Strategy
    { words("confusion") => [['cql.serverChoice = "confusion"', /anywhere/],
                             ['hobrin.text = "confusion"',
                              nil]],
      words("sleep*") => [["(cql.serverChoice = \"sleep", /truncation replaced/],
                          ['hobrin.text = "sleep*"', nil]],
      words("intensive care") => [['cql.serverChoice all "intensive care"', /all of its words/],
                                  ['hobrin.text adj "intensive care"', nil]],
      words("noise", fields: [:title]) => [['dc.title = "noise"', nil], ['dc.title = "noise"',
                                                                         nil]],
      words("s??ep qual*") => [["cql.serverChoice all \"sleep quality\"", /truncation replaced/],
                               ["hobrin.text adj \"sleep quality\"", /truncation replaced/]],
      words("zzzz*") => [["", /no paper here/], ['hobrin.text = "zzzz*"', nil]],
      s::Proximity.new(left: "noise", right: "night", distance: 4) =>
        [["(cql.serverChoice = \"noise\" and", /proximity was turned into AND/],
         ["(hobrin.text = \"noise\" prox/unit=word", nil]],
      s::WholeText.new(text: "noise",
                       fields: [:title]) => [['dc.title = "noise"', /whole field/],
                                             ['dc.title == "noise"', nil]],
      heading("Delirium") => [["(cql.serverChoice = \"delirium\"", /names in text words/],
                              ["(dc.subject = \"Delirium\"", /one by one/]],
      heading("Noise") => [["(cql.serverChoice = \"noise\"", /names in text words/],
                           ['dc.subject = "Noise"', nil]],
      heading("Delirium", narrower: false, main: true) => [["(cql.serverChoice",
                                                            /main topic or not/],
                                                           ['dc.subject = "Delirium"',
                                                            /main topic or not/]],
      heading("*", aspects: ["nursing"]) => [["", /subheadings are not supported/], ["",
                                                                                     /subheadings are not supported/]],
      limit(:type, "guideline") => [['cql.serverChoice = "guideline"', /turned into words/],
                                    ['dc.type = "guideline"', nil]],
      limit(:age, "adult") => [["", /left out/], ["", /left out/]],
      limit(:language, "eng") => [["", /left out/], ['dc.language = "eng"', nil]],
      s::Dates.years(from_year: 2020) => [["dc.date >= 2020", nil], ["dc.date >= 2020", nil]],
      s::Dates.years(from_year: 2019, to_year: 2021) => [["(dc.date >= 2019 and dc.date <= 2021)",
                                                          nil],
                                                         ['dc.date within "2019 2021"', nil]],
      s::Author.read("Zorvane A") => [['dc.creator = "zorvane, A"', nil],
                                      ['dc.creator = "zorvane, A"', nil]],
      s::Journal.named("Bedside Evidence") => [["", /left out/], ["", /left out/]],
      s::Identifier.read("10.5555/x") => [["", /left out/], ['dc.identifier = "10.5555/x"', nil]],
      s::Filters::Filter.new(kind: "treatment", width: "balanced") => [["(", /filter’s own words/], ["(",
                                                                                                     /filter’s own words/]],
      s::Everything.new => [["", /left out/], ["cql.allRecords = 1", nil]] }
  end

  it "says for every leaf and each stand-in what is asked, what was changed, and what that does here" do
    table.each do |leaf, (plain, rich)|
      { "plain" => plain, "rich" => rich }.each do |kind, (text, note)|
        found = part(leaf, kinds.fetch(kind).ability)
        said = found.notes.join("; ")
        expect([kind, leaf, found.text]).to match([kind, leaf,
                                                   text.empty? ? "" : start_with(text)])
        expect([kind, leaf, said]).to match([kind, leaf, note || ""])
        # What is asked as it is finds what it found.
        expect([kind, evaluator.call(found.became)]).to eq([kind, evaluator.call(leaf)]) if found.same?
      end
    end
    expect(table.keys.map(&:class).uniq.size).to eq(11)
  end

  # What is read there is the tree that was counted here.
  it "writes what it says: the text, read again, finds what the changed search finds", :slow do
    strategies = RandomStrategies.new(18, context.library.thesaurus, SampleHome.records)
    40.times do
      tree = strategies.tree(2)
      kinds.each_value do |kind|
        found = part(tree, kind.ability)
        next if found.left_out?

        read = Hobrin::Strategy::Cql.read(found.text, context.vocabulary)
        expect([found.text, evaluator.call(read)]).to eq([found.text,
                                                          evaluator.call(found.became)])
      end
    end
  end

  it "is the same search for a catalogue that can do everything" do
    strategies = RandomStrategies.new(19, context.library.thesaurus, SampleHome.records)
    told = Hobrin::Catalogue::Sru::Explain.read(Hobrin::Catalogue::Sru::Explain.write(everything,
                                                                                      host: "h",
                                                                                      port: 1,
                                                                                      path: "sru"))
    expect(told).to eq(everything)
    200.times do
      tree = strategies.tree
      found = part(tree, told)
      expect([found.became, found.notes, found.text]).to eq([tree, [],
                                                             Hobrin::Strategy::Cql.write(tree)])
    end
    (2..5).each do |id|
      opened = Hobrin::Services::Inquiries::Read.new(context).call(id)
      plan = Hobrin::Catalogue::Plan::Planning.new(cascade: opened.cascade, question: opened.question,
                                                   ability: told,
                                                   evaluator:).call
      lines = Hobrin::Brief::SearchLines.new(question: opened.question, cascade: opened.cascade,
                                             evaluator:)
      expect([id, plan.query]).to eq([id, lines.cql])
    end
  end

  it "keeps what a person wrote for a line, and makes the whole of it" do
    opened = Hobrin::Services::Inquiries::Read.new(context).call(1)
    plan = Hobrin::Catalogue::Plan::Planning.new(cascade: opened.cascade, question: opened.question,
                                                 ability: kinds.fetch("plain").ability, evaluator:).call
    first = plan.lines.first
    changed = plan.edited(first.number => "icu", 5 => "")
    expect(changed.lines.first.to_h).to include(there: "icu", notes: ["edited by you"],
                                                wider: nil)
    expect(changed.query).to start_with("((icu or ")
    expect(changed.lines[7].there).not_to include("critically ill\")")
    expect(plan.edited({})).to eq(plan)
  end
end
