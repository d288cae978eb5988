# frozen_string_literal: true

# Everything is copied while others write, read again, and put in place elsewhere.
RSpec.describe Hobrin::Services::Backup::Keep do
  include SmallWard
  include Ward

  let(:folder) { Pathname(Dir.mktmpdir) }

  after { FileUtils.rm_rf(folder) }

  def backup(place = folder.join("all"))
    place.tap { described_class.new(context, home).call(place) }
  end

  def whole(context)
    [context.inquiries.all.map(&:to_h), context.inquiries.trail(1).map(&:to_h),
     context.directory.accounts.all.map(&:to_h), context.standings.some([1]).transform_values(&:to_h),
     context.library.records_by_id(%w[p0 p5]).map(&:to_h)]
  end

  it "brings back all of it, to the letter, and writes over nothing" do
    people
    home.join("papers/ab").mkpath
    home.join("papers/ab/full.pdf").binwrite("%PDF-1.7 made up")
    copy = backup
    restored = folder.join("home")
    Hobrin::Services::Backup.new(copy).restore(restored)
    expect(whole(Hobrin::Boot.context(home: restored,
                                      clock: Builders::FixedClock))).to eq(whole(context))
    expect(restored.join("papers/ab/full.pdf").binread).to eq("%PDF-1.7 made up")
    expect { Hobrin::Services::Backup.new(copy).restore(restored) }
      .to raise_error(Hobrin::StateError, /nothing is overwritten/)
    expect { backup(copy) }.to raise_error(Hobrin::StateError, /exists already/)
  end

  it "is whole though others write meanwhile: no line of a trail without its inquiry, none in half" do
    people
    writing = true
    writer = Thread.new do
      own = Hobrin::Boot.context(home:, who: "another", clock: Builders::FixedClock)
      turn = 0
      while writing
        edit = Hobrin::Edits::Additions::AddParts.words("P", "word#{turn += 1}")
        Hobrin::Services::ApplyEdit.new(own).call(1, edit)
      end
      turn
    end
    copies = Array.new(3) { |place| backup(folder.join("copy#{place}")) }
    writing = false
    expect(writer.value).to be > 0
    copies.each do |copy|
      restored = copy.sub_ext(".home")
      Hobrin::Services::Backup.new(copy).restore(restored)
      own = Hobrin::Boot.context(home: restored)
      saved = own.inquiries.find(1)
      expect(own.inquiries.trail(1).map(&:number)).to eq(saved.version.downto(1).to_a)
      expect(own.inquiries.state_at(1, saved.version)).to eq(saved.inquiry)
    end
  end

  def turn_a_bit(file, place)
    file.binwrite(file.binread.tap { |text| text.setbyte(place, text.getbyte(place) ^ 1) })
  end

  it "finds a byte that is another, a file that is missing or new, and what is no backup" do
    { "a byte" => ->(copy) { turn_a_bit(copy.join("people.sqlite3"), 5_000) },
      "a missing file" => ->(copy) { copy.join("inquiries.sqlite3").delete },
      "a new file" => ->(copy) { copy.join("more.txt").write("x") },
      "a list that is cut" => ->(copy) { copy.join("backup.json").write("{") },
      "no list" => ->(copy) { copy.join("backup.json").delete } }.each do |name, spoil|
      copy = backup(folder.join(name))
      spoil[copy]
      expect { Hobrin::Services::Backup.new(copy).restore(folder.join("home")) }
        .to raise_error(Hobrin::StateError, /has been altered|not a backup of Hobrin/), name
      expect(folder.join("home")).not_to exist
    end
  end

  # Restores in a process of its own that is killed at the so-manieth file that it moves, copies or
  # flushes. Gives whether it came to its end.
  def killed_restore(copy, target, at)
    pid = fork do
      count = 0
      TracePoint.new(:c_call) do |call|
        next unless %i[rename fsync copy_stream].include?(call.method_id)

        Process.kill(:KILL, Process.pid) if (count += 1) == at
      end.enable { Hobrin::Services::Backup.new(copy).restore(target) }
      exit!(true)
    end
    Process.wait2(pid).last.success?
  end

  it "leaves a whole home or none where a restore is killed, also one into a folder that is there" do
    people
    home.join("papers").mkpath
    home.join("papers/full.pdf").binwrite("%PDF-1.7 made up")
    copy = backup
    [false, true].each do |there|
      kills = (1..60).step(2).take_while do |at|
        target = folder.join("home-#{there}-#{at}")
        target.mkpath && target.join("session.key").write("k") if there
        done = killed_restore(copy, target, at)
        found = begin
          target.join("inquiries.sqlite3").exist? ? whole(Hobrin::Boot.context(home: target, clock: Builders::FixedClock)) : :none
        rescue Hobrin::StateError => e
          e.message.include?("did not finish") ? :told : e.message
        end
        expect([at, found]).to eq([at, found.is_a?(Symbol) ? found : whole(context)])
        # What is left over does not stand in the way.
        Hobrin::Services::Backup.new(copy).restore(target) if found == :none
        !done
      end
      expect(kills.size).to be_between(4, 28)
    end
  end

  it "takes no damage for a first start, and half a home for no home" do
    people
    context.inquiries.backup(folder.join("copy.sqlite3").to_s)
    Hobrin::Boot.disconnect
    home.join("inquiries.sqlite3").truncate(0)
    FileUtils.rm_f(%w[-wal -shm].map { |ending| home.join("inquiries.sqlite3#{ending}") })
    expect { Hobrin::Boot.context(home:) }.to raise_error(Hobrin::StateError, /damaged/)
    home.join("inquiries.sqlite3").delete
    expect { Hobrin::Boot.context(home:) }.to raise_error(Hobrin::StateError, /half of the data/)
    FileUtils.cp(folder.join("copy.sqlite3"), home.join("inquiries.sqlite3"))
    FileUtils.rm_f(home.glob("people.sqlite3*"))
    expect { Hobrin::Boot.context(home:) }.to raise_error(Hobrin::StateError, /half of the data/)
  end

  it "keeps everything for its owner alone" do
    copy = backup
    modes = [copy, *copy.glob("**/*")].to_h { |path| [path.basename.to_s, path.stat.mode & 0o777] }
    expect(modes.values.uniq).to contain_exactly(0o700, 0o600)
    expect(modes["backup.json"]).to eq(0o600)
  end

  it "keeps one a day, seven deep" do
    days = (1..9).map do |day|
      clock = Module.new { define_singleton_method(:now) { Time.utc(2026, 12, day, 3) } }
      own = Hobrin::Boot.context(home:, clock:)
      [1, 2].map { described_class.new(own, home).daily(folder, keep: 7) }
    end
    expect(days.map(&:last)).to all(be_nil)
    expect(folder.children.map { |one| one.basename.to_s }.sort).to eq((3..9).map { |day| "2026-12-0#{day}" })
  end

  it "passes the library on to another home, and refuses one that is not as it was laid out" do
    passing = Hobrin::Services::PassLibraryOn.new(folder)
    version = passing.publish(context)
    other = folder.join("other")
    expect([passing.fetch(other), passing.fetch(other)]).to eq([version, version])
    own = Hobrin::Boot.context(home: other)
    expect([own.library.version,
            own.library.record("p3")]).to eq([version, context.library.record("p3")])
    turn_a_bit(folder.join("library-#{version}.sqlite3"), 5_000)
    expect { passing.fetch(other) }.to raise_error(Hobrin::StateError, /has been altered/)
    expect(Hobrin::Boot.context(home: other).library.size).to eq(6)
    [{ file: "../../etc/passwd" }, { file: "library-1.2.sqlite3" }, []].each do |list|
      folder.join("library.json").write(JSON.generate(list))
      expect { passing.fetch(other) }.to raise_error(Hobrin::StateError, /holds no library/)
    end
  end
end
