# frozen_string_literal: true

# Files made to stop or to break a reader: each is read to its end in time that grows as its size
# does.
RSpec.describe Hobrin::Exchange, :slow do
  include Timing

  def read(text, format) = described_class.read(text, format:)

  it "takes time as the size of one value, whatever it is made of" do
    sizes = [8_000, 16_000, 32_000, 64_000]
    [" ", "é ", ", ", "; ", "{", "\\'", "$", "a-", "' and ", "\\emph ", "?", "*"].each do |filler|
      values = ->(size) { (filler * size)[0, size] }
      expect_linear([:ris, filler], sizes) do |size|
        read("TY  - JOUR\nTI  - T\nAU  - x#{values[size]}y\nKW  - x#{values[size]}y\nDA  - 2#{values[size]}\nER  - \n",
             :ris)
      end
      expect_linear([:csl, filler], sizes) do |size|
        read(
          JSON.generate([{ id: "1", title: "T", keyword: "x#{values[size]}y", abstract: values[size],
                           DOI: values[size] }]), :csl
        )
      end
      next if "{}".include?(filler)

      expect_linear([:bibtex, filler], sizes.map { |size| size / 4 }) do |size|
        read("@article{k,\n title = {T},\n abstract = {x#{values[size]}y},\n author = {x#{values[size]}y}\n}\n",
             :bibtex)
      end
    end
  end

  it "puts abbreviations of BibTeX together once, and lets one that grows without end go" do
    doubling = "@string{a0 = {xxxxxxxx}}\n#{Array.new(60) do |place|
      "@string{a#{place + 1} = a#{place} # a#{place}}\n"
    end.join}"
    records, = read("#{doubling}@article{k, title = {T}, journal = a60}\n", :bibtex)
    expect(records.map(&:title)).to eq(["T"])
    plain = Array.new(300) do |place|
      "@article{k#{place}, title = {T #{place}}, journal = {J}}\n"
    end.join
    strings = Array.new(300) { |place| "@string{s#{place} = {Journal #{place}}}\n" }.join
    named = Array.new(300) do |place|
      "@article{k#{place}, title = {T #{place}}, journal = s#{place}}\n"
    end.join
    expect(read(strings + named, :bibtex).first.last.journal).to eq("Journal 299")
    with, without = [strings + named, plain].map { |text| least_time { read(text, :bibtex) } }
    expect(with).to be < (without * 5) + 0.3
  end

  it "refuses what is too large, says so, and goes on behind it" do
    large = "x" * 1_200_000
    csl = "[{\"id\": \"1\", \"title\": \"#{large * 4}\"},\n{\"id\": \"2\", \"title\": \"Two\"}]"
    { csl:, ris: "TY  - JOUR\nTI  - #{large}\nER  - \nTY  - JOUR\nTI  - Two\nER  - \n",
      bibtex: "@article{k, title = {#{large}}}\n@article{l, title = {Two}}\n" }.each do |format, text|
      records, refused = read(text, format)
      expect([format, records.map(&:title),
              refused.map(&:reason)]).to match([format, ["Two"], [/longer than/]])
    end
    record = ->(**rest) { Hobrin::Exchange::CslJson::Writer.item(a_record(**rest)) }
    [record[title: "t" * 4_000], record[keywords: ["k" * 2_000]], record[keywords: Array.new(600) { |n|
      "k#{n}"
    }]].each do |item|
      expect(read(JSON.generate([item]),
                  :csl).last.map(&:reason)).to match([/longer than|more than/])
    end
  end

  # Every value of a record in turn made something else, 1,500 times for each reader, or as often as
  # HOBRIN_MUTATIONS says (10,000 found nothing more).
  it "takes or refuses thousands of mutated entries, and what it took breaks nothing" do
    times = Integer(ENV.fetch("HOBRIN_MUTATIONS", "1500"))
    random = Random.new(13)
    odd = [nil, true, 7, -1, 2.5, "", "x", "\u0000", [], %w[T U], [nil], [{}], {}, { "a" => 1 }, [[1]], 10**30,
           "9" * 400]
    items = SampleHome.plain_records.sample(40, random:)
    times.times do
      item = JSON.parse(JSON.generate(items.sample(random:)))
      mutate(item, odd.sample(random:), random)
      expect_sound(read(JSON.generate([item]), :csl))
    end
    records = SampleHome.records.sample(12, random:)
    %i[ris bibtex].each do |format|
      texts = records.map { |one| described_class::FORMATS.fetch(format)::Writer.call([one]).b }
      times.times { expect_sound(read(broken(texts.sample(random:), random), format), deep: false) }
    end
  end

  def mutate(item, value, random)
    holder, key = [item, item.keys.sample(random:)]
    while (inside = holder[key]).is_a?(Enumerable) && inside.any? && random.rand < 0.6
      holder = inside
      key = holder.is_a?(Hash) ? holder.keys.sample(random:) : random.rand(holder.size)
    end
    holder[key] = value
  end

  def broken(text, random)
    copy = text.dup
    random.rand(1..3).times do
      at = random.rand(copy.bytesize)
      case random.rand(3)
      when 0 then copy.setbyte(at, random.rand(256))
      when 1 then copy = copy.byteslice(0,
                                        at) + copy.byteslice([at + random.rand(20),
                                                              copy.bytesize].min..)
      else copy = copy.byteslice(0,
                                 at) + ["{", "}", "\\", "@", "\xFF", "\n", "  - ", "$",
                                        "\u0000"].sample(random:).b + copy.byteslice(at..)
      end
    end
    copy
  end

  def expect_sound(result, deep: true)
    records, refused = result
    expect(refused.map(&:reason)).to all(match(/\w/))
    records.each do |one|
      expect([one.title, one.id]).to all(be_a(String).and(be_valid_encoding))
      expect([*one.keywords, *one.types, *one.headings.map(&:label),
              *one.authors.map(&:family)]).to all(be_a(String))
      next unless deep

      described_class::FORMATS.each_value { |format| format::Writer.call([one]) }
      Hobrin::Retrieval::Facets.of(one)
      Hobrin::Store::Library::FullText.columns(one)
    end
  end
end

RSpec.describe Hobrin::Exchange::Skos do
  it "refuses a thesaurus that is nested without end, or has a text without end" do
    rdf = "http://www.w3.org/1999/02/22-rdf-syntax-ns#"
    deep = "<rdf:RDF xmlns:rdf=\"#{rdf}\" xmlns:a=\"urn:a#\">#{"<a:x><a:y>" * 3_000}"
    turtle = "@prefix a: <urn:a#> .\na:x a:y #{"[ a:y " * 3_000}"
    long = "@prefix a: <urn:a#> .\na:x a:y \"#{"x" * 300_000}\" ."
    { deep => :rdfxml, turtle => :turtle, long => :turtle }.each do |text, format|
      expect do
        described_class::Reader.new.call(StringIO.new(text),
                                         format:)
      end.to raise_error(Hobrin::InputError, /nested too deep|longer than/)
    end
  end
end
