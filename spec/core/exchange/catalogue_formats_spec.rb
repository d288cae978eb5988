# frozen_string_literal: true

require "marc"

# MARCXML, MODS and Dublin Core, as others read and write them. Sources: the marc gem; the Library
# of Congress's own style sheet from MARC to MODS 3.7, as Debian's examples of Zebra ship it.
RSpec.describe Hobrin::Exchange, :outside do
  let(:records) { SampleHome.records.first(150) }
  let(:marcxml) { described_class::Marcxml::Writer.call(records, sample: true) }

  it "writes MARC that the marc gem reads, field by field" do
    read = MARC::XMLReader.new(StringIO.new(marcxml)).to_a
    expect(read.size).to eq(records.size)
    read.zip(records).each do |marc, record|
      expect([marc["001"].value, marc["245"]["a"], marc["520"]&.[]("a"), marc["773"]["t"]])
        .to eq([record.id, record.title, record.abstract, record.journal])
      expect(marc.fields(%w[100 700]).map { |field| field["a"] }).to eq(record.authors.map { |one|
        [one.family, one.given_and_particle].compact.join(", ")
      })
      expect(marc.fields("650").map { |field| field["a"] }).to eq(record.headings.map(&:label))
      expect(marc["008"].value).to match(/\A.{7}#{record.year}.{24}#{record.language}..\z/)
    end
  end

  it "reads what the marc gem writes" do
    marc = MARC::Record.new
    marc.append(MARC::ControlField.new("001", "x1"))
    { "245" => { a: "Noise at night :", b: "a trial /", c: "Zora Elve." }, "100" => { a: "Elve, Zora," },
      "700" => { a: "Quist Bo" }, "260" => { c: "c2019." }, "650" => { a: "Sleep.", x: "nursing" },
      "773" => { t: "Ward Letters", g: "Vol. 12, no. 3 (May 2019), p. 4-9" },
      "024" => { a: "10.5555/m", 2 => "doi" }, "041" => { a: "ger" } }.each do |tag, parts|
      parts = parts.map { |code, text| [code.to_s, text] }
      marc.append(MARC::DataField.new(tag, "1", " ", *parts))
    end
    text = "<collection xmlns=\"http://www.loc.gov/MARC21/slim\">#{MARC::XMLWriter.encode(marc)}</collection>"
    found = described_class.read(text, format: described_class.detect(text)).first.first
    expect(found).to have_attributes(id: "x1", title: "Noise at night : a trial",
                                     published: "2019",
                                     doi: "10.5555/m", language: "deu",
                                     journal: "Ward Letters", volume: "12", issue: "3",
                                     pages: "4-9")
    expect(found.authors.map(&:short)).to eq(["Elve Z", "Quist Bo"])
    expect(found.headings.map { |one| [one.label, one.main, one.aspects] }).to eq([["Sleep", true,
                                                                                    ["nursing"]]])
  end

  it "reads the MODS that the Library of Congress makes of our MARC" do
    text = style_sheet.transform(Nokogiri::XML(marcxml)).to_xml
    expect(described_class.detect(text[0, 4_000])).to eq(:mods)
    found, refused = described_class.read(text, format: :mods)
    expect([found.size, refused]).to eq([records.size, []])
    found.zip(records).each do |mods, record|
      expect([mods.id, mods.title, mods.abstract, mods.language,
              mods.journal]).to eq([record.id, record.title, record.abstract, record.language,
                                    record.journal])
      expect([mods.doi, mods.year]).to eq([record.doi, record.year])
      expect(mods.authors.map(&:family)).to eq(record.authors.map(&:family))
    end
  end

  # It names its second part by an address, which nobody here asks.
  def style_sheet
    texts = %w[MARC21slim2MODS3-7.xsl MARC21slimUtils.xsl].to_h do |name|
      [name, Zlib.gunzip(File.binread("/usr/share/doc/idzebra-2.0/examples/marcxml/#{name}.gz"))]
    end
    Dir.mktmpdir do |folder|
      texts.each do |name, text|
        File.write("#{folder}/#{name}",
                   text.gsub("http://www.loc.gov/standards/marcxml/xslt/", ""))
      end
      Dir.chdir(folder) { Nokogiri::XSLT(File.read(texts.keys.first)) }
    end
  end

  it "refuses document types, entities and files that break off, one entry at a time" do
    head = "<!DOCTYPE c [<!ENTITY x SYSTEM \"file:///etc/passwd\"><!ENTITY l \"#{"y" * 40}\">]>"
    expect { described_class.read("#{head}#{marcxml}", format: :marcxml) }.to raise_error(Hobrin::InputError, /document type/)
    inner = marcxml.sub("<leader>", "<!DOCTYPE a [<!ENTITY e \"x\">]><leader>")
    found, refused = described_class.read(inner, format: :marcxml)
    expect([found.size, refused.size]).to eq([149, 1])
    prefixed = marcxml.gsub("<", "<m:").gsub("<m:/", "</m:").gsub("<m:?", "<?").sub("xmlns=",
                                                                                    "xmlns:m=")
    { marcxml.sub("</leader>", "&nothing;</leader>") => 149, marcxml.sub("</datafield>",
                                                                         "") => 149,
      marcxml[0...-4_000] => 148..149, marcxml.encode("UTF-16") => 150, prefixed => 150 }
      .each do |text, count|
        found, refused = described_class.read(text, format: :marcxml)
        expect(found.size).to(satisfy { |size| count === size }) # rubocop:disable Style/CaseEquality
        expect(refused.map(&:reason)).to all(match(/\w/))
      end
  end
end
