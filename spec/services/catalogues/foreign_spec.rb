# frozen_string_literal: true

require "net/http"

# Real programs of others on either end. Sources: Debian's Zebra 2.2 as the catalogue that is asked;
# Debian's zoomsh and yaz-client as those who ask. They share nothing with Hobrin.
RSpec.describe Hobrin::Catalogue::Sru, :outside, :slow do
  let(:some) { SampleHome.records.first(1_500) }
  let(:strategies) do
    RandomStrategies.new(21, Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings),
                         some)
  end
  let(:words_of) do
    %w[sleep* deliri* earplug* music noise night patients pain* care ward] + ["intensive care",
                                                                              "eye masks"]
  end

  # What both can say: words, phrases and beginnings of words in a field or anywhere, headings,
  # kinds of study, years.
  def leaf
    s = Hobrin::Strategy
    case rand(6)
    when 0 then s::TextTerm.read(strategies.pick(words_of),
                                 fields: [strategies.pick(%i[title abstract keywords headings])])
    when 1, 2 then s::TextTerm.read(strategies.pick(words_of), fields: s::TextTerm::FIELDS.keys)
    when 3 then s::Heading.new(label: strategies.pick(some).headings.map(&:label).first || "Noise",
                               narrower: false)
    when 4 then s::Limit.new(name: :type,
                             values: strategies.some(%w[guideline survey] + ["systematic review",
                                                                             "randomized controlled trial"]
                                                                  .intersection(Hobrin::Records::StudyTypes::ALL)))
    else s::Dates.years(from_year: rand(2000..2014), to_year: rand(2015..2024))
    end
  rescue Hobrin::InputError
    retry
  end

  def trees = Array.new(200) { strategies.tree(2) { leaf } }

  # A Hobrin whose papers came in as the very MARCXML that the other program has.
  def with_both
    marcxml = Hobrin::Exchange::Marcxml::Writer.call(some, sample: true)
    with_home do |context|
      Hobrin::Services::Imports::ImportThesaurus.new(context).call(Hobrin::Demo::SampleThesaurus.headings)
      outcome = Hobrin::Services::Imports::ImportRecords.new(context).call(StringIO.new(marcxml))
      expect(outcome.to_h).to include(added: some.size, refused: 0, format: :marcxml)
      yield context, marcxml
    end
  end

  it "finds in Zebra, for 200 random searches, what it finds here" do
    with_both do |context, marcxml|
      Zebra.serve(marcxml) do |address|
        fetch = Hobrin::Outside::Fetch.new(Hobrin::Outside::Allowed.new(address[%r{//([^/]+)}, 1]),
                                           wait: ->(_) {})
        source = Hobrin::Outside::Sources::Sru.new(fetch, address)
        ability = source.ability
        expect([ability.title, ability.schema, ability.masks]).to eq(["Zebra", "marcxml", ["*"]])
        translation = Hobrin::Catalogue::Translation.new(ability:, evaluator: context.evaluator)
        trees.each do |tree|
          part = translation.call(tree)
          expect([part.text, source.count(part.text)]).to eq([part.text,
                                                              context.evaluator.count(part.became)])
        end
        compare_records(context, source)
      end
    end
  end

  # The records come back as they went.
  def compare_records(context, source)
    answer = source.search("dc.title = sleep", from: 3, most: 20, schema: "marcxml")
    records = answer.records.each_with_index.map do |text, place|
      Hobrin::Catalogue.record(text,
                               format: :marcxml, place:)
    end
    expect(records.size).to eq(20)
    records.each do |record|
      expect(record).to eq(context.library.record(record.id).with(headings: record.headings,
                                                                  keywords: record.keywords))
    end
  end

  it "answers zoomsh and yaz-client, for 200 random searches, with the number of the command line" do
    with_both do |context, _|
      texts = trees.map { |tree| Hobrin::Strategy::Cql.write(tree) }
      counts = texts.map { |text| Hobrin::Services::Library::Search.new(context).call(text).size }
      Wire.serve(Hobrin::Server.app(context, home: context.incoming.home)) do |port|
        asked = texts.map { |text| "find cql:#{text}" }
        out, = Open3.capture2("zoomsh", "set sru get", "set sru_version 1.2",
                              "connect http://127.0.0.1:#{port}/sru",
                              *asked, "quit")
        expect(out.scan(/: (\d+) hits/).flatten.map(&:to_i)).to eq(counts)
        lines = ["sru get 1.2", "open http://127.0.0.1:#{port}/sru", "querytype cql", "format xml",
                 *texts.first(20).map { |text| "find #{text}" }, "quit"]
        told, = Open3.capture2e("yaz-client", stdin_data: "#{lines.join("\n")}\n")
        expect(told.scan(/Number of hits: (\d+)/).flatten.map(&:to_i)).to eq(counts.first(20))
      end
    end
  end
end
