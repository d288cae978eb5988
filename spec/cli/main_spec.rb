# frozen_string_literal: true

require "open3"

# The command line as a person and a script meet it.
RSpec.describe Hobrin::Cli::Main, :small_sample, :slow do
  # Gives [exit status, standard output, standard error].
  def run(*arguments)
    out, err = StringIO.new, StringIO.new
    status = described_class.new(out:, err:, env: { "HOBRIN_HOME" => home.to_s }).call(arguments)
    [status, out.string, err.string]
  end

  def count(cql) = run("count", cql)[1].to_i

  it "counts and finds the same papers in every format, and the formats are read back" do
    cql = "sleep* and dc.date >= 2015"
    sleep = plain.call(Hobrin::Strategy::Cql.read(cql, context.vocabulary)).map { |number| records[number - 1] }
    expect(sleep.size).to be > 5
    expect(count(cql)).to eq(sleep.size)
    data = JSON.parse(run("count", cql, "--format", "json")[1])
    expect(data).to include("count" => sleep.size,
                            "cql" => Hobrin::Strategy::Cql.write(Hobrin::Strategy::Cql.read(
                                                                   cql, context.vocabulary
                                                                 )))
    ids = run("find", cql, "--format", "ids")[1].lines(chomp: true)
    expect(ids).to match_array(sleep.map(&:id))
    expect(count(run("find", cql, "--format", "cql")[1])).to eq(sleep.size)
    { "csl" => :csl, "ris" => :ris, "bibtex" => :bibtex }.each do |name, format|
      read = Hobrin::Exchange.read(run("find", cql, "--format", name)[1], format:)
      expect([name, read.last,
              read.first.map(&:doi)]).to eq([name, [],
                                             context.library.records_by_id(ids).map(&:doi)])
    end
    _, out, err = run("find", cql, "--limit", "2")
    expect([out.scan(%r{^  10\.5555/}).size,
            err]).to eq([2, "2 of #{sleep.size} papers. Made-up sample data.\n"])
  end

  it "says in one line what is wrong, and by its exit status whose fault it is" do
    {
      ["count", "sleep and"] => [1, /Column 10: found the end/], ["count"] => [1, /count takes CQL/], %w[cuont x] => [1, /Did you mean “count”/],
      ["find", "x", "--limit", "none"] => [1, /limit must be a whole number/], ["find", "x", "--format", "xml"] => [1, /xml/], ["count", "x", "--frmat", "json"] => [1, /frmat/],
      ["count", "cql.resultSetId = 3"] => [1, /no line “3”/], ["explain", "10.5555/none", "x"] => [1, /not here/], %w[trail 99] => [1, /not here/],
      ["import", "/not in the inquiry/at/all"] => [2, /No such file/], ["count", "x", "--home", "/proc/none"] => [2, /Cannot write/], %w[thesaurus improt x] => [1, /thesaurus import/]
    }.each do |arguments, (status, message)|
      found = run(*arguments)
      expect([arguments, found[0], found[1], found[2].lines.size]).to eq([arguments, status, "", 1])
      expect(found[2]).to match(message)
    end
    Dir.mktmpdir do |folder|
      expect(run("count", "x", "--home", folder)).to match([2, "", /library is empty/])
    end
  end

  it "explains every command with an example that runs" do
    status, out, = run("--help")
    commands = out.scan(/^  ([a-z]+(?: [a-z]+)?)  /).flatten
    expect([status, commands.size]).to eq([0, Hobrin::Cli::Main::COMMANDS.size])
    commands.each do |command|
      expect(run(*command.split,
                 "--help")).to match([0, /hobrin #{command}.*Examples:\n  hobrin #{command}/m, ""])
    end
  end

  it "proposes for each line of a file, and says which line it cannot read" do
    file = Pathname(home).join("questions.txt")
    file.binwrite("earplugs for delirium in icu\n\n\xFF\n#{"long " * 101}\nDoes music calm people with dementia?\n")
    status, out, err = run("propose", file.to_s)
    found = out.lines.map { |line| JSON.parse(line) }
    expect(found.map { |one| one["question"] })
      .to eq(["earplugs for delirium in icu", "Does music calm people with dementia?"])
    expect(found.first["phrases"].map { |one| one.values_at("element", "text") })
      .to eq([%w[I earplugs], %w[O delirium], %w[P icu]])
    expect([status, err.lines.size]).to eq([1, 2])
  end

  it "explains why a paper is found, or what keeps it out" do
    number = plain.call(words("deliri*", fields: [:title])).first
    id = records[number - 1].id
    expect(run("explain", id,
               "dc.title = deliri* or zebra")[1]).to match(/found by:\n  dc.title = "deliri\*"\n    title: .*deliri/i)
    expect(run("explain", id,
               "deliri* and zebra not dc.date >= 1991")[1]).to match(/not found.*\n  \(.* not dc.date >= 1991\)/)
    expect(run("explain", id,
               "deliri* and zebra")[1]).to match(/keeps it out:\n  cql.serverChoice = "zebra"\n\z/)
  end

  it "imports, exports, traces and copies, with what was refused on standard error" do
    Dir.mktmpdir do |folder|
      at = ->(name) { File.join(folder, name) }
      here = ["--home", at["home"]]
      File.write(at["headings.ttl"],
                 "@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n<urn:a> skos:prefLabel \"Sleep\" .\n")
      expect(run("thesaurus", "import", at["headings.ttl"],
                 *here)).to match([0, "1 headings.\n", ""])
      File.write(at["a.ris"],
                 "TY  - JOUR\nTI  - One\nKW  - Sleep\nDO  - 10.5555/a\nER  -\nTY  - JOUR\nER  -\n")
      status, out, err = run("import", at["a.ris"], *here)
      expect([status,
              out]).to match([1,
                              /1 papers added, 0 there already, 1 entries refused. The library has 1/])
      expect(err).to match(/a.ris: entry 2, line 6: .*title/)
      expect(run("import", at["a.ris"], *here)[1]).to include("0 papers added, 1 there already")
      expect(run("count", 'dc.subject = "sleep"', *here)[1]).to eq("1\n")
      expect(run("thesaurus", "export", at["out.ttl"], *here)[0]).to eq(0)
      expect(File.read(at["out.ttl"])).to include("<urn:a>", '"Sleep"@en')
      expect(run("backup", at["copy.sqlite3"], "--library", *here)[0]).to eq(0)
      expect(run("backup", at["copy.sqlite3"], *here)).to match([2, "", /exists already/])
    end
  end

  it "traces an inquiry, searches after its lines, and writes its evidence", :sample do
    run = lambda do |*arguments|
      out = StringIO.new
      described_class.new(out:, err: StringIO.new,
                          env: { "HOBRIN_HOME" => SampleHome.master }).call(arguments)
      out.string
    end
    lines = JSON.parse(run.call("trail", "1", "--format", "json"))
    expect(run.call("trail", "1").lines.size).to eq(lines.size)
    again = JSON.parse(run.call("trail", "1", "--again", "--format", "json"))
    expect(again).to include("base" => lines.size, "before" => 37, "now" => 37, "fresh" => 0,
                             "lines" => [])
    expect(run.call("trail", "1",
                    "--again")).to start_with("37 papers at line #{lines.size}, 37 now, 0 of them new")
    expect(run.call("count", "cql.resultSetId = #{lines.size}", "--inquiry",
                    "1").to_i).to eq(lines.last["count_after"])
    expect(run.call("count",
                    run.call("export", "1", "--format",
                             "cql")).to_i).to eq(lines.last["count_after"])
    expect(run.call("export", "1", "--format", "log").lines.last[/\A *\d+ +(\d+)/,
                                                                 1].to_i).to eq(lines.last["count_after"])
    expect(Hobrin::Exchange.read(run.call("export", "1", "--format", "bibtex"),
                                 format: :bibtex).first.size).to eq(6)
    Tempfile.create("archive") do |file|
      text = run.call("export", "1", "--format", "archive")
      File.write(file.path, text)
      expect(run.call("verify", file.path)).to match(/\d+ numbers worked out anew, all agree/)
      File.write(file.path, text.sub('"verdict": "keep"', '"verdict": "drop"'))
      out = StringIO.new
      expect(described_class.new(out:, err: StringIO.new, env: {}).call(["verify", file.path])).to eq(1)
      expect(out.string).to match(%r{^inquiry/decisions/\d+ was altered})
      File.truncate(file.path, (100 * 1_048_576) + 1)
      err = StringIO.new
      expect(described_class.new(out:, err:, env: {}).call(["verify", file.path])).not_to eq(0)
      expect(err.string).to include("is too large")
    end
  end

  it "imports what comes through a pipe" do
    Dir.mktmpdir do |folder|
      ris = "TY  - JOUR\nTI  - One\nER  -\n"
      script = File.expand_path("../../bin/hobrin", __dir__)
      command = "cat | #{script} import /dev/stdin"
      out, err, status = Open3.capture3({ "HOBRIN_HOME" => folder }, command, stdin_data: ris)
      expect([err, status.exitstatus]).to eq(["", 0])
      expect(out).to include("1 papers added")
    end
  end

  it "runs from any folder by its own script" do
    out, err, status = Open3.capture3({ "HOBRIN_HOME" => home.to_s }, File.expand_path("../../bin/hobrin", __dir__),
                                      "count", "cql.allRecords = 1", chdir: "/")
    expect([out, err, status.exitstatus]).to eq(["#{records.size}\n", "", 0])
  end
end
