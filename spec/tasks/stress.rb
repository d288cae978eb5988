# frozen_string_literal: true

# Many people at once on the sample library, the server killed in the middle of changes, and
# requests
# that no page sends. Prints tables for docs/performance.md. SECONDS, KILLS and HOSTILE change how
# much.
require "net/http"
require "socket"
require "tmpdir"
require_relative "../../config/server"

ROOT = Hobrin::Boot::ROOT
SECONDS = Integer(ENV.fetch("SECONDS", "20"))
KILLS = Integer(ENV.fetch("KILLS", "30"))
HOSTILE = Integer(ENV.fetch("HOSTILE", "1000"))
PEOPLE = 50
# Ten of the fifty change things.
CHANGING = 10
PAGES = %w[ask word narrow sift weigh act trail].freeze

def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)
def port = @port ||= TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }

# Puma as config/serve.rb starts it, over a home; gives its process.
def start(home)
  env = { "HOBRIN_HOME" => home, "PORT" => port.to_s }
  quiet = { chdir: ROOT.to_s, out: File::NULL, err: File::NULL, pgroup: true }
  pid = Process.spawn(env, *%w[bundle exec puma -C config/serve.rb config.ru], **quiet)
  200.times do
    return pid if Net::HTTP.get_response(URI("http://127.0.0.1:#{port}/css/tokens.css")).code == "200"
  rescue SystemCallError, EOFError
    sleep 0.1
  end
  raise "the server does not start"
end

def stop(pid, signal = "KILL")
  Process.kill(signal, -Process.getpgid(pid))
  Process.wait(pid)
rescue Errno::ESRCH, Errno::ECHILD
  nil
end

# One person with cookies and the token of the page.
class Person
  def initialize(port) = (@http = Net::HTTP.start("127.0.0.1", port, read_timeout: 120))

  def get(path)
    answer = @http.get(path, { "cookie" => @cookie.to_s })
    @cookie = answer["set-cookie"].split(";").first if answer["set-cookie"]
    @token = answer.body[/name="authenticity_token" value="([^"]+)"/, 1] || @token
    answer
  end

  def post(path, **fields)
    body = URI.encode_www_form("authenticity_token" => @token, **fields.transform_keys(&:to_s))
    @http.post(path, body,
               { "cookie" => @cookie.to_s, "content-type" => "application/x-www-form-urlencoded" })
  end
end

def percent(times, share)
  (times.sort[(times.size * share).floor.clamp(0, times.size - 1)] * 1_000).round
end

def crowd
  took = Queue.new
  failed = Queue.new
  ends = clock + SECONDS
  Array.new(PEOPLE) do |number|
    Thread.new do
      person = Person.new(port)
      random = Random.new(number)
      person.get("/inquiries/#{1 + (number % 5)}/act")
      while clock < ends
        page = number < CHANGING ? "a change" : PAGES.sample(random:)
        before = clock
        answer = if number < CHANGING
                   person.post("/inquiries/#{1 + (number % 5)}/act",
                               conclusion: "Said by #{number} #{random.rand}")
                 else
                   person.get("/inquiries/#{1 + random.rand(5)}/#{page}")
                 end
        took << [page, clock - before]
        failed << [page, answer.code] if answer.code.to_i >= 500
      end
    end
  end.each(&:join)
  [Array.new(took.size) { took.pop }, Array.new(failed.size) { failed.pop }]
end

def told_crowd
  took, failed = crowd
  puts "| #{PEOPLE} people, #{CHANGING} of them changing, #{SECONDS} s | a second | median | 95th percentile |",
       "| --- | ---: | ---: | ---: |"
  [["all", took], *took.group_by(&:first).sort].each do |name, some|
    times = some.map(&:last)
    rate = (times.size / SECONDS.to_f).round(1)
    puts "| #{name} | #{rate} | #{percent(times, 0.5)} ms | #{percent(times, 0.95)} ms |"
  end
  puts "", "#{failed.size} answers of 500 or more.", ""
end

# Notes answered before a kill must be there after it.
def kills(home)
  pid = start(home)
  answered = 0
  lost = 0
  KILLS.times do |turn|
    person = Person.new(port)
    person.get("/inquiries/2/act")
    killer = Thread.new { sleep(0.05 + (Random.rand * 0.3)) && stop(pid) }
    last = nil
    begin
      loop do
        text = "kill #{turn} #{answered}"
        break unless %w[303 200].include?(person.post("/inquiries/2/act", conclusion: text).code)

        last = text
        answered += 1
      end
    rescue SystemCallError, IOError, Net::ReadTimeout
      nil
    end
    killer.join
    pid = start(home)
    kept = Hobrin::Boot.context(home: Pathname(home),
                                who: "stress").inquiries.find(2).inquiry.conclusion
    Sequel::DATABASES.each(&:disconnect)
    # One more may have been written than was answered.
    lost += 1 if last && kept != last && kept != "kill #{turn} #{answered}"
  end
  puts "#{KILLS} times kill -9 during #{answered} answered changes: #{lost} lost.", ""
  pid
end

def hostile
  random = Random.new(7)
  bits = ["%ff", "%00", "../", "'", "\"><script>", "é" * 300, "9" * 50, "a[b][c]", "{{", "😀", "%n",
          "-1", ""]
  names = %w[paper line with show opened phrase typed block seen who order open q]
  plain = Person.new(port)
  codes = Hash.new(0)
  slowest = 0
  HOSTILE.times do
    query = Array.new(random.rand(1..6)) do
      "#{URI.encode_www_form_component(names.sample(random:))}=#{URI.encode_www_form_component(bits.sample(random:))}"
    end
    path = "/inquiries/#{[1, 2, 99, "x",
                          "%ff"].sample(random:)}/#{[*PAGES, "offers", "log.json",
                                                     "nope"].sample(random:)}?#{query.join("&")}"
    before = clock
    answer = random.rand < 0.7 ? plain.get(path) : plain.post(path.split("?").first,
                                                              bits.sample(random:).to_sym => bits.sample(random:))
    slowest = [slowest, clock - before].max
    codes[answer.code[0]] += 1
  end
  puts "#{HOSTILE} hostile requests: #{codes.sort.map do |code, count|
    "#{count} of #{code}xx"
  end.join(", ")}; slowest #{(slowest * 1_000).round} ms.", ""
end

Dir.mktmpdir("hobrin-stress") do |home|
  Hobrin::Demo::Sample.new(Hobrin::Boot.context(home: Pathname(home), who: "stress")).load
  Sequel::DATABASES.each(&:disconnect)
  pid = start(home)
  (1..5).each { |id| PAGES.each { |page| Person.new(port).get("/inquiries/#{id}/#{page}") } }
  told_crowd
  hostile
  stop(pid)
  stop(kills(home))
end
