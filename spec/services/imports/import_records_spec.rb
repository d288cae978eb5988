# frozen_string_literal: true

# The same papers by different roads, and what a library is like when something goes wrong on the
# way.
RSpec.describe Hobrin::Services::Imports::ImportRecords do
  let(:records) { SampleHome.records.each_slice(200).map(&:first) }

  def import(context, text, **rest, &)
    described_class.new(context).call(StringIO.new(text), **rest, &)
  end

  def written(format, some = records) = Hobrin::Exchange::FORMATS.fetch(format)::Writer.call(some)

  # What a library answers, without the numbers it gives its records.
  def answers(context)
    index = context.library.index
    searches = ["sleep*", "hobrin.keywords = care", "dc.date >= 2015",
                'dc.subject = "Falls"'].map do |cql|
      Hobrin::Services::Library::Search.new(context).then { |search| search.records(search.call(cql)).map(&:doi).sort }
    end
    [index.everything.size, index.values(:journal), index.values(:year), *searches]
  end

  it "answers alike whether the papers came as RIS, BibTeX or CSL-JSON" do
    headings = Hobrin::Demo::SampleThesaurus.headings
    all = %i[csl ris bibtex].map do |format|
      with_home do |context|
        Hobrin::Services::Imports::ImportThesaurus.new(context).call(headings)
        expect(import(context,
                      written(format)).to_h).to include(format:, added: records.size, refused: 0)
        answers(context)
      end
    end
    expect(all.uniq.size).to eq(1)
    expect(all.first.last(4)).to all(be_any)
  end

  it "counts names that no heading has over the whole file, however far its papers lie apart" do
    names = { 1 => "rare", 2_150 => "rare", 3 => "once", 5 => "often", 6 => "often", 1_200 => "often",
              2_199 => "often" }
    text = Array.new(2_200) do |place|
      "TY  - JOUR\nID  - n#{place}\nTI  - Night #{place}\n#{"KW  - #{names[place]}\n" if names[place]}ER  - \n"
    end.join
    with_home do |context|
      Hobrin::Services::Imports::ImportThesaurus.new(context).call([a_heading("Sleep")])
      import(context, text)
      expect(context.library.imports.headings(1)).to eq("often" => 4, "rare" => 2)
    end
  end

  it "is the same library whether it came at once, in parts, or the other way round" do
    libraries = [[records], records.each_slice(7), records.reverse.each_slice(25)].map do |parts|
      with_home do |context|
        Hobrin::Services::Imports::ImportThesaurus.new(context).call(Hobrin::Demo::SampleThesaurus.headings)
        parts.each { |some| import(context, written(:csl, some)) }
        answers(context)
      end
    end
    expect(libraries.uniq.size).to eq(1)
  end

  it "tells how far it is, and keeps what is in when it is stopped in the middle of a batch" do
    many = Array.new(9_000) { |place| a_record(id: "r#{place}", title: "Paper #{place}") }
    seen = []
    with_home do |context|
      text = written(:csl, many)
      import(context, text) { |entries, bytes| seen << [entries, bytes] }
      expect(seen.map(&:first)).to eq((1..9).map { |piece| piece * 1_000 })
      expect(seen.map(&:last)).to eq(seen.map(&:last).sort)
      expect(seen.last.last).to eq(text.bytesize)
      others = written(:csl, many.map { |record| record.with(id: "x#{record.id}") })
      cut = others[0..others.index("title", others.size * 2 / 3)]
      outcome = import(context, cut)
      expect(outcome.refusals.map(&:reason)).to eq(["the file ends inside this entry"])
      expect(context.library.size).to eq(9_000 + outcome.added)
    end
  end

  it "leaves the headings as they are when a thesaurus does not hang together, or cannot be read" do
    with_home do |context|
      service = Hobrin::Services::Imports::ImportThesaurus.new(context)
      service.call([a_heading("Sleep")])
      prefix = "@prefix skos: <#{Hobrin::Exchange::Skos::CORE}> .\n"
      { "#{prefix}<urn:a> skos:prefLabel \"A\" ; skos:broader <urn:a> ." => /A lies below itself/, "#{prefix}<urn:a> skos:prefLabel" => /not Turtle/,
        "#{prefix}<urn:a> a <urn:b> ." => /no heading/, "%PDF-1.7" => /not Turtle, N-Triples or RDF/ }.each do |text, message|
        expect { service.skos(StringIO.new(text)) }.to raise_error(Hobrin::InputError, message)
        expect(context.library.thesaurus.headings.map(&:label)).to eq(["Sleep"])
      end
      shared = "#{prefix}<urn:a> skos:prefLabel \"A\" ; skos:altLabel \"x\" . " \
               "<urn:b> skos:prefLabel \"B\" ; skos:altLabel \"x\" ."
      expect(service.skos(StringIO.new(shared)).to_h).to eq(headings: 2,
                                                            warnings: ["“x” leads to A and B."])
    end
  end
end
