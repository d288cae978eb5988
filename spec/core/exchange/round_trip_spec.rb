# frozen_string_literal: true

# Out and in again, through each of the formats: what the format can hold comes back; what it cannot
# is said here and in docs/formats.md.
RSpec.describe Hobrin::Exchange, :slow do
  let(:thesaurus) { Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings) }

  # Signs that some format has a use of its own for, letters beyond ASCII, and parts of words.
  let(:signs) do
    %w[a B é ø 字 ½ ₂ and AND ' '' ` `` " $ \\ { } & % # _ ~ ^ < > | - -- – @ , : ! ? * / + = ( ) [ ] 10.5 SpO2
       \\emph] + [" "] * 8
  end

  def through(format, records)
    text = described_class::FORMATS.fetch(format)::Writer.call(records)
    back, refused = described_class.read(text, format:)
    expect([format, refused]).to eq([format, []])
    back
  end

  # A record with only what RIS has a place for; without its white space.
  def in_ris(record)
    line = ->(text) { text&.gsub(/[[:space:]]+/, " ")&.strip }
    authors = record.authors.map do |one|
      one.with(nurse: false, given: one.given_and_particle, particle: nil)
    end
    record.with(title: line[record.title], abstract: line[record.abstract], authors:, ages: [], sex: [], species: [],
                country: nil, added: nil, flags: [], cites: [])
  end

  # What catalogues exchange has a place for the same, and for a paper that was taken back.
  def in_xml(record) = in_ris(record).with(flags: record.flags & ["retracted"])

  # BibTeX has no place for an id beside the DOI, for study types, nor for a second link.
  def in_bibtex(record)
    in_ris(record).with(types: [], links: record.links.first(1), id: record.doi || "none")
  end

  # As the library has it: headings among keywords are found, in either.
  def filed(record)
    fitted = Hobrin::Exchange::Indexing.new(thesaurus).call(record)
    { **fitted.to_h, headings: fitted.headings.map(&:to_h).sort_by(&:to_s),
                     keywords: fitted.keywords.sort }
  end

  def hostile(random, place)
    text = lambda {
      "x#{Array.new(random.rand(1..9)) { signs.sample(random:) }.join}".gsub(/ +/, " ").strip
    }
    word = -> { text.call.delete(";,*/").squeeze(" ").strip }
    authors = Array.new(random.rand(1..3)) do
      Hobrin::Records::Author.new(family: word.call, given: word.call,
                                  suffix: ["Jr.", nil].sample(random:), particle: ["de", nil].sample(random:))
    end
    a_record(id: "10.5555/h#{place}", doi: "10.5555/h#{place}", title: text.call, abstract: text.call, authors:,
             journal: text.call, volume: "4", issue: "1", pages: "12-19", published: "2020-0#{random.rand(1..9)}",
             keywords: ["#{word.call}, #{word.call}", word.call], language: "eng")
  end

  # Every sixteenth of the sample, which begins with those that are told at length.
  it "keeps 750 records and 250 hostile ones, as far as each format goes" do
    random = Random.new(12)
    records = SampleHome.records.each_slice(16).map(&:first) + Array.new(250) { |place| hostile(random, place) }
    expect(through(:csl, records)).to eq(records)
    { ris: method(:in_ris), bibtex: method(:in_bibtex), marcxml: method(:in_xml),
      mods: method(:in_xml) }.each do |format, held|
      through(format, records).zip(records) do |back, record|
        back = back.with(id: back.doi || "none") if format == :bibtex
        expect([format, filed(back)]).to eq([format, filed(held.call(record))])
      end
    end
  end

  it "reads what other programs write: TeX's accents and commands, corporate names, shortened lists of authors" do
    source = <<~'BIB'
      @article{smith2020, title = {{\~ N}and{\'\i} \emph{in vitro}: CO\textsubscript{2}, p \textless{} 0.05, it's \$500 against \$700},
        author = {{World Health and Care Council} and Smith, Jr., Ada and van der Wistrow, Per and others},
        keywords = {pain, acute; sleep}, year = 2020, month = mar, journal = {J}, doi = {10.5555/One}}
      @article{smith2020, title = {Another of the same key}, year = 2021}
    BIB
    one, other = described_class.read(source, format: :bibtex).first
    expect(one).to have_attributes(id: "10.5555/One", published: "2020-03", keywords: ["pain, acute", "sleep"],
                                   title: "Ñandí in vitro: CO₂, p < 0.05, it's $500 against $700")
    expect(one.authors.map(&:short)).to eq(["World Health and Care Council", "Smith A Jr.",
                                            "van der Wistrow P"])
    expect(other.id).to start_with("made:")
    ris = "TY  - JOUR\nTI  - T\nAU  - Smith, J., Jr.\nJO  - J Ward\nJF  - Journal of the Ward\nDA  - 2020 Mar 4\n" \
          "KW  - *Pressure Injury/prevention\nKW  - a; b\nER  - \n"
    found = described_class.read(ris, format: :ris).first.first
    expect(found).to have_attributes(journal: "Journal of the Ward", published: "2020-03-04",
                                     keywords: ["*Pressure Injury/prevention", "a; b"])
    expect(found.authors.first.to_h).to include(family: "Smith", given: "J.", suffix: "Jr.")
  end

  it "gives a name its place back when it stands for no heading any more, whatever else a record has" do
    random = Random.new(18)
    thesaurus = Hobrin::Thesaurus.new([a_heading("Noise", also_called: ["Din"]), a_heading("Sleep")])
    names = ["night care", "Quiet", "sleep", "din", "Noise", "rest, at night"]
    plain = ->(record) { [record.keywords.sort, record.headings.map { |one| [one.label, one.main] }.sort_by(&:to_s)] }
    changed = Array.new(300) do
      headings = names.sample(random.rand(0..3), random:).map do |label|
        Hobrin::Records::Indexing.new(label:, main: random.rand < 0.3)
      end
      record = a_record(headings:, keywords: names.sample(random.rand(0..4), random:))
      matches = names.sample(2, random:).to_h { |name| [Hobrin::Text::Tokens.line(name), %w[Noise Sleep].sample(random:)] }
      sorted = ->(some, one) { Hobrin::Exchange::Indexing.new(thesaurus, matches: some).call(one) }
      before, after = [{}, matches].map { |some| sorted[some, record] }
      read = described_class.read(described_class::CslJson::Writer.call([after]), format: :csl).first.first
      first = sorted[matches.drop(1).to_h, Hobrin::Exchange::Indexing.without(read, matches.keys.first)]
      expect(plain[first]).to eq(plain[sorted[matches.drop(1).to_h, record]])
      back = sorted[{}, Hobrin::Exchange::Indexing.without(first, matches.keys.last)]
      expect([record.keywords, matches, plain[back]]).to eq([record.keywords, matches, plain[before]])
      plain[after] != plain[before]
    end
    expect(changed.count(true)).to be > 100
  end

  it "parts a heading from its aspect before it looks for a name with the two words" do
    headings = [a_heading("Pressure Injury", aspects: ["prevention"]),
                a_heading("Pressure Injury Prevention")]
    sorted = ->(word) { Hobrin::Exchange::Indexing::Keyword.sorted([word], Hobrin::Thesaurus.new(headings)).first.map(&:to_h) }
    expect(sorted["*Pressure Injury/prevention"])
      .to match([include(label: "Pressure Injury", main: true, aspects: ["prevention"])])
    expect(sorted["*pressure injury prevention"].first[:label]).to eq("Pressure Injury Prevention")
    expect(sorted["*Pressure Injury/cost"]).to eq([])
  end

  it "keeps capitals of titles, organisations whole and the month for readers of BibTeX" do
    authors = [Hobrin::Records::Author.new(family: "Council of Wards"),
               Hobrin::Records::Author.new(family: "Oak", given: "Ann")]
    written = described_class::Bibtex::Writer.call([a_record(title: "Sleep in Norway and SpO2", published: "2020-03",
                                                             authors:)])
    expect(written).to include("title = {Sleep in {Norway} and {SpO2}}", "author = {{Council of Wards} and Oak, Ann}",
                               "month = mar,")
  end
end
