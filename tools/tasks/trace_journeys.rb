# frozen_string_literal: true

# What three journeys cost the code: files crossed, switches between layers, method calls and SQL
# statements. Prints a table for docs/architecture.md. Counts calls of Hobrin's own methods, from
# the request to the answer; every cache was filled by the same request once before, on a copy of
# the home, so that what is counted is the work of the change itself.
require "logger"
require "rack/test"
require "tmpdir"
require_relative "../../config/server"
require_relative "../../spec/support/builders"

ROOT = Hobrin::Boot::ROOT.to_s
LAYERS = %w[lib store services web].to_h { |layer| ["#{ROOT}/#{layer}/", layer] }.freeze

# Counts what one block does.
class Counting
  attr_reader :calls, :switches, :statements

  def initialize
    @calls = @switches = @statements = 0
    @files = {}
  end

  def files = @files.size

  def run(&)
    logger = Logger.new(self, formatter: ->(*, message) { message })
    Sequel::DATABASES.each { |db| db.loggers << logger }
    TracePoint.new(:call) { |point| called(point.path) }.enable(&)
  ensure
    Sequel::DATABASES.each { |db| db.loggers.delete(logger) }
  end

  # What a Logger asks of what it writes to.
  def write(message) = message.match?(/\b(SELECT|INSERT|UPDATE|DELETE|BEGIN|COMMIT|PRAGMA|WITH)\b/) && (@statements += 1)
  def close; end

  private

  def called(path)
    layer = LAYERS.find { |folder, _| path.start_with?(folder) }&.last or return
    @calls += 1
    @files[path] = true
    @switches += 1 if @layer && @layer != layer
    @layer = layer
  end
end

# A browser that sends forms as htmx does.
class Client
  include Rack::Test::Methods

  attr_reader :app

  def initialize(app) = @app = app

  def page(path)
    header "Host", "127.0.0.1"
    get path
    last_response.body
  end

  def send_form(path, page, **params)
    header "Hx-Request", "true"
    token = page[/name="authenticity_token" value="([^"]+)"/, 1]
    seen = page[/name="seen" value="(\d+)"/, 1]
    post path, { "authenticity_token" => token, "seen" => seen, **params.transform_keys(&:to_s) }
    raise "#{path}: #{last_response.status}" unless last_response.status == 200
  end
end

JOURNEYS = {
  "a term added (Word)" => lambda do |client, _context|
    page = client.page("/inquiries/1/word")
    -> { client.send_form("/inquiries/1/terms", page, block: "O", typed: "insomnia*") }
  end,
  "a what-if tried (Narrow)" => lambda do |client, _context|
    page = client.page("/inquiries/1/narrow")
    name = CGI.unescapeHTML(page[/name="try(?:\[\])?" value="([^"]*)"/, 1])
    field = page[/name="(try(?:\[\])?)"/, 1]
    -> { client.send_form("/inquiries/1/what-ifs", page, field.to_sym => name) }
  end,
  "a file imported (20 records)" => lambda do |_client, context|
    records = Array.new(20) do |place|
      Hobrin::Records::Record.new(id: "new-#{place}", title: "Earplugs, paper #{place}",
                                  published: "2026", ages: [])
    end
    file = StringIO.new(Hobrin::Exchange::Ris::Writer.call(records))
    -> { Hobrin::Services::Imports::ImportRecords.new(context).call(file) }
  end
}.freeze

def once(master, journey)
  Dir.mktmpdir do |folder|
    FileUtils.cp_r("#{master}/.", folder)
    home = Pathname(folder)
    context = Hobrin::Boot.context(home:, who: "this desk", clock: Builders::FixedClock)
    counting = Counting.new
    act = journey.call(Client.new(Hobrin::Server.app(context, home:)), context)
    counting.run { act.call }
    counting
  end
end

Dir.mktmpdir do |master|
  context = Hobrin::Boot.context(home: Pathname(master), who: "this desk", clock: Builders::FixedClock)
  Hobrin::Demo::Sample.new(context).load
  Sequel::DATABASES.each(&:disconnect)
  puts "| journey | files | layer switches | method calls | SQL statements |",
       "| --- | ---: | ---: | ---: | ---: |"
  JOURNEYS.each do |name, journey|
    counted = once(master, journey)
    puts "| #{name} | #{counted.files} | #{counted.switches} | #{counted.calls} | #{counted.statements} |"
  end
end
