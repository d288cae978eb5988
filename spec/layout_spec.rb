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
    out, err, status = Open3.capture3(RbConfig.ruby, "-rbundler/setup", "-I#{root}/lib", "-e",
                                      script, chdir: root)
    expect([out, err, status.success?]).to eq(["[]", "", true])
  end

  it "lets nothing in the core name what comes later" do
    Hobrin.eager_load
    core = "#{root}/lib/hobrin/"
    layer = ->(file) { Hobrin::LAYERS.index(file.delete_prefix(core)[/\A\w+/].to_sym) }
    later = files("#{root}/lib/hobrin").flat_map do |file|
      named = ConstantsNamed.new(file).files.compact.select { |one| one.start_with?(core) }
      named.select { |one| layer[one] > layer[file] }
           .map { |one| [file, one].map { |path| path.delete_prefix(core) } }
    end
    expect(later).to eq([])
  end

  it "finds a later layer however it is written" do
    Dir.mktmpdir do |folder|
      ["Brief::Flow", "Hobrin::Brief.new", "::Hobrin::Brief", "Brief"].each do |written|
        file = File.join(folder, "x.rb")
        code = "module Hobrin\n  module Strategy\n    X = -> { #{written} }\n  end\nend\n"
        File.write(file, code)
        found = ConstantsNamed.new(file).files
        expect([written, found]).to match([written, include(end_with("/lib/hobrin/brief.rb"))])
      end
    end
  end

  it "keeps SQL in the store, bitmaps in one file, and the web away from the store" do
    everything = files("#{root}/{lib,store,outside,services,cli,web,demo}")
    expect(everything.select { |file| code(file).match?(/\bSequel\b/) })
      .to all(start_with("#{root}/store/"))
    bitmaps = everything.select { |file| code(file).include?("Roaring") }
    expect(bitmaps.map { |file| File.basename(file) }).to eq(["record_set.rb"])
    expect(files("#{root}/cli").select { |file| code(file).match?(/\bStore::/) })
      .to eq([])
    stores = "stored|inquiries|shared_briefs|own_filters|house_changes|own_records|settings|papers|incoming|library|" \
             "directory|together|standings|readings|sheets|notes"
    reached = files("#{root}/web").flat_map { |file| code(file).lines.grep(/\bStore::|context\.(#{stores})\b/).map(&:strip) }
    # Rodauth keeps its own tables, in the database of people.
    expect(reached).to eq(["db context.directory.accounts.db"])
    above = files("#{root}/{lib,store,services}").select do |file|
      code(file).match?(/\b(Web|Cli|Sinatra|Demo)::/)
    end
    expect(above).to eq([])
    tools = everything.select { |file| code(file).match?(/\bTools\b/) }
    expect(tools.map { |file| file.delete_prefix("#{root}/") }).to eq(["cli/commands/measuring.rb"])
  end

  it "has migrations that stand alone" do
    expect(files("#{root}/db/migrations").select { |file| code(file).match?(/\bHobrin::/) }).to eq([])
  end

  it "reads no clock, chance, environment or file in the core, but for its texts and checklists" do
    data = %w[book appraisal/checklists].map { |name| "#{root}/lib/hobrin/#{name}.rb" }
    found = (files("#{root}/lib/hobrin") - data).select do |file|
      code(file).match?(/\b(Time\.now|Date\.today|ENV\b|File\.|Random\.|rand\()/)
    end
    expect(found).to eq([])
  end

  it "has views that read like a page: one thought a line, nothing assigned, no class asked for" do
    views = Dir.glob("#{root}/web/**/*.erb")
    expect(views.size).to be > 100
    views.each do |view|
      text = File.read(view)
      name = view.delete_prefix("#{root}/")
      expect([name, text.lines.map(&:size).max]).to match([name, be <= 121])
      code = text.scan(/<%=*(.*?)%>/m).flatten.join("\n")
      expect([name, code[/(?<![=!<>])=(?![=>~])(?!\s*#)|\bis_a\?|\bcase\b|Hobrin::/]])
        .to eq([name, nil])
    end
  end
end
