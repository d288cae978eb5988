# frozen_string_literal: true

require "builder"
require "cql_ruby"

RSpec.describe Hobrin::Strategy::Cql do
  let(:thesaurus) { Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings) }
  let(:filters) { Hobrin::Strategy::Filters.new([a_filter("balanced", words("placebo"))]) }
  let(:vocabulary) do
    records = SampleHome.records
    Hobrin::Strategy::Vocabulary.new(thesaurus:, filters:, journals: records.map(&:journal).uniq,
                                     places: records.map(&:country).uniq)
  end
  let(:strategies) { RandomStrategies.new(51, thesaurus, SampleHome.records) }

  def read(text) = described_class.read(text, vocabulary)

  def error(text)
    read(text) && nil
  rescue Hobrin::InputError => e
    e
  end

  # A random leaf of every kind that has no place among random searches over records.
  def unusual
    strategies.pick([Hobrin::Strategy::Lines::Line.new(name: "line \"3\""),
                     Hobrin::Strategy::Filters::Filter.new(kind: "treatment", width: "balanced"),
                     Hobrin::Strategy::Author.read("van Ostrel, A B C D"), Hobrin::Strategy::Identifier.read("10.5555/A\\\"*b")])
  end

  it "reads back every tree that it writes", :slow do
    250.times do |turn|
      tree = strategies.tree(4) { turn % 5 == 4 ? unusual : strategies.any_leaf }
      text = described_class.write(tree)
      expect([text, read(text)]).to eq([text, tree])
      expect(described_class.write(read(text))).to eq(text)
    end
  end

  # Source: the examples of the specification (OASIS searchRetrieve 1.0, part 5), from memory.
  it "reads the examples of the specification" do
    any = ->(text) { Hobrin::Strategy::TextTerm.new(text:, fields: Hobrin::Strategy::TextTerm::FIELDS.keys) }
    title = ->(text) { words(text, fields: [:title]) }
    {
      "dinosaur not reptile" => Hobrin::Strategy::Except.new(kept: any["dinosaur"],
                                                             excluded: any["reptile"]),
      '(bird or dinosaur) and (feathers or "feed*")' =>
        Hobrin::Strategy::AllOf.of([Hobrin::Strategy::AnyOf.of([any["bird"], any["dinosaur"]]),
                                    Hobrin::Strategy::AnyOf.of([any["feathers"], any["feed*"]])]),
      'dc.title any "fish frog"' => Hobrin::Strategy::AnyOf.of([title["fish"], title["frog"]]),
      "ribs prox/distance<=5/unit=word chevrons" =>
        Hobrin::Strategy::Proximity.new(left: "ribs", right: "chevrons", distance: 5, fields: Hobrin::Strategy::TextTerm::FIELDS.keys),
      'dc.date within "2002 2005"' => Hobrin::Strategy::Dates.years(from_year: 2002, to_year: 2005),
      '> dc = "info:srw/cql-context-set/1/dc-v1.1" dc.title = "fish frog"' => title["fish frog"],
      "fish OR frog AND bird" => Hobrin::Strategy::AllOf.of([Hobrin::Strategy::AnyOf.of([any["fish"], any["frog"]]),
                                                             any["bird"]])
    }.each { |text, tree| expect([text, read(text)]).to eq([text, tree]) }
  end

  # Source: CQL 1.2 (the grammar's "term" includes and, or, not, prox; == is equality of the whole
  # field; a prefix without a name sets the default) and CQL 1.1 (exact), from memory.
  it "reads == and exact as the whole field, a bare Boolean as a term, and a context set without a name" do
    whole = ->(text) { Hobrin::Strategy::WholeText.new(text:, fields: [:title]) }
    title = ->(text) { words(text, fields: [:title]) }
    limit = ->(name, *values) { Hobrin::Strategy::Limit.new(name:, values:) }
    set = '> "info:srw/cql-context-set/1/dc-v1.1"'
    {
      'dc.title == "Fish frog"' => whole["fish frog"], 'dc.title exact "fish frog"' => whole["fish frog"],
      'dc.title == fish or hobrin.keywords == "Fish"' => whole["fish"].with(fields: %i[title keywords]),
      'hobrin.place == "United Kingdom"' => limit[:place, "United Kingdom"],
      'hobrin.place any "United Kingdom India"' => limit[:place, "United Kingdom", "India"],
      'dc.language any "English fra"' => limit[:language, "eng", "fra"],
      "dc.title = and" => title["and"], "(dc.title = or)" => title["or"],
      "and and dc.title = not" => Hobrin::Strategy::AllOf.of([read("\"and\""), title["not"]]),
      "#{set} title = fish" => title["fish"],
      "(#{set} title = fish) or dc.title = frog" => Hobrin::Strategy::AnyOf.of([title["fish"], title["frog"]])
    }.each { |text, tree| expect([text, read(text)]).to eq([text, tree]) }
    { "sleep\\" => "makes the next character literal", "sleep \"" => "quotation mark",
      "(#{set} title = fish) or title = frog" => "no index “title”",
      '> "nowhere" fish' => "no context set", "and sleep" => "a search word or \\(" }.each do |text, message|
      expect([text, error(text)&.message]).to match([text, /#{message}/])
    end
  end

  it "takes an aspect that only a narrower heading allows, when those are searched, too" do
    top = thesaurus.headings.find do |one|
      (thesaurus.aspects(one.label, narrower: true) - one.aspects).any?
    end
    aspect = (thesaurus.aspects(top.label, narrower: true) - top.aspects).first
    text = ->(narrower) { "dc.subject =#{narrower}/hobrin.aspect=\"#{aspect}\" \"#{top.label}\"" }
    expect(read(text["/hobrin.narrower"])).to have_attributes(narrower: true, aspects: [aspect])
    expect(error(text[""]).message).to include("has no subheading")
  end

  # Source: the cql-ruby gem, a reader that shares nothing with ours. It cannot read every term (a
  # bare letter, an escaped mask), so what it refuses is left out, and most must remain.
  it "sees the same clauses and Booleans as another reader of CQL", :outside do
    compared = 150.times.count do
      text = described_class.write(strategies.tree(4))
      theirs = begin
        CqlRuby::CqlParser.new.parse(text)
      rescue CqlRuby::CqlException
        next
      end
      expect([text,
              shape(described_class::Parser.new(text).call)]).to eq([text, their_shape(theirs)])
    end
    expect(compared).to be > 100
  end

  def shape(node)
    if node.is_a?(described_class::Parser::Clause)
      return [node.index&.plain, node.relation&.text, modifiers(node.modifiers), node.term.plain]
    end

    node.links.reduce(shape(node.first)) do |left, link|
      [link.operator.text, modifiers(link.modifiers), left, shape(link.right)]
    end
  end

  def modifiers(list) = list.map { |one| [one.name.text, one.comparison&.text, one.value&.plain] }

  def their_shape(node)
    set = (node.is_a?(CqlRuby::CqlTermNode) ? node.relation : node).modifier_set
    with = set.instance_variable_get(:@modifiers).map do |one|
      %w[@type @comparison @value].map do |name|
        one.instance_variable_get(name)
      end
    end
    return [node.index, set.instance_variable_get(:@base), with, node.term.gsub(/\\(.)/, '\1')] if node.is_a?(CqlRuby::CqlTermNode)

    [set.instance_variable_get(:@base), with, their_shape(node.left_node),
     their_shape(node.right_node)]
  end

  it "says at which column what was found and what was expected" do
    {
      "(sleep" => [7, /the end, expected and, or, not, prox or \)/], "sleep and" => [10, /the end, expected a search word/],
      "sleep delirium" => [7, /“delirium”, expected and, or, not, prox or the end\. Put a phrase/], 'a or "open' => [6, /never closed/],
      "sleep )" => [7, /“\)”/], "dc.titel = x" => [1, /no index “dc.titel”. Did you mean “dc.title”/],
      "hobrin.language = eng" => [1, /Did you mean “dc.language”/], "dc.subject any x" => [12, /“any”, expected =/],
      'sleep and dc.subject = "Delirum"' => [24, /not a heading.*Did you mean “Delirium”/], "dc.type = rct" => [11, /not one of the choices/],
      'dc.type = "randomised trial"' => [11, /“randomized controlled trial”/], "dc.language = klingonese" => [15, /klingonese/],
      'hobrin.journal = "Delirium Record"' => [18, /“The Delirium Record”/], "hobrin.place = Narnia" => [16, /No paper here/],
      "dc.date = soon" => [11, /a year or a date/], 'dc.date within "2020"' => [16, /two dates/], 'dc.date within "2020 2010"' => [16, /before 2020/],
      "ea*" => [1, /at least 3 letters/], "***" => [1, /Enter a word/], '"?!"' => [1, /Enter a word/], '"…"' => [1, /no word/],
      "a prox/unit=sentence b" => [13, /unit=word/], "a prox/distance>5 b" => [8, /distance<=5/], "a prox (b or c)" => [3, /joins two words/],
      "a and/x b" => [7, /takes no modifiers/], "dc.title =/stem x" => [12, /“stem” is not known/], "^sleep" => [1, /\^ is not used/],
      'dc.subject =/hobrin.aspect="cooking" Delirium' => [28, /no subheading/], "sleep sortBy dc.date" => [7, /sortBy/],
      "hobrin.filter = treatment/wide" => [26, %r{“/”}], 'hobrin.filter = "treatment/wide"' => [17, %r{treatment/balanced}],
      "x" * 60_000 => [1, /50.000 characters/], "#{"(" * 80}x" => [61, /too deep/], "> dc = \"urn:x\" a" => [8, /its own set/]
    }.each do |text, (column, message)|
      found = error(text)
      expect([text[0, 40], found.class, found&.column,
              found&.message]).to match([text[0, 40], described_class::Error, column, message])
    end
  end

  it "puts earlier lines in their place, and names those that are not there or go round" do
    lines = Hobrin::Strategy::Lines.new("1" => words("sleep"),
                                        "2" => read('cql.resultSetId = 1 not dc.title = "noise"'),
                                        "loop" => Hobrin::Strategy::Lines::Line.new(name: "loop"))
    expect(lines.resolve(read("cql.resultSetId = 2 and delirium"))).to eq(
      read('(hobrin.text = "sleep" not dc.title = "noise") and delirium')
    )
    expect { lines.resolve(read("cql.resultSetId = 7")) }
      .to raise_error(Hobrin::InputError, /no line “7”/)
    expect { lines.resolve(read("cql.resultSetId = loop")) }.to raise_error(Hobrin::InputError,
                                                                            /back to itself/)
  end

  it "reads what people type for authors in any order" do
    typed = ["Zorvane A", "A Zorvane", "zorvane, ada", "A. Zorvane", "Zorvane A."]
    expect(typed.map { |one| read("dc.creator = \"#{one}\"") }.uniq)
      .to eq([Hobrin::Strategy::Author.new(family: "zorvane", initials: "a")])
    expect(read('dc.creator any "Zorvane Wistrow"').parts.map(&:family)).to eq(%w[zorvane wistrow])
  end
end
