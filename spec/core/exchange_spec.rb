# frozen_string_literal: true

require "tempfile"

RSpec.describe Hobrin::Exchange do
  let(:record) do
    a_record(
      id: "10.5555/x", doi: "10.5555/x", title: "Sleep\nand \"noise\" & {light} at 100%", language: "eng",
      abstract: "One.\r\nER  - two @x{ $5_a ~ ^ \\ #", journal: "Made-Up Journal & Co", published: "2021-03",
      volume: "4", issue: "2", pages: "12-19", country: "Norway", added: "2021-03-15",
      keywords: ["ear plugs", "délire"], types: ["guideline"], ages: ["aged"], sex: ["female"], species: ["humans"],
      flags: ["peer reviewed"], cites: ["10.5555/y"], links: ["https://example.org/x"],
      authors: [Hobrin::Records::Author.new(family: "Zørvane", given: "Ada B.", nurse: true),
                Hobrin::Records::Author.new(family: "van der Wistrow", given: "Per")],
      headings: [Hobrin::Records::Indexing.new(label: "Sleep", main: true, aspects: ["nursing"])]
    )
  end
  let(:records) { [record, *SampleHome.records.first(60)] }

  def write(format, list) = described_class::FORMATS.fetch(format)::Writer.call(list, sample: true)

  def read(text, format: described_class.detect(text[0, 4000]))
    described_class.read(text, format:)
  end

  it "reads back from CSL-JSON what it wrote, to the last field" do
    expect(read(write(:csl, records))).to eq([records, []])
  end

  # Source: the CSL-JSON schema, csl-data.json of CSL 1.0.2: keys, names and dates (from memory).
  it "writes CSL-JSON with the keys and shapes of the schema" do
    item = JSON.parse(write(:csl, [record])).first
    expect(item.keys - %w[id type title author container-title volume issue page issued DOI abstract keyword language
                          note custom]).to eq([])
    expect(item).to include("issued" => { "date-parts" => [[2021, 3]] }, "note" => /Made-up sample record/,
                            "author" => [{ "family" => "Zørvane", "given" => "Ada B." },
                                         { "family" => "van der Wistrow", "given" => "Per" }])
  end

  # The parts of a record that every reference format carries, with white space as one space.
  def common(record)
    { title: record.title.gsub(/\s+/, " "), authors: record.authors.map { |author| [author.family, author.given] },
      journal: record.journal, year: record.year, volume: record.volume, pages: record.pages, doi: record.doi }
  end

  def their_common(item)
    family = lambda { |name|
      [name["non-dropping-particle"] || name["dropping-particle"], name["family"]].compact.join(" ")
    }
    { title: item["title"].gsub(/\s+/, " "), authors: item.fetch("author", []).map { |name| [family[name], name["given"]] },
      journal: item["container-title"], year: item.dig("issued", "date-parts", 0, 0)&.to_i,
      volume: item["volume"]&.to_s,
      pages: item["page"]&.tr("–", "-"), doi: item["DOI"] }
  end

  # Source: the citation-js packages of npm (their own readers and writers of RIS, BibTeX and
  # CSL-JSON).
  it "is understood by other programs in every format, and understands them", :outside do
    %i[csl ris bibtex].each do |format|
      theirs = SecondOpinion.call(write(format, records), to: "csl")
      expect([format, theirs.map { |item| their_common(item) }])
        .to eq([format, records.map { |one| common(one) }])
    end
    plain = records.drop(1)
    %w[ris bibtex].each do |format|
      back, refused = read(SecondOpinion.call(write(:csl, plain), to: format))
      expect([format, refused, back.map { |one| common(one) }])
        .to eq([format, [], plain.map { |one| common(one) }])
    end
  end

  # Source: the bibtex-ruby gem reads what we wrote, and our own readers read it with every field
  # that the format has.
  it "loses nothing that RIS and BibTeX have a place for" do
    thesaurus = Hobrin::Thesaurus.new([a_heading("Sleep", aspects: ["nursing"])])
    %i[ris bibtex].each do |format|
      back = read(write(format, [record])).first.first
      headings, keywords = described_class::Indexing::Keyword.sorted(back.keywords, thesaurus)
      expect([format, common(back), headings,
              keywords]).to eq([format, common(record), record.headings, record.keywords])
      expect([back.published, back.language,
              back.abstract.gsub(/\s+/, " ")]).to eq(["2021-03", "eng", record.abstract.gsub(/\s+/, " ")])
    end
    expect(read(write(:ris,
                      [record])).first.first).to have_attributes(types: ["guideline"], links: record.links,
                                                                 id: record.id)
    require "bibtex"
    expect(BibTeX.parse(write(:bibtex, records)).map { |entry| entry[:doi].to_s })
      .to eq(records.map(&:doi))
  end

  # Source: the sample bibliographies of Debian's TeX packages, which bin/test fetches.
  it "reads the sample bibliographies of Debian's TeX", :outside do
    files = Dir[File.expand_path("../../var/outside/*.bib", __dir__)]
    expect(files.map { |file| File.basename(file) }).to include("xampl.bib", "btxdoc.bib")
    files.each do |file|
      text = File.binread(file)
      read, refused = described_class.read(text, format: :bibtex)
      entries = text.scan(/^@(\w+)\s*[{(]/).flatten.map(&:downcase) - %w[string comment preamble]
      # Entries whose bracket stands on the next line are not read, and that is said.
      stray, refused = refused.partition { |one| one.reason.include?("outside any entry") }
      expect([File.basename(file),
              read.size + refused.size]).to eq([File.basename(file), entries.size])
      expect([File.basename(file), stray.size]).to eq([File.basename(file), file.end_with?("btxdoc.bib") ? 2 : 0])
      expect(refused.map(&:reason)).to all(match(/title/))
      expect(read.map(&:title)).to all(match(/\A[^{}]+\z/))
    end
    example = File.binread(files.find { |file| file.end_with?("xampl.bib") })
    article = described_class.read(example, format: :bibtex).first.find do |one|
      one.published == "1986-07"
    end
    expect(article).to have_attributes(title: "The Gnats and Gnus Document Preparation System", year: 1986,
                                       volume: "41",
                                       issue: "7", pages: "73+", published: "1986-07")
  end

  it "survives the worst file: says which entries it refused, where and why, and takes the rest" do
    ris = "\xEF\xBB\xBFnoise\rTY  - JOUR\r\nTI  - One\r\nER  - \nTY  - JOUR\rAU  - Nobody\rER  - \rTY  - JOUR\nTI  - caf\xE9\n  \n goes on\nER  -\n" \
          "TY  - JOUR\nTI  - Cut o".b
    records, refused = read(ris)
    expect(records.map(&:title)).to eq(["One", "café goes on"])
    expect(refused.map { |one| [one.place, one.line] }).to eq([[2, 5], [4, 13]])
    expect(refused.map(&:reason)).to match([/title/, /ends inside/])

    json = "[{\"title\":\"A\"},{\"id\":2},7,\"x\",{\"title\":\"}]{\\\"\",\"author\":5},{bad},\n{\"title\":\"B\",\"a\":[{}]}\n,{\"title\":\"C".b
    records, refused = read(json)
    expect([records.map(&:title), refused.map(&:place)]).to eq([%w[A B], [2, 3, 4, 5, 6, 8]])
    expect(refused.map(&:line)).to eq([1, 1, 1, 1, 1, 3])

    bib = "@string{j = {Made-Up}}\n@article{a, title={One}, journal = j}\n@article{b, title={Open,\n@article{c, title={T\\\"wo {x}}}\n" \
          "@book{d, author={No Title}}\n@misc(e, title={Paren})\n@article{f, title={Cut".b
    records, refused = read(bib)
    expect(records.map { |one| [one.title, one.journal] })
      .to eq([%w[One Made-Up], ["Tẅo x", nil], ["Paren", nil]])
    expect(refused.map { |one| [one.place, one.line] }).to eq([[3, 3], [5, 5], [7, 7]])

    utf16 = "TY  - JOUR\r\nTI  - Größe\r\nER  - \r\n".encode("UTF-16LE").b.prepend("\xFF\xFE".b)
    expect(described_class.read(utf16, format: :ris).first.map(&:title)).to eq(["Größe"])
    expect([described_class.detect(utf16), described_class.detect(utf16[0, 33])]).to eq(%i[ris ris])
    ["{", "{}", "", "7"].each do |text|
      expect { described_class.read(text, format: :csl) }.to raise_error(Hobrin::InputError)
    end
  end

  it "gives the first entry of a large file before it has read the rest" do
    many = Array.new(3_000) { |place| record.with(id: place.to_s, abstract: "x" * 1_500) }
    %i[csl ris bibtex].each do |format|
      Tempfile.create("large") do |file|
        file.write(write(format, many))
        file.rewind
        first = described_class.to_enum(:each, file, format:).first.last
        expect([format, first.title.gsub(/\s+/, " "),
                file.pos < file.size / 5]).to eq([format, record.title.gsub(/\s+/, " "), true])
      end
    end
  end

  it "gives an entry without an id the same one each time, and passes over entries that are too long" do
    text = "[{\"title\":\"A\"},{\"title\":\"#{"x" * 1_100_000}\"},\n{\"title\":\"B\"}]"
    once = read(text)
    expect(once.first.map(&:id)).to eq(read(text).first.map(&:id))
    expect([once.first.map(&:title), once.last.map(&:reason)]).to match([%w[A B], [/longer than/]])
  end

  it "finds records of one paper by DOI, or else by the words of the title and the first author" do
    keys = Hobrin::Records::SamePaper::DuplicateKey
    doi, key = keys.doi(record), keys.key(record)
    expect(keys.doi(record.with(doi: "https://doi.org/10.5555/X"))).to eq(doi)
    expect(keys.doi(record.with(doi: "10.5555/other"))).not_to eq(doi)
    expect(keys.key(record.with(doi: nil, title: "SLEEP & noise - light at 100"))).to eq(key)
    expect(keys.key(record.with(published: "2022", pages: nil))).to eq(key)
    expect(keys.key(record.with(authors: []))).not_to eq(key)
    expect(keys.key(record.with(title: "Editorial", authors: []))).to be_nil
  end
end
