# frozen_string_literal: true

# Other catalogues as they are in life: slow, down, wrong, endless, hostile.
RSpec.describe Hobrin::Outside do
  def fetch(allowed, **rest)
    described_class::Fetch.new(described_class::Allowed.new(allowed), wait: ->(_) {},
                                                                      back_off: [0], **rest)
  end

  def source(port, **rest)
    described_class::Sources::Sru.new(fetch("127.0.0.1:#{port}", **rest),
                                      "http://127.0.0.1:#{port}/sru")
  end

  def xml(body, status: 200, **headers)
    ->(_) { [status, { "content-type" => "text/xml", **headers }, [body]] }
  end

  # An answer to a search, with what is in it.
  def searched(inside) = xml("<searchRetrieveResponse>#{inside}</searchRetrieveResponse>")

  def trouble(app, **rest)
    Wire.serve(app) { |port| source(port, **rest).count("sleep") }
    nil
  rescue Hobrin::Outside::Fetch::NoAnswer => e
    e.message
  end

  it "leaves a catalogue that sends a head without end, in one line or in many, or drop by drop" do
    many = ->(socket) { socket.write("HTTP/1.1 200 OK\r\n") && loop { socket.write("X-A: #{"a" * 4_000}\r\n" * 50) } }
    one = ->(socket) { socket.write("HTTP/1.1 200 OK\r\nX-A: ") && loop { socket.write("a" * 65_536) } }
    [many, one].each do |answer|
      said = begin
        Wire.raw(answer) { |port| source(port, largest: 200_000).count("sleep") }
      rescue Hobrin::Outside::Fetch::NoAnswer => e
        e.message
      end
      expect(said).to match(/more than 0 MB/)
    end
  end

  it "says in words what is wrong with an answer" do
    entities = "<!DOCTYPE a [<!ENTITY z SYSTEM \"file:///etc/passwd\">]><searchRetrieveResponse>&z;" \
               "</searchRetrieveResponse>"
    diagnostic = "<diagnostics><diagnostic><uri>info:srw/diagnostic/1/16</uri><details>dc.foo</details>" \
                 "<message>Unsupported index</message></diagnostic></diagnostics>"
    elsewhere = { "location" => "http://169.254.169.254/latest" }
    { xml("<html>down</html>") => /not an SRU answer: it begins with <html>/,
      xml("") => /no answer/,
      xml("<a><b></a>") => /not well-formed XML/, xml("\xFF\x00\xFE") => /no answer/,
      xml(entities) => /document type/,
      searched(diagnostic) => /Unsupported index: dc.foo \(diagnostic 16\)/,
      searched("") => /does not say how many/,
      searched("<numberOfRecords>-1</numberOfRecords>") => /does not say how many/,
      xml("x", status: 500) => /error \(500\)/, xml("x", status: 503) => /busy \(503\)/,
      xml("x", status: 404) => /error \(404\)/,
      xml("", status: 302, **elsewhere) => /sends elsewhere, which is not followed/ }
      .each { |app, words| expect([words, trouble(app)]).to match([words, words]) }
    expect(trouble(xml("x" * 2_000_000), largest: 1_000_000)).to match(/more than 0 MB/)
  end

  it "leaves what is down, slow, without end, or no HTTP at all, in bounded time" do
    port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
    expect { source(port).count("a") }.to raise_error(Hobrin::Outside::Fetch::NoAnswer, /nothing listens/)
    head = "HTTP/1.1 200 OK\r\nContent-Type: text/xml\r\n\r\n"
    { lambda(&:read) => /did not answer within/,
      lambda { |socket|
        socket.write(head)
        loop { [socket.write("<a>"), IO.select(nil, nil, nil, 0.02)] }
      } => /did not end its answer/,
      ->(socket) { socket.write(head) && loop { socket.write("<a>" * 20_000) } } => /more than 1 MB/,
      ->(socket) { socket.write("SSH-2.0\r\n\r\n") } => /could not be asked/,
      lambda(&:close) => /could not be asked/ }.each do |answer, words|
      Wire.raw(answer) do |at|
        expect do
          source(at, seconds: 0.4, largest: 1_048_576).count("a")
        end.to raise_error(Hobrin::Outside::Fetch::NoAnswer, words)
      end
    end
  end

  it "tries again what was busy, and no more often than it should" do
    asked = 0
    good = "<searchRetrieveResponse><numberOfRecords>7</numberOfRecords></searchRetrieveResponse>"
    app = ->(_) { (asked += 1) == 1 ? [503, {}, []] : [200, {}, [good]] }
    Wire.serve(app) { |port| expect(source(port).count("sleep")).to eq(7) }
    expect(asked).to eq(2)
  end

  it "refuses every address that is not on the list, before any connection" do
    names = { "good.example" => ["93.184.216.34"], "inside.example" => ["10.0.0.5"],
              "meta.example" => ["169.254.169.254"],
              "both.example" => ["93.184.216.34", "127.0.0.1"],
              "six.example" => ["::ffff:10.1.1.1"],
              "none.example" => [],
              "shared.example" => ["100.64.3.4"], "listed.example" => ["10.0.0.9"] }
    # Ranges of RFC 6890, and what carries an address within: each as a name of its own.
    %w[64:ff9b::a00:5 64:ff9b::7f00:1 ::7f00:1 ::10.1.1.1 2002:a00:5:: 2002:7f00:1::1 0.1.2.3 224.0.0.1 239.1.1.1 255.255.255.255
       240.0.0.1 ff02::1 fec0::1 fe80::1%eth0 fd00::1 ::1 192.0.0.8 198.18.0.1].each_with_index do |address, place|
      names["odd#{place}.example"] = [address]
    end
    allowed = described_class::Allowed.new("#{names.keys.join(",
        ")}, 10.0.0.9, 127.0.0.1:4747, other.example:8080",
                                           resolve: ->(name) { names.fetch(name) })
    expect(allowed.check("http://good.example/sru?x=1").last).to eq("93.184.216.34")
    expect(allowed.check("https://listed.example/sru").last).to eq("10.0.0.9")
    expect(allowed.check("http://127.0.0.1:4747/sru").last).to eq("127.0.0.1")
    names["six-public.example"] = ["2606:2800:220:1::1"]
    names["nat64-public.example"] = ["64:ff9b::5db8:d822"]
    open = described_class::Allowed.new("six-public.example,nat64-public.example", resolve: ->(name) { names.fetch(name) })
    expect(%w[six-public nat64-public].map { |name| open.check("http://#{name}.example/").last }).to eq(names.values.last(2).flatten)
    [*names.keys.grep(/\Aodd/).map { |name| "http://#{name}/" }, "http://inside.example/", "http://meta.example/", "http://both.example/",
     "http://six.example/",
     "http://none.example/",
     "http://shared.example", "http://127.0.0.1/sru", "http://127.0.0.1:4748/",
     "http://localhost:4747/",
     "http://other.example/",
     "http://good.example:81/", "http://good.example.evil/", "http://evil/good.example",
     "http://a@good.example/", "ftp://good.example/",
     "file:///etc/passwd", "http://[::1]:4747/", "http://2130706433:4747/", "http://0x7f.1:4747/",
     "", "x",
     "http://", "http://good.example/#a",
     "http://good.example\\@evil/", "http://good.example\r\nHost: evil/"].each do |address|
      expect { allowed.check(address) }.to raise_error(Hobrin::InputError), address
    end
  end
end
