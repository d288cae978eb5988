# frozen_string_literal: true

require "prawn"
require "zlib"

# Full texts come from anywhere: reading one takes little time and memory, whatever it holds.
RSpec.describe Hobrin::Store::PdfText do
  around { |example| Dir.mktmpdir { |folder| (@folder = Pathname(folder)) && example.run } }

  def file(bytes) = @folder.join("a.pdf").tap { |path| path.binwrite(bytes) }

  # A PDF whose page comes to so many bytes.
  def packed(stream)
    "%PDF-1.4\n1 0 obj\n<< /Length #{stream.bytesize} /Filter /FlateDecode >>\nstream\n".b + stream + "\nendstream\nendobj\n".b
  end

  it "does not inflate what is packed beyond bounds, in one stream or in many, and starts no process for it" do
    # 300 MB, packed piece by piece, so that this process does not grow by making it.
    packing, piece = Zlib::Deflate.new, "0" * 1024 * 1024
    zeros = Array.new(300) { packing.deflate(piece) }.join + packing.finish
    expect(zeros.bytesize).to be < 400_000
    expect(Process).not_to receive(:spawn)
    [packed(zeros), packed(Zlib.deflate("0" * 30 * 1024 * 1024)) * 5].each do |bytes|
      peak = memory { expect { described_class.new.call(file(bytes)) }.to raise_error(Hobrin::InputError, /too much memory/) }
      # What was inflated before it was too much, and no more, whenever it is collected.
      expect(peak).to be < 100_000
    end
  end

  # By how many kB this process grows.
  def memory
    before = File.read("/proc/self/statm").split[1].to_i
    yield
    (File.read("/proc/self/statm").split[1].to_i - before) * 4
  end

  it "reads an ordinary one, and ends the process with whoever waits for it" do
    path = @folder.join("b.pdf")
    Prawn::Document.generate(path) { |page| page.text "Sleep on wards" }
    expect(described_class.new.call(path)).to include("Sleep on wards")
    stub_const("#{described_class}::PROGRAM", @folder.join("slow.rb").tap { |slow| slow.write("$stdout.sync = true; print 1; sleep") }.to_s)
    pids = []
    allow(Process).to(receive(:spawn).and_wrap_original { |spawn, *given, **more| spawn.call(*given, **more).tap { |pid| pids << pid } })
    waiting = Thread.new { described_class.new.call(path) }
    Thread.pass until pids.any?
    waiting.kill.join
    expect { Process.getpgid(pids.first) }.to raise_error(Errno::ESRCH)
  end

  it "reads two at once, and the others after them" do
    later = Hobrin::Services::ReadLater.new(at_once: 2, patience: 0.05)
    gate, at_once, most, lock = Queue.new, 0, 0, Mutex.new
    done = Array.new(6) do
      later.call do
        lock.synchronize { most = [most, at_once += 1].max }
        gate.pop
        lock.synchronize { at_once -= 1 }
      end
    end
    expect(done).to eq([false] * 6)
    6.times { gate << true }
    Thread.pass until gate.empty? && at_once.zero?
    expect(most).to eq(2)
    patient = Hobrin::Services::ReadLater.new(at_once: 2, patience: 120)
    expect(patient.call { nil }).to be(true)
    expect { patient.call { raise Hobrin::InputError, { pdf: "no" } } }.to raise_error(Hobrin::InputError)
  end
end
