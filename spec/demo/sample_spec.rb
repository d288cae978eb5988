# frozen_string_literal: true

require "net/http"
require "open3"
require "socket"

# What a person meets first: the commands, and the made-up data.
RSpec.describe "The demo", :slow do
  root = File.expand_path("../..", __dir__)

  def run(command, **env) = Open3.capture3(env.transform_keys(&:to_s), command)

  it "says in one line why it cannot start" do
    Dir.mktmpdir do |home|
      server = TCPServer.new("127.0.0.1", 0)
      File.write("#{home}/file", "")
      refused = { { PORT: server.addr[1].to_s, HOBRIN_HOME: home } => /in use.*PORT=/,
                  { PORT: "many", HOBRIN_HOME: home } => /PORT must be a number/,
                  { HOBRIN_HOME: "#{home}/file/x" } => /cannot be written/ }
      refused.each do |env, message|
        _, err, status = run("#{root}/bin/demo", **env)
        expect([err.lines.size, status.exitstatus]).to eq([1, 2])
        expect(err).to match(message)
      end
    ensure
      server&.close
    end
  end

  it "loads the sample, prints its address, serves there, and stops when asked" do
    Dir.mktmpdir do |home|
      port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
      2.times do
        Open3.popen2({ "PORT" => port.to_s, "HOBRIN_HOME" => home },
                     "#{root}/bin/demo") do |_, out, process|
          address = out.each_line.lazy.filter_map { |line| line[%r{http://[\d.:]+}] }.first
          expect(address).to eq("http://127.0.0.1:#{port}")
          expect(Net::HTTP.get(URI(address))).to include("What is your clinical question?",
                                                         "earplugs and an eye mask at night")
          Process.kill("INT", process.pid)
          expect(process.value.exitstatus).to eq(0)
        end
      end
    end
  end

  it "asks for a newer Ruby in one line" do
    Dir.mktmpdir do |folder|
      old = "#!/bin/sh\ncase \"$*\" in *print*) printf 2.7.0;; *) exit 1;; esac\n"
      File.write("#{folder}/ruby", old, perm: 0o755)
      _, err, status = run("#{root}/bin/demo", PATH: "#{folder}:#{ENV.fetch("PATH")}")
      expect([err,
              status.exitstatus]).to eq(["hobrin: Ruby 3.1 or newer is needed; this is 2.7.0.\n",
                                         2])
    end
  end

  let(:records) { SampleHome.records }

  it "makes the same library every time, of papers apart from each other, filed under headings that are there" do
    expect(Hobrin::Demo::SampleLibrary.new.each.first(1_000)).to eq(records.first(1_000))
    expect([records.size, records.map(&:id).uniq.size]).to eq([12_000, 12_000])
    expect(records.map(&:doi)).to all(start_with("10.5555/"))
    expect(records.map { |record| record.title.downcase }.uniq.size).to eq(12_000 - 16)
    thesaurus = Hobrin::Thesaurus.new(Hobrin::Demo::SampleThesaurus.headings)
    expect(thesaurus.headings.size).to be > 500
    expect(thesaurus.headings.count { |heading| heading.broader.empty? }).to be > 8
    expect(Hobrin::Thesaurus::Integrity.new(thesaurus.headings).warnings).to eq([])
    expect(records.flat_map { |record| record.headings.map(&:label) }.uniq.reject { |label| thesaurus.heading(label) })
      .to eq([])
    expect(records.flat_map(&:types).uniq - Hobrin::Records::StudyTypes::ALL).to eq([])
  end

  it "tells shares that agree with their numbers, and cites what was there before" do
    shares = records.flat_map { |record| record.abstract.to_s.scan(/(\d+) of (\d+) \(([\d.]+)%\)/) }
    expect(shares.size).to be > 10_000
    # One slip, planted in one paper.
    shares -= [%w[18 104 13.7]]
    shares.each do |part, whole, share|
      expect([part, whole,
              (100.0 * part.to_i / whole.to_i).round(1)]).to eq([part, whole, share.to_f])
    end
    published = records.to_h { |record| [record.id, record.published] }
    records.each do |record|
      record.cites.each do |id|
        expect(published.fetch(id)).to be <= record.published
      end
    end
  end

  # The shares that docs/sample.md states.
  it "is made up as the documentation says" do
    share = ->(&test) { (100.0 * records.count(&test) / records.size).round(1) }
    text = File.read("#{root}/docs/sample.md")
    facts = { "English" => share.call { |record| record.language == "eng" },
              "not indexed yet" => share.call { |record| record.headings.empty? },
              "no abstract" => share.call { |record| record.abstract.nil? },
              "from 2019 on" => share.call { |record| record.year >= 2019 } }
    ["randomized controlled trial", "qualitative study"].each do |type|
      facts[type] = share.call { |record| record.types.include?(type) }
    end
    facts.each { |name, percent| expect(text).to include("| #{name} | #{percent} % |") }
    expect(records.count { |record| record.flags.include?("retracted") }).to be_between(10, 20)
    expect(records.map(&:country).uniq.size).to be > 20
  end
end
