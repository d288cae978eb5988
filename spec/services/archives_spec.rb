# frozen_string_literal: true

require "json_schemer"

# An archive says what the pages say, and what is changed in it is found where it is.
RSpec.describe Hobrin::Services::Archives, :sample do
  include Editing

  def archive(id = 1) = described_class.new(context).write(id).body
  def faults(text) = described_class.verify(text).faults.map(&:path)

  it "holds the numbers of the pages, and agrees with itself for every inquiry" do
    (1..5).each do |id|
      text = archive(id)
      data = JSON.parse(text)
      reading = Hobrin::Services::Appraise::Read.new(context, opened(id))
      pools = inquiry(id).weighing.outcomes.to_h do |outcome|
        [outcome.id.to_s, reading.pool(outcome)]
      end
      expect(data["numbers"]["outcomes"].transform_values do |one|
        one["pooled"]&.fetch("estimate")
      end)
        .to eq(pools.transform_values { |pool| pool.pooled&.estimate })
      verdict = described_class.verify(text)
      expect([id, verdict.faults, verdict.agree]).to match([id, [], be > 5])
    end
    expect(described_class.verify(archive).question).to eq(inquiry.question.text)
  end

  # Source: JSON Schema 2020-12, by json_schemer 2.
  it "is what its schema says, and the schema is one" do
    schema = JSONSchemer.schema(Pathname(Hobrin::Boot::ROOT.join("config/archive.schema.json")))
    plain = JSON.parse(Hobrin::Boot::ROOT.join("config/archive.schema.json").read)
    expect(JSONSchemer.validate_schema(plain).to_a).to eq([])
    data = JSON.parse(archive)
    expect(schema.validate(data).map { |error| error["data_pointer"] }).to eq([])
    data["trail"].first["seal"] = "none"
    data["inquiry"]["decisions"].first["verdict"] = "perhaps"
    expect(schema.validate(data).map do |error|
      error["data_pointer"]
    end).to contain_exactly("/trail/0/seal", "/inquiry/decisions/0/verdict")
  end

  # In the smallest archive that has everything, since each is checked whole.
  it "finds two hundred single changes, each at its place" do
    text = archive(4)
    random = Random.new(200)
    200.times do
      data = JSON.parse(text)
      path = change(data, random)
      found = faults(JSON.generate(data))
      expect([path, found.select do |one|
        one.start_with?(path) || path.start_with?(one)
      end]).to match([path, be_any])
    end
  end

  # Alters, drops, puts in or turns round one thing; gives where.
  def change(data, random)
    case random.rand(5)
    when 0 then number(data, random)
    when 1 then field(data["inquiry"]["decisions"], "inquiry/decisions", "note", random)
    when 2 then field(data["records"], "records", "title", random)
    when 3 then trail(data["trail"], random)
    else result(data, random)
    end
  end

  def number(data, random)
    outcome = data["numbers"]["outcomes"].keys.sample(random:)
    name = %w[estimate low tau2].sample(random:)
    data["numbers"]["outcomes"][outcome]["pooled"][name] += 0.01
    "numbers/outcomes/#{outcome}"
  end

  def field(list, path, name, random)
    place = random.rand(list.size)
    list[place][name] = "#{list[place][name]}."
    "#{path}/#{place + 1}"
  end

  def trail(lines, random)
    place = random.rand(lines.size - 1)
    case random.rand(4)
    when 0 then lines.delete_at(place)
    when 1 then lines.insert(place, lines[place])
    when 2 then lines[place], lines[place + 1] = lines.values_at(place + 1, place)
    else lines[place]["change"] += "!"
    end
    "trail/"
  end

  def result(data, random)
    papers = data["inquiry"]["weighing"]["papers"]
    place = papers.each_index.select { |one| papers[one]["reported"].any? }.sample(random:)
    one = papers[place]["reported"].sample(random:)
    name = one["typed"].keys.sample(random:)
    one["typed"][name] = (one["typed"][name].to_f + 1).round.to_s
    "inquiry/weighing/papers"
  end

  it "refuses what is no archive in one sentence, and stands whatever is sent" do
    { "" => /not JSON/, "[]" => /not a Hobrin archive/, "{}" => /not a Hobrin archive/, '{"hobrin":"archive","format":9}' => /newer version of Hobrin \(format 9\)/,
      "\xFF" => /not JSON/, "[" * 100_000 => /not JSON/ }.each do |text, words|
      expect { described_class.verify(text) }.to raise_error(Hobrin::InputError, words)
    end
    bare = '{"hobrin":"archive","format":1,"inquiry":{},"trail":[3],"records":[1],"numbers":{}}'
    expect(faults(bare)).to include("inquiry/format", "trail/1", "seals", "records/1")
    expect(faults('{"hobrin":"archive","format":1}')).to include("inquiry", "trail", "records", "numbers")
  end

  it "seals its first lines, too, and tells by a signature what was sealed anew" do
    text = archive
    key = Hobrin::Services::Health.new(context).archive_key
    expect([described_class.verify(text).key, described_class.verify(text, key:).faults]).to eq([key, []])
    { "sample" => false, "made" => "2020-01-01" }.each do |name, value|
      expect(faults(JSON.generate(JSON.parse(text).merge(name => value)))).to eq([name])
    end
    expect(faults(JSON.generate(JSON.parse(text).merge("format" => 1)))).to include("sample", "made")
    remade = resealed(JSON.parse(text).merge("sample" => false))
    expect([described_class.verify(remade).faults, described_class.verify(remade).key]).to eq([[], nil])
    expect(described_class.verify(remade, key:).faults.map(&:says)).to eq(["is missing"])
    kept = JSON.generate(JSON.parse(remade).merge("signature" => JSON.parse(text)["signature"]))
    expect(described_class.verify(kept).faults.map(&:says)).to eq(["does not match the seals"])
    other = OpenSSL::PKey.generate_key("ED25519")
    forged = JSON.parse(remade)
    forged["signature"] = Hobrin::Exchange::Archive::Signature.of(forged["seals"], other)
    expect(described_class.verify(JSON.generate(forged)).faults).to eq([])
    expect(described_class.verify(JSON.generate(forged), key:).faults.map(&:says)).to eq(["is from another key"])
  end

  it "opens one of format 1 whose numbers followed earlier rules, and says so" do
    data = JSON.parse(archive(4)).except("signature")
    outcome = data["numbers"]["outcomes"].keys.first
    data["numbers"]["outcomes"][outcome]["baseline"] = 0.123
    data["format"] = 1
    data["seals"] = Hobrin::Exchange::Archive::Seal.parts(data.slice("inquiry", "trail", "records", "numbers"))
    old = JSON.generate(data)
    verdict = described_class.verify(old)
    expect([verdict.faults.map(&:path), verdict.openable?]).to eq([["numbers/outcomes/#{outcome}/baseline"], true])
    id = Hobrin::Services::Inquiries::Copy.new(context).open(old)
    expect(Hobrin::Services::Appraise::Read.new(context, opened(id)).pools.first.baseline).not_to eq(0.123)
    data["inquiry"]["conclusion"] = "Changed"
    expect(described_class.verify(JSON.generate(data)).openable?).to be(false)
  end

  it "makes its key once, for its owner alone, and never over one that cannot be read" do
    file = home.join("signing.key")
    keys = Array.new(2) { Hobrin::Store::SigningKey.new(home).key.private_to_pem }
    expect([keys.uniq.size, file.stat.mode & 0o777]).to eq([1, 0o600])
    file.write("cut")
    expect { Hobrin::Store::SigningKey.new(home).key }.to raise_error(Hobrin::StateError, /holds no key/)
  end

  it "knows stored inquiries of every format by the schema of the present one" do
    schema = JSONSchemer.schema(Hobrin::Boot::ROOT.join("config/inquiry.schema.json"))
    Hobrin::Boot::ROOT.glob("spec/fixtures/documents/*/inquiry.json").each do |file|
      data = Hobrin::Store::Upgrades.call(JSON.parse(file.read, symbolize_names: true))
      found = schema.validate(JSON.parse(JSON.generate(data))).map { |error| error["data_pointer"] }
      expect([file.dirname.basename.to_s, found]).to eq([file.dirname.basename.to_s, []])
    end
  end

  # With all fingerprints and numbers made anew, as somebody who means harm would.
  def resealed(data)
    seal = Hobrin::Exchange::Archive::Seal
    data["trail"] = seal.chained(data["trail"].map { |line| line.except("seal") })
    begin
      inquiry = Hobrin::Store::InquiryDocument.load(JSON.generate(data["inquiry"]))
      records = data["records"].map { |item| Hobrin::Exchange::CslJson::Reader.item(item) }
      data["numbers"] = JSON.parse(JSON.generate(Hobrin::Exchange::Archive::Numbers.new(inquiry, records).call))
    rescue StandardError
      nil
    end
    JSON.generate(data.except("signature").merge("seals" => seal.parts(data.except("seals", "signature"))))
  end

  def places(data, path = [])
    pairs = data.is_a?(Hash) ? data.to_a : []
    pairs = data.each_index.zip(data) if data.is_a?(Array)
    pairs.flat_map { |key, value| [[*path, key], *places(value, [*path, key])] }
  end

  it "refuses odd values of every kind in words, whoever made the fingerprints" do
    random, text = Random.new(560), archive(2)
    odd = [nil, "", -1, 1e300, [], {}, true, "2026-99-99", ["a"], { "a" => 1 }, "a\u0000b", 10**30, "x" * 5_000]
    all = places(JSON.parse(text)["inquiry"])
    opened = Array.new(60) do
      data = JSON.parse(text)
      *path, key = all.sample(random:)
      within = path.reduce(data["inquiry"]) { |value, part| value[part] }
      within[key] = odd.sample(random:)
      made = resealed(data)
      Hobrin::Services::Inquiries::Copy.new(context).open(made)
    rescue Hobrin::InputError
      nil
    end
    kept = opened.compact
    expect(kept.size).to be_between(1, 60)
    kept.each do |id|
      reading = Hobrin::Services::Inquiries::Read.new(context).call(id)
      expect(Hobrin::Services::Act::Versions.new(context).now(reading).sections).not_to be_empty
      expect(Hobrin::Services::Narrow::Read.new(context, reading).call).not_to be_nil if id == kept.last
    end
  ensure
    opened&.compact&.each { |id| context.inquiries.forget(id:) }
  end

  # As ratios: twice as much takes about twice as long.
  it "takes its time in proportion to its size" do
    texts = [300, 1_200].map do |count|
      data = JSON.parse(archive(2))
      unsure = { "verdict" => "unsure", "reason" => nil, "note" => "" }
      data["inquiry"]["decisions"] = Array.new(count) { |place| { "record" => "x#{place}", **unsure } }
      data["trail"] *= count / data["trail"].size
      data["records"] = Array.new(count / 10) { |place| data["records"].first.merge("id" => "r#{place}") }
      resealed(data)
    end
    small, large = texts.map { |text| steps { described_class.verify(text) } }
    expect(large).to be < small * 6
  end

  # How many objects are made, which does not depend on the machine.
  def steps
    before = GC.stat(:total_allocated_objects)
    yield
    GC.stat(:total_allocated_objects) - before
  end
end
