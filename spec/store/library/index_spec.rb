# frozen_string_literal: true

RSpec.describe Hobrin::Store::Library::Index, :small_sample do
  it "gives many threads the same answers as one" do
    index = context.library.index
    ask = lambda do |one|
      [one.everything.to_a, one.not_indexed.to_a, one.values(:journal),
       one.sets(:type).transform_values(&:size), one.facet(:year, %w[2020 2021]).to_a,
       one.spellings(Hobrin::Text::Mask.new("sle*")), one.words(words("sleep*")).to_a]
    end
    expected = ask.call(index)
    path = home.join("library.sqlite3").to_s
    db = Sequel::DATABASES.find { |one| one.opts[:database] == path }
    fresh = described_class.new(db) { nil }
    answers = Array.new(8) { Thread.new { ask.call(fresh) } }.map(&:value)
    expect(answers.uniq).to eq([expected])
    expect(fresh).to be_frozen
  end

  it "has a connection for every thread that the server runs" do
    before = Sequel::DATABASES.dup
    with_home do |fresh|
      fresh.library.now
      expect((Sequel::DATABASES - before).map { |db| db.pool.max_size }).to eq([Hobrin::Boot::THREADS] * 3)
    end
    demo = File.read(File.expand_path("../../../config/puma_server.rb", __dir__))
    expect(demo).to include("config.threads 1, Boot::THREADS")
  end
end

RSpec.describe Hobrin::Store::Library do
  it "reads version, index and thesaurus of a snapshot together" do
    with_home do |context|
      library = context.library
      labels = ->(snapshot) { snapshot.thesaurus.headings.map(&:label) }
      library.write_thesaurus(Hobrin::Thesaurus.new([a_heading("Sleep")]))
      before = library.now
      library.write_thesaurus(Hobrin::Thesaurus.new([a_heading("Noise")]))
      expect([labels[before], labels[library.now]]).to eq([["Sleep"], ["Noise"]])
      expect(library.now.version).not_to eq(before.version)
      expect(library.now).to equal(library.now)
      pinned = context.pinned
      library.add([a_record])
      expect([pinned.snapshot.size, context.snapshot.size]).to eq([0, 1])
    end
  end
end
