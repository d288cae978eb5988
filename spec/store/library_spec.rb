# frozen_string_literal: true

RSpec.describe Hobrin::Store::Library, :slow do
  let(:records) { SampleHome.records.each_slice(8).map(&:first) }
  let(:csl) { Hobrin::Exchange::CslJson::Writer.call(records, sample: true) }

  def import(context, text, **rest, &)
    Hobrin::Services::Imports::ImportRecords.new(context).call(StringIO.new(text), **rest, &)
  end

  def csl_of(*some) = Hobrin::Exchange::CslJson::Writer.call(some)

  it "imports a file as often as one likes and holds each record once, unchanged" do
    with_home do |context|
      expect(import(context,
                    csl).to_h).to include(added: records.size, known: 0, refused: 0, format: :csl)
      expect(import(context, csl).to_h).to include(added: 0, known: records.size, refused: 0)
      expect(context.library.records_by_id(records.map(&:id))).to eq(records)
      expect(context.library.index.everything.size).to eq(records.size)
    end
  end

  it "answers for records that came later, too" do
    with_home do |context|
      context.evaluator
      [a_record(id: "a", title: "Earplugs", published: "2026"),
       a_record(id: "b", title: "More earplugs")].each do |one|
        import(context, csl_of(one))
        expect(context.evaluator.count(words("earplug*"))).to eq(context.library.size)
      end
      expect(context.library.index.unstated(:dates).to_a).to eq([2])
      expect(context.library.newest(context.library.index.everything,
                                    limit: 5).map(&:id)).to eq(%w[a b])
    end
  end

  it "takes the good entries of a bad file and says which were refused, and why" do
    items = [{ "id" => "1", "title" => "Good" }, { "id" => "2" }, "nonsense",
             { "id" => "3", "title" => "T", "author" => 7 },
             { "id" => "1", "title" => "Quite another" }, { "id" => "1", "title" => "GOOD" }]
    with_home do |context|
      outcome = import(context, JSON.generate(items))
      expect([outcome.added, outcome.known, outcome.refusals.map(&:place)]).to eq([2, 1, [2, 3, 4]])
      expect(outcome.refusals.map(&:reason)).to match([/title/, /not a CSL item/, /wrong type/])
      ["", "what is this"].each { |text| expect { import(context, text) }.to raise_error(Hobrin::InputError, /empty|none of this file’s format/) }
    end
  end

  it "keeps papers of two files apart that both count from 1, and knows each again" do
    with_home do |context|
      files = %w[first second].map do |name|
        csl_of(*Array.new(30) { |place| a_record(id: place.to_s, title: "Paper #{place} of the #{name} file") })
      end
      added = (files + files).map { |text| import(context, text).to_h.slice(:added, :known, :refused) }
      expect(added).to eq([{ added: 30, known: 0, refused: 0 }] * 2 + [{ added: 0, known: 30, refused: 0 }] * 2)
      expect(context.library.size).to eq(60)
    end
  end

  it "goes on where an import was stopped, and ends with the same library" do
    many = Array.new(5_000) do |place|
      a_record(id: "r#{place}", title: "Paper #{place}", published: "20#{10 + (place % 9)}",
               types: ["guideline"])
    end
    text = csl_of(*many)
    with_home do |context|
      stop = Class.new(StandardError)
      expect do
        import(context, text) do |entries, _|
          raise stop if entries == 4_000
        end
      end.to raise_error(stop)
      expect(context.library.size).to eq(4_000)
      outcome = import(context, text)
      expect([outcome.resumed, outcome.added, context.library.size]).to eq([4_000, 1_000, 5_000])
      expect(context.library.index.facet(:type, ["guideline"]).size).to eq(5_000)
      expect(import(context, text).to_h).to include(resumed: 0, added: 0, known: 5_000)
    end
  end

  it "links records that are the same paper and hides none of them" do
    author = [Hobrin::Records::Author.new(family: "Zorvane", given: "Ada")]
    one = a_record(id: "1", title: "Sleep and light", doi: "10.5555/s", published: "2020", authors: author,
                   pages: "1-9")
    with_home do |context|
      import(context, csl_of(one, a_record(id: "x", title: "Other", doi: "10.5555/o")))
      others = [{ id: "2", doi: "https://doi.org/10.5555/S" }, { id: "3", doi: nil, title: "Sleep & light" },
                { id: "4", doi: nil, title: "Sleep -- and Light" }, { id: "5", doi: "10.5555/t" }]
      outcome = import(context, csl_of(*others.map { |changes| one.with(**changes) }))
      expect([outcome.added, outcome.duplicates, context.library.size]).to eq([4, 3, 6])
      expect(context.library.duplicates.within(context.library.index.everything)).to eq(3 => 1, 4 => 1, 5 => 1)
    end
  end

  it "files keywords that are headings under them, and headings under their preferred labels" do
    headings = [a_heading("Sleep", aspects: ["nursing"]),
                a_heading("Delirium", also_called: ["acute confusion"])]
    ris = "TY  - JOUR\nTI  - One\nKW  - *acute confusion\nKW  - Sleep/nursing\nKW  - sleep\nKW  - ear plugs\nER  -\n"
    with_home do |context|
      Hobrin::Services::Imports::ImportThesaurus.new(context).call(headings)
      expect(import(context, ris).format).to eq(:ris)
      stated = a_record(id: "b",
                        headings: [Hobrin::Records::Indexing.new(label: "Acute Confusion"),
                                   Hobrin::Records::Indexing.new(label: "Nowhere")])
      expect(import(context, csl_of(stated)).strange).to eq("Nowhere" => 1)
      one, two = context.library.newest(context.library.index.everything, limit: 2)
      expect([one.headings.map { |head| [head.label, head.main, head.aspects] }, one.keywords])
        .to eq([[["Delirium", true, []], ["Sleep", false, ["nursing"]]], ["sleep", "ear plugs"]])
      expect(two.headings.map(&:label)).to eq(%w[Delirium Nowhere])
    end
  end

  it "writes and reads the thesaurus alike" do
    thesaurus = Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings)
    with_home do |context|
      Hobrin::Services::Imports::ImportThesaurus.new(context).call(thesaurus.headings)
      expect(context.library.thesaurus.headings).to eq(thesaurus.headings)
    end
  end

  it "says in one line that a file is from before the first release" do
    Dir.mktmpdir do |folder|
      { library: %i[records duplicate_of],
        inquiries: %i[trail facts] }.each do |kind, (table, column)|
        path = File.join(folder, "old-#{kind}.sqlite3")
        Hobrin::Store::Database.open(path, kind:).tap { |db| db.drop_column(table, column) }.disconnect
        expect { Hobrin::Store::Database.open(path, kind:) }
          .to raise_error(Hobrin::StateError, /\A#{path} is from a Hobrin before the first release.*\z/)
      end
    end
  end

  it "says in one line that a folder cannot be written" do
    Dir.mktmpdir do |folder|
      File.write(File.join(folder, "file"), "")
      expect { Hobrin::Store::Database.open(File.join(folder, "file", "library.sqlite3"), kind: :library) }
        .to raise_error(Hobrin::StateError, /\ACannot write .*\z/)
    end
  end
end
