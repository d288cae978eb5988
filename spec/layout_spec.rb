# frozen_string_literal: true

require "open3"

# Where code lives, and which way dependencies run.
RSpec.describe "The layout" do
  root = File.expand_path("..", __dir__)

  def files(folder) = Dir.glob("#{folder}/**/*.rb")

  # Constants named in a file's code, comments left out.
  def code(file) = File.read(file).gsub(/^\s*#.*$/, "")

  it "loads the core alone, with no database and no web" do
    script = <<~RUBY
      require "hobrin"
      Hobrin.eager_load
      print %w[Sequel SQLite3 Sinatra Rack Puma].select { |name| Object.const_defined?(name) }.inspect
    RUBY
    out, err, status = Open3.capture3(RbConfig.ruby, "-rbundler/setup", "-I#{root}/lib", "-e", script, chdir: root)
    expect([out, err, status.success?]).to eq(["[]", "", true])
  end

  it "lets no stage name a later one" do
    names = Hobrin::STAGES.map { |stage| stage.to_s.capitalize }
    Hobrin::STAGES.each_with_index do |stage, place|
      later = names.drop(place + 1).join("|")
      next if later.empty?

      [File.join(root, "lib/hobrin/#{stage}.rb"), *files("#{root}/lib/hobrin/#{stage}")].each do |file|
        expect([file, code(file)[/\b(?:#{later})::/]]).to eq([file, nil])
      end
    end
  end

  it "keeps SQL in the store, bitmaps in one file, and the web away from the store" do
    everything = files("#{root}/{lib,store,services,cli,web,demo}")
    expect(everything.select { |file| code(file).match?(/\bSequel\b/) }).to all(start_with("#{root}/store/"))
    expect(everything.select do |file|
      code(file).include?("Roaring")
    end.map { |file| File.basename(file) }).to eq(["record_set.rb"])
    expect(files("#{root}/cli").grep_v(%r{/benchmarks/}).select { |file| code(file).match?(/\bStore::/) }).to eq([])
    expect(files("#{root}/web").select do |file|
      code(file).match?(/\bStore::|context\.(library|inquiries|evaluator)/)
    end).to eq([])
    expect(files("#{root}/{lib,store,services}").select do |file|
      code(file).match?(/\b(Web|Cli|Sinatra|Demo)::/)
    end).to eq([])
  end

  it "reads no clock, chance, environment or file in the core" do
    found = files("#{root}/lib/hobrin").select do |file|
      code(file).match?(/\b(Time\.now|Date\.today|ENV\b|File\.|Random\.|rand\()/)
    end
    expect(found).to eq([])
  end
end
