# frozen_string_literal: true

# One entry among 24 is spoiled. At most its direct neighbours are lost with it, and what was lost is
# said.
RSpec.describe Hobrin::Exchange do
  noise = ["\"", "'", "{", "}", "[", "]", "<", ">", "</record>", "</mods>", "</dc>", "<record>", "<mods>", "</oai_dc:dc>", "<!--",
           "-->", "<![CDATA[", "]]>", "&", "\\", "\n", "\n\n", "TY  - JOUR", "ER  - ", "@article{x,", "%", "\x00", "\xFF", ",",
           ":", "<!DOCTYPE x>", " "].freeze
  # Where an entry begins.
  begins = { csl: /\{"id"/n, ris: /^TY  -/n, bibtex: /^@/n, marcxml: /<record/n, mods: /<mods[ >]/n,
             dc: /<(?:\w+:)?dc[ >]/n }.freeze

  define_method(:spoil) do |text, from, to, random|
    (1 + random.rand(2)).times do
      at, what = from + random.rand([to - from, 1].max), noise.sample(random:).b
      case random.rand(3)
      when 0 then text[at, 1] = ""
      when 1 then text.insert(at, what)
      else text[at, what.bytesize] = what
      end
    end
    text
  end

  let(:records) do
    Array.new(24) do |place|
      a_record(id: "p#{place}", title: "Sleep on wards, study #{place}", doi: "10.5555/hobrin.p#{place}",
               published: "20#{10 + (place % 15)}",
               keywords: ["sleep", "night {care}"], abstract: "Of #{40 + place} people, \"most\" slept; 5 < 7 & <b>so</b> on.")
    end
  end

  begins.each do |format, beginning|
    it "loses no more than the neighbours of a spoiled entry of #{format}, in 500 files", :slow do
      text = described_class::FORMATS.fetch(format)::Writer.call(records).b
      # As others write it: all in one line.
      text = JSON.generate(JSON.parse(text)).b if format == :csl
      starts = text.enum_for(:scan, beginning).map { Regexp.last_match.begin(0) }
      titles = described_class.read(text, format:).first.map(&:title)
      expect([starts.size, titles.size]).to eq([24, 24])
      random = Random.new(15)
      500.times do |turn|
        place = random.rand(24)
        # The first and last of what is left stand for the rest: reading all takes long.
        kept = ((place - 2)..(place + 2)).to_a & (0..23).to_a
        part = (text[0...starts[0]] + kept.map { |one| text[starts[one]...(starts[one + 1] || text.bytesize)] }.join).b
        part << text[%r{\s*(?:\]|</[^>]+>)\s*\z}n].to_s unless kept.last == 23
        from = starts[0] + kept.take_while { |one| one < place }.sum { |one| starts[one + 1] - starts[one] }
        spoiled = spoil(part, from, from + (starts[place + 1] || text.bytesize) - starts[place] - 1, random)
        read, refused = described_class.read(spoiled, format:)
        lost = titles.values_at(*kept) - read.map(&:title)
        near = titles.values_at(*[place - 1, place, place + 1].grep(0..23))

        expect([turn, lost - near]).to eq([turn, []])
        silent = refused.empty? && (lost - [titles[place]]).any?
        expect([turn, silent, read.size + refused.size]).to match([turn, false, be >= kept.size - 1])
      end
    end
  end

  it "says how much was not read, and how many entries that looks like" do
    xml = described_class::Mods::Writer.call(records)
    { xml.sub("</mods>", "</mod>") => /its end is missing: \d+ bytes were not read\z/,
      "<modsCollection>#{"<mods>" * 3}" => /the file ends inside this entry: \d+ bytes were not read, which look like 3 entries/ }
      .each { |text, words| expect(described_class.read(text, format: :mods).last.map(&:reason)).to include(words) }
    ris = described_class::Ris::Writer.call(records).sub(/^TY.*\n/, "")
    expect(described_class.read(ris, format: :ris).last.map(&:reason)).to match([/\(TY\) is missing: \d+ bytes were not read/])
    expect(described_class.read("Provider: a library\n\n#{ris.sub(/\A.*?(?=^TY)/m, "")}", format: :ris).last).to eq([])
  end

  it "refuses a document type where one begins a file, and takes the words anywhere else" do
    xml = described_class::Mods::Writer.call(records)
    typed = xml.sub("?>", "?><!-- a --><!DOCTYPE modsCollection [<!ENTITY a SYSTEM \"file:///etc/passwd\">]>")
    expect { described_class.read(typed, format: :mods) }.to raise_error(Hobrin::InputError, /document type/)
    ["<!-- <!DOCTYPE html> -->", "<?note <!DOCTYPE?>"].each do |harmless|
      expect(described_class.read(xml.sub("?>", "?>#{harmless}"), format: :mods).first.size).to eq(24)
    end
    about = a_record(title: "How to write <!DOCTYPE html> by hand")
    %i[mods marcxml dc].each do |format|
      text = described_class::FORMATS.fetch(format)::Writer.call([about])
      text = text.sub("&lt;!DOCTYPE html&gt;", "<![CDATA[<!DOCTYPE html>]]>")
      expect(described_class.read(text, format:).first.map(&:title)).to eq([about.title])
    end
  end
end
