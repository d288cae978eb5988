# frozen_string_literal: true

# Files that are broken, cut off or read-only: one clear sentence, and what to do.
RSpec.describe Hobrin::Store::Database do
  def made(kind)
    Dir.mktmpdir do |folder|
      path = File.join(folder, "#{kind}.sqlite3")
      described_class.open(path, kind:).disconnect
      yield path
    end
  end

  def broken(path)
    File.open(path, "r+b") do |file|
      file.seek(4_096)
      file.write("\0" * (file.size - 4_096))
    end
    Dir["#{path}-*"].each { |file| File.delete(file) }
  end

  it "says that a file is damaged, and what to do" do
    { inquiries: /is damaged.*last backup/,
      library: /is damaged.*fill it again/ }.each do |kind, words|
      made(kind) do |path|
        broken(path)
        expect { described_class.open(path, kind:) }.to raise_error(Hobrin::StateError, words)
        File.binwrite(path, "this is no database at all " * 500)
        expect { described_class.open(path, kind:) }.to raise_error(Hobrin::StateError, words)
      end
    end
  end

  # A process that closed a file of its own opening would let go of every lock that SQLite holds there.
  it "can be opened twice by one process without another taking it for unused" do
    made(:inquiries) do |path|
      first = described_class.open(path, kind: :inquiries)
      first[:settings].insert(name: "one", value: "1")
      described_class.open(path, kind: :inquiries)
      other = "require 'sqlite3'; db = SQLite3::Database.new(ARGV[0]); " \
              "db.execute('INSERT INTO settings VALUES (?, ?)', %w[two 2]); db.close"
      expect(system(RbConfig.ruby, "-rbundler/setup", "-e", other, path)).to be(true)
      expect(File.exist?("#{path}-wal")).to be(true)
      first[:settings].insert(name: "three", value: "3")
      expect(described_class.open(path, kind: :inquiries)[:settings].select_order_map(:name)).to eq(%w[one three two])
    end
  end

  it "flushes every change of an inquiry to the disk, and the library now and then" do
    { inquiries: 2, library: 1 }.each do |kind, level|
      made(kind) do |path|
        db = described_class.open(path, kind:)
        expect([kind, db.fetch("PRAGMA synchronous").single_value]).to eq([kind, level])
        db.disconnect
      end
    end
  end
end

RSpec.describe Hobrin::Services::LoadSample do
  let(:headings) { [a_heading("Sleep")] }
  let(:records) { Array.new(9_000) { |place| a_record(id: "r#{place}", title: "Paper #{place}") } }

  def load(context, records, &making)
    described_class.new(context).call(headings:, records:, &making)
  end

  it "goes on where a first start was cut off, in the papers or in the inquiries" do
    with_home do |context|
      cut = Class.new(StandardError)
      failing = Enumerator.new do |to|
        records.each_with_index do |one, place|
          place == 8_500 ? raise(cut) : to << one
        end
      end
      expect { load(context, failing) { raise "not yet" } }.to raise_error(cut)
      expect([context.library.size, context.library.loading]).to eq([8_000, "papers"])
      start = -> { Hobrin::Services::Inquiries::Start.new(context).call("Do earplugs help?", sample: true) }
      expect { load(context, records) { start.call && raise(cut) } }.to raise_error(cut)
      expect([context.library.size, context.library.loading,
              context.inquiries.all.size]).to eq([9_000, "inquiries", 1])
      load(context, records) { 2.times { start.call } }
      expect([context.library.loading, context.inquiries.all.size]).to eq([nil, 2])
      load(context, records) { raise "never again" }
    end
  end

  it "leaves a person's own inquiries alone" do
    with_home do |context|
      Hobrin::Services::Inquiries::Start.new(context).call("Mine?")
      load(context, records.first(3)) { raise "not beside theirs" }
      expect([context.library.size, context.inquiries.all.size]).to eq([3, 1])
    end
  end
end
