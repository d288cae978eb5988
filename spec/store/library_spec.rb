# frozen_string_literal: true

RSpec.describe Hobrin::Store::Library do
  let(:records) { Hobrin::Demo::SampleLibrary.new.records }
  let(:csl) { Hobrin::Exchange::CslJson::Writer.call(records, sample: true) }

  it "imports a file as often as one likes and holds each record once, unchanged" do
    with_home do |context|
      import = Hobrin::Services::ImportRecords.new(context)
      expect(import.call(csl).to_h).to include(added: records.size, known: 0, refused: [])
      version = context.library.version
      expect(import.call(csl).to_h).to include(added: 0, known: records.size)
      expect(context.library.version).not_to eq(version)
      expect(context.library.records_by_id(records.map(&:id))).to eq(records)
      expect(context.library.index.everything.size).to eq(records.size)
    end
  end

  it "answers for records that came later, too" do
    with_home do |context|
      import = Hobrin::Services::ImportRecords.new(context)
      context.evaluator
      [[a_record(id: "a", title: "Earplugs", published: "2026")],
       [a_record(id: "b", title: "More earplugs")]].each do |some|
        import.call(Hobrin::Exchange::CslJson::Writer.call(some))
        expect(context.evaluator.count(words("earplug*"))).to eq(context.library.size)
      end
      expect(context.library.index.unstated(:dates).to_a).to eq([2])
      expect(context.library.newest(context.library.index.everything, limit: 5).map(&:id)).to eq(%w[a b])
    end
  end

  it "takes the good entries of a bad file and says which were refused, and why" do
    items = [{ "id" => "1", "title" => "Good" }, { "id" => "2" }, "nonsense",
             { "id" => "3", "title" => "T", "author" => 7 }]
    with_home do |context|
      outcome = Hobrin::Services::ImportRecords.new(context).call(JSON.generate(items))
      expect([outcome.added, outcome.refused.map(&:place)]).to eq([1, [2, 3, 4]])
      expect(outcome.refused.first.reason).to include("title")
      ["{", "{}", "[1,"].each do |text|
        expect do
          Hobrin::Services::ImportRecords.new(context).call(text)
        end.to raise_error(Hobrin::InputError)
      end
    end
  end

  it "writes and reads the thesaurus alike" do
    thesaurus = Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings)
    with_home do |context|
      Hobrin::Services::ImportThesaurus.new(context).call(thesaurus.headings)
      expect(context.library.thesaurus.headings).to eq(thesaurus.headings)
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
