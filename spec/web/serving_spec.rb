# frozen_string_literal: true

require "net/http"
require "socket"
require_relative "../../config/puma_server"

# The server as people start it, on a home without made-up data.
RSpec.describe "hobrin serve", :slow do
  let(:home) { Pathname(Dir.mktmpdir("hobrin")) }
  let(:port) { TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] } }

  after { FileUtils.rm_rf(home) }

  # Starts it in a group of its own and waits for the line that says where it is.
  def serving(bind: "127.0.0.1")
    out, into = IO.pipe
    script = File.expand_path("../../config/cli.rb", __dir__)
    env = { "PORT" => port.to_s, "HOBRIN_HOME" => home.to_s, "BIND" => bind }
    pid = Process.spawn(env, RbConfig.ruby, script, "serve",
                        out: into, err: File::NULL, pgroup: true)
    into.close
    expect(out.gets).to include("Hobrin is at http://#{bind}:#{port}.")
    yield
  ensure
    Process.kill(:KILL, -pid)
    Process.wait(pid)
    out.close
  end

  def get(path)
    answer = Net::HTTP.get_response(URI("http://127.0.0.1:#{port}#{path}"))
    @cookie = answer["set-cookie"]&.split(";")&.first || @cookie
    @token = answer.body[/X-CSRF-Token&quot;:&quot;([^&]+)&|X-CSRF-Token":"([^"]+)"/,
                         1] || Regexp.last_match(2) || @token
    answer
  end

  def post(path, body)
    request = Net::HTTP::Post.new(path, "Content-Type" => "application/octet-stream", "X-CSRF-Token" => @token,
                                        "Cookie" => @cookie)
    request.body = body
    Net::HTTP.start("127.0.0.1", port, read_timeout: 60) { |http| http.request(request) }
  end

  def ris(count)
    Array.new(count) do |place|
      "TY  - JOUR\r\nID  - s#{place}\r\nTI  - Night paper #{place} #{"of a ward " * 20}\r\nER  - \r\n"
    end.join
  end

  # Asks the page again and again until it says so; another process is at work meanwhile.
  def expect_page(words)
    limit = Process.clock_gettime(Process::CLOCK_MONOTONIC) + 600
    text = ""
    until text.match?(words) || Process.clock_gettime(Process::CLOCK_MONOTONIC) > limit
      text = get("/library").body.dup.force_encoding(Encoding::UTF_8)
    end
    expect(text).to match(words)
  end

  # Where other machines can reach it, nobody does anything unasked.
  it "refuses to start for other machines while nobody can sign in, and then asks everybody" do
    env = { "PORT" => port.to_s, "HOBRIN_HOME" => home.to_s, "BIND" => "0.0.0.0" }
    [{ env: }, { env: env.except("BIND"), shared: true }].each do |given|
      server = Hobrin::PumaServer.new(out: StringIO.new, **given)
      expect { server.call }.to raise_error(Hobrin::StateError, /Nobody can sign in yet/)
    end
    context = Hobrin::Boot.context(home:)
    Hobrin::Services::Accounts::Add.new(context).call(name: "Runa Ostel", login: "runa", runs: true,
                                                      password: "a quiet night please")
    Hobrin::Services::Inquiries::Start.new(context).call("Does quiet help patients to sleep?")
    serving(bind: "0.0.0.0") do
      %w[/ /inquiries/1/ask /inquiries/1/archive.json /library /people /sru /oai /nowhere].each do |path|
        expect([path, get(path)["location"].to_s[%r{/sign-in\z}]]).to eq([path, "/sign-in"])
      end
      expect(get("/sign-in").code).to eq("200")
      expect(post("/library/files?name=x.ris", ris(1))["location"]).to end_with("/sign-in")
    end
    expect(context.library.imports.all).to eq([])
  end

  it "begins empty, takes a large file in, and goes on with it after it was killed itself" do
    serving do
      expect(get("/").body).to include("the library is empty: import papers")
      expect(get("/library").body).not_to include("Made-up")
      answer = post("/library/files?name=large.ris", ris(24_000))
      expect([answer.code, answer.body]).to match(["200", /large\.ris/])
      expect_page(/being imported/)
    end
    # The reading process is in a group of its own; it is killed, too.
    system("pkill", "-KILL", "-f", "config/cli.rb work", err: File::NULL)
    FileUtils.rm_f(home.join("incoming/woken"))
    serving do
      expect_page(%r{import-state">imported</span>: 24.000 new papers\s*<})
    end
  end
end
