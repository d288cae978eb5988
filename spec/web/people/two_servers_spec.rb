# frozen_string_literal: true

# Two servers with homes of their own, one PostgreSQL and one key for sessions, as docs/people.md tells.
RSpec.describe "Two servers", :client, skip: PostgresServer.missing do
  include Ward

  let(:homes) { Array.new(2) { Pathname(Dir.mktmpdir("hobrin-server")) } }
  let(:passing) { Hobrin::Services::PassLibraryOn.new(homes.first.join("library")) }
  let(:first) { Hobrin::Boot.context(home: homes.first, clock: Builders::FixedClock) }
  # Begun once the library is there.
  let(:contexts) { [first, Hobrin::Boot.context(home: homes.last, clock: Builders::FixedClock)] }
  let(:env) { { "HOBRIN_SESSION_KEY" => "k" * 128 } }
  let(:servers) do
    homes.zip(contexts).map do |home, context|
      Hobrin::Server.app(context, home:, env:, shared: { required: true })
    end
  end

  def context = first
  def home = homes.first
  def app = ->(env) { servers.fetch(@asked || 0).call(env) }

  around do |example|
    before = ENV.fetch("HOBRIN_DATABASE", nil)
    ENV["HOBRIN_DATABASE"] = PostgresServer.fresh
    example.run
  ensure
    ENV["HOBRIN_DATABASE"] = before
    FileUtils.rm_rf(homes)
  end

  def on(number)
    @asked = number
    yield
  end

  it "share people, sessions and inquiries, and the library by its version" do
    context.library.add([a_record(id: "p0", title: "Sleep on wards")])
    version = passing.publish(context)
    expect(passing.fetch(homes.last)).to eq(version)
    Hobrin::Services::Inquiries::Start.new(context).call("Does quiet help patients to sleep?")
    people
    expect(contexts.map { |one| one.library.version }).to eq([version] * 2)
    sign_in(:owner)
    on(1) { expect(visit_page("/inquiries/1/ask").body).to include("Does quiet help", "Maren Vendrillon") }
    on(0) { send_form("/inquiries/1/aim", aim_from: "5", aim_to: "9") }
    on(1) { expect(visit_page("/inquiries/1/narrow").body).to include("target 5–9 papers") }
    on(1) { send_form("/sign-out") }
    on(0) { expect(visit_page("/inquiries/1/ask").headers["location"]).to end_with("/sign-in") }
    expect(homes.flat_map { |one| one.glob("{inquiries,people}.sqlite3") }).to eq([])
    copy = homes.first.join("copy")
    Hobrin::Services::Backup::Keep.new(context, home).call(copy)
    ENV["HOBRIN_DATABASE"] = ""
    Hobrin::Services::Backup.new(copy).restore(homes.first.join("alone"))
    alone = Hobrin::Boot.context(home: homes.first.join("alone"))
    expect([alone.inquiries.find(1).inquiry, alone.directory.accounts.all.map(&:name)])
      .to eq([context.inquiries.find(1).inquiry, context.directory.accounts.all.map(&:name)])
  end
end
