# frozen_string_literal: true

# Files that wait are read by a process of their own, which may be killed at any moment.
RSpec.describe Hobrin::Services::Imports::Work do
  # Papers as a reference manager writes them, with the faults that such files have: white space,
  # keywords in one line, dates cut short, an entry without a title, the same paper twice.
  def ris(count, from: 0, note: "none")
    Array.new(count) do |place|
      number = from + place
      title = (number % 97).zero? ? "" : "Night paper #{number}"
      ["TY  - JOUR", "ID  - n#{number}", "TI  - #{title} ", "AU  - Vendrillon, A#{number % 26}",
       "PY  - 20#{10 + (number % 16)}", "KW  - sleep; night care", "N1  - #{note}",
       "ER  - ", ""].join("\r\n")
    end.join
  end

  def waiting(context, text, name: "papers.ris")
    path = context.incoming.receive(StringIO.new(text.b))
    import = context.library.imports.begin(name:, size: text.bytesize, at: context.clock.now,
                                           state: "waiting")
    context.incoming.name(path, import.id)
    import
  end

  def now(context, import) = context.library.imports.find(import.id)

  it "reads what waits in order, says what it did, and keeps what was refused" do
    with_home do |context|
      first, second, third = [ris(300), "no list at all", ris(200, from: 200)].map do |text|
        waiting(context, text)
      end
      expect(described_class.new(context).call).to be(true)
      expect(now(context,
                 first).to_h).to include(state: "done", added: 296, refused: 4, known: 0,
                                         entries: 300)
      expect(now(context,
                 second).to_h).to include(state: "failed", message: /none of this file’s format/, added: 0)
      expect(now(context, third).to_h).to include(state: "done", added: 99, refused: 2, known: 99)
      expect(context.library.imports.refusals(first.id).map(&:place)).to eq([1, 98, 195, 292])
      expect([context.library.size, context.incoming.path_of(first.id).exist?]).to eq([395, false])
      expect(context.library.imports.next_waiting).to be_nil
    end
  end

  it "takes a thesaurus in, and leaves the one in use when another does not hang together" do
    with_home do |context|
      headings = [a_heading("Noise"), a_heading("Sleep", related: ["Noise"]),
                  a_heading("Noise at night", broader: ["Noise"])]
      Hobrin::Exchange::Skos::Writer.new.call(Hobrin::Thesaurus.new(headings), io = StringIO.new)
      cut = "@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n<urn:a> a skos:Concept ; skos:prefLabel"
      whole, broken = [io.string, cut].map { |text| waiting(context, text, name: "headings.ttl") }
      described_class.new(context).call
      expect(now(context, whole).to_h).to include(state: "done", format: "skos", message: /3 headings, now in use/)
      expect(now(context, broken).to_h).to include(state: "failed", message: be_a(String))
      expect(context.thesaurus.headings.map(&:label)).to contain_exactly("Noise", "Noise at night", "Sleep")
    end
  end

  it "is free again when its work is done, although a process that was forked meanwhile lives on" do
    with_home do |context|
      rest, ended = IO.pipe
      child = nil
      context.incoming.alone do
        child = fork do
          ended.close
          rest.read
          exit!(0)
        end
      end
      expect(context.incoming.alone { nil }).to be(true)
      ended.close
      Process.wait(child)
    end
  end

  it "lets one process work at a time, and stops between two batches when it is told" do
    with_home do |context|
      import = waiting(context, ris(9_000))
      context.incoming.alone { expect(described_class.new(context).call).to be(false) }
      imports = context.library.imports
      batches = 0
      allow(imports).to receive(:add).and_wrap_original do |add, *given, **rest|
        add.call(*given, **rest)
        imports.change(import.id, state: "stopped") if (batches += 1) == 1
      end
      described_class.new(context).call
      expect(now(context, import).to_h).to include(state: "stopped", entries: 1_000, added: 989)
      imports.change(import.id, state: "waiting")
      described_class.new(context).call
      expect(now(context,
                 import).to_h).to include(state: "done", entries: 9_000, added: 8_907, refused: 93)
    end
  end

  # What a library is, without how it came to be.
  def whole(context)
    index = context.library.index
    [index.everything.size, index.values(:year), index.sets(:year).transform_values(&:size), index.word_counts,
     context.library.duplicates.count]
  end

  it "goes on after twenty kills at any moment, with nothing doubled and nothing lost", :slow do
    random = Random.new(20)
    texts = []
    with_home do |context|
      20.times do
        unless context.library.imports.next_waiting
          texts << ris(4_200, from: texts.size * 4_200)
          waiting(context, texts.last)
        end
        kill_at_work(context, random.rand(0.4..1.3))
      end
      described_class.new(context).call
      expect(context.library.imports.all.map { |one| one.to_h.slice(:state, :entries, :known).values }.uniq)
        .to eq([["done", 4_200, 0]])
      expect(whole(context)).to eq(plain(texts))
    end
  end

  # The same files, read without a break.
  def plain(texts)
    with_home do |context|
      texts.each { |text| waiting(context, text) }
      described_class.new(context).call
      whole(context)
    end
  end

  # Starts the process that Hobrin starts, and kills it once it had so many seconds of the
  # processor.
  def kill_at_work(context, seconds)
    script = File.expand_path("../../../config/cli.rb", __dir__)
    pid = Process.spawn({ "HOBRIN_HOME" => context.incoming.home.to_s }, RbConfig.ruby, script, "work",
                        out: File::NULL, err: File::NULL)
    Thread.pass until worked(pid) >= seconds
    Process.kill(:KILL, pid)
    Process.wait(pid)
  end

  # Seconds of the processor that a process had so far; many when it has ended.
  def worked(pid)
    stat = File.read("/proc/#{pid}/stat").split
    stat[2] == "Z" ? 100.0 : stat[13, 2].sum(&:to_i) / 100.0
  end

  it "does not take half a file for the whole when the processes that read it ahead are killed" do
    pids, killed = [], []
    allow(Process).to receive_messages(spawn: nil, detach: nil)
    allow(Process).to(receive(:fork).and_wrap_original { |fork, &work| fork.call(&work).tap { |pid| pids << pid } })
    with_home do |context|
      import = waiting(context, ris(12_000, note: "x" * 80))
      allow(context.library.imports).to receive(:add).and_wrap_original do |add, *given, **rest|
        add.call(*given, **rest).tap { killed.concat(pids).each { |pid| Process.kill(:KILL, pid) } if killed.empty? }
      end
      described_class.new(context).call
      expect(now(context, import)).to have_attributes(state: "failed", entries: be_between(1_000, 10_000),
                                                      message: /stopped before the end/)
      Hobrin::Services::Imports::Change.new(context).go_on(import.id)
      described_class.new(context).call
      expect(now(context, import)).to have_attributes(state: "done", entries: 12_000, known: 0, message: nil)
      expect(whole(context)).to eq(plain([ris(12_000)]))
    end
  end

  it "gives papers the heading that a keyword stands for, those that are here and those to come" do
    with_home do |context|
      Hobrin::Services::Imports::ImportThesaurus.new(context).call([a_heading("Noise", also_called: ["Din"]),
                                                                    a_heading("Sleep")])
      import = waiting(context, ris(100))
      described_class.new(context).call
      expect(context.library.imports.headings(import.id)).to eq("night care" => 98, "sleep" => 98)
      count = -> { context.evaluator.count(Hobrin::Strategy::Heading.new(label: "Noise")) }
      expect(count.call).to eq(0)
      matching = Hobrin::Services::Library::MatchHeading.new(context)
      allow(Process).to receive(:spawn).and_return(nil)
      allow(Process).to receive(:detach)
      expect { matching.call("night care", "Moon") }.to raise_error(Hobrin::InputError, /not a heading/)
      matching.call("night care", "din")
      described_class.new(context).call
      expect([count.call, context.library.matches.all.map(&:state)]).to eq([98, ["done"]])
      record = context.library.newest(context.library.index.everything, limit: 1).first
      expect([record.keywords, record.headings.map(&:label).sort]).to eq([%w[sleep], %w[Noise]])
      expect(context.evaluator.count(Hobrin::Strategy::TextTerm.read("night care"))).to eq(0)
      expect(context.evaluator.count(Hobrin::Strategy::TextTerm.read("night paper"))).to eq(98)
      waiting(context, ris(10, from: 200))
      described_class.new(context).call
      expect(count.call).to eq(108)
      before = context.library.newest(context.library.index.everything, limit: 200).map(&:keywords)
      expect(before).to all(eq(%w[sleep]))
      matching.take_back("night care")
      waiting(context, ris(10, from: 300))
      described_class.new(context).call
      expect([count.call, context.library.matches.all]).to eq([0, []])
      expect(context.evaluator.count(Hobrin::Strategy::TextTerm.read("night care"))).to eq(118)
      kept = context.library.newest(context.library.index.everything, limit: 200)
      expect(kept.map { |one| [one.keywords.sort, one.headings] }.uniq).to eq([[["night care", "sleep"], []]])
      expect { matching.take_back("night care") }.to raise_error(Hobrin::GoneError)
    end
  end

  it "takes an import back as if it had never been, and gives its numbers to nobody" do
    with_home do |context|
      waiting(context, ris(500))
      described_class.new(context).call
      before = whole(context)
      doubled = ris(300, from: 400).gsub("ID  - n", "ID  - again").gsub("ER  -",
                                                                        "DO  - 10.5555/night\r\nER  -")
      import = waiting(context, doubled)
      described_class.new(context).call
      expect(context.library.size).to be > 600
      numbers = context.library.imports.parts(import.id)
      losing = Hobrin::Services::Inquiries::Start.new(context).call("Does night care help?")
      record = context.library.numbered(numbers.first.first)
      edit = Hobrin::Edits::Screen::Decide.new(decision: Hobrin::Screening::Decision.new(
        record_id: record.id, verdict: :keep, reason: nil, note: ""
      ))
      Hobrin::Services::ApplyEdit.new(context).call(losing, edit)
      changing = Hobrin::Services::Imports::Change.new(context)
      expect(changing.losing(import.id).named.map { |one| [one.id, one.papers] }).to eq([[losing, 1]])
      changing.take_back(import.id)
      expect(whole(context)).to eq(before)
      expect(context.evaluator.count(Hobrin::Strategy::TextTerm.read("night paper 650"))).to eq(0)
      expect { changing.take_back(import.id) }.to raise_error(Hobrin::GoneError)
      waiting(context, ris(5, from: 5_000))
      described_class.new(context).call
      expect(context.library.index.everything.to_a.last(5).min).to be > numbers.last.last
    end
  end
end
