# frozen_string_literal: true

# Takes one picture of each main view, at 1280 by 800, from a fresh home with the sample data.
require "tmpdir"
require_relative "../../config/server"
require_relative "../../spec/support/builders"
require_relative "../../spec/support/browser"
require_relative "../../spec/support/outside/wire"

FOLDER = Hobrin::Boot::ROOT.join("docs/screenshots")
VIEWS = { "home" => "/", "library" => "/library", "library-doubles" => "/library/doubles",
          "ask" => "/inquiries/1/ask", "word" => "/inquiries/1/word",
          "narrow" => "/inquiries/1/narrow",
          "sift" => "/inquiries/1/sift?paper=10.5555/hobrin.label-2019",
          "weigh" => "/inquiries/1/weigh?paper=10.5555/hobrin.trial-2021",
          "weigh-together" => "/inquiries/1/weigh?outcome=1",
          "weigh-certainty" => "/inquiries/1/weigh?outcome=1&part=certainty",
          "act" => "/inquiries/1/act", "act-decision" => "/inquiries/1/act?show=decision",
          "act-measures" => "/inquiries/1/act?show=measures",
          "trail" => "/inquiries/1/trail" }.freeze

def size_of(session, height)
  session.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: 1280, height:,
                                                                           deviceScaleFactor: 1, mobile: false)
end

# Serves the rich stand-in while the block runs.
def stand_in(folder, &)
  own = Hobrin::Boot.context(home: Pathname(folder).join("rich"))
  catalogue = Hobrin::Demo::StandIns::StandIn.new(own, Hobrin::Demo::StandIns::StandIn::KINDS.fetch("rich"))
  catalogue.fill
  Wire.serve(catalogue, &)
end

Dir.mktmpdir do |folder|
  home = Pathname(folder)
  context = Hobrin::Boot.context(home:, who: "this desk", clock: Builders::FixedClock)
  Hobrin::Demo::Sample.new(context).load
  session = Capybara::Session.new(:chromium, Hobrin::Server.app(context, home:))
  size_of(session, 800)
  VIEWS.each do |name, path|
    session.visit(path)
    session.assert_selector("main")
    session.evaluate_async_script("document.fonts.ready.then(() => arguments[0]())")
    session.save_screenshot(FOLDER.join("#{name}.png"))
    puts "docs/screenshots/#{name}.png"
  end
  # As people of the ward, one after the other.
  signing = { required: true, demo: true, post: Hobrin::Outside::Post.new }
  ward = Capybara::Session.new(:chromium, Hobrin::Server.app(context, home:, shared: signing))
  size_of(ward, 800)
  ward.visit("/sign-in")
  ward.assert_selector(".demo-people")
  ward.save_screenshot(FOLDER.join("sign-in.png"))
  ward.click_button("Sign in as Oskar Thimmel")
  ward.visit("/inquiries/1/differences")
  ward.assert_selector(".difference")
  tall = ward.evaluate_script("document.documentElement.scrollHeight")
  size_of(ward, tall)
  ward.save_screenshot(FOLDER.join("differences.png"))
  ward.quit
  session.visit("/people")
  session.save_screenshot(FOLDER.join("people.png"))
  # A stand-in that was asked, and whose records came in.
  stand_in(folder) do |port|
    address = "http://127.0.0.1:#{port}/sru"
    asking = Hobrin::Boot.context(home:, who: "this desk", clock: Builders::FixedClock, allowed: "127.0.0.1:#{port}")
    source = Hobrin::Services::Catalogues::KeepSources.new(asking)
                                          .add(name: "Rich stand-in", address:, protocol: "sru", stand_in: true)
    Hobrin::Services::Narrow::OtherCatalogues::Ask.new(asking).ask(1, source.id, {})
    session.visit("/inquiries/1/narrow?show=elsewhere")
    session.assert_selector(".elsewhere-form")
    session.save_screenshot(FOLDER.join("narrow-elsewhere.png"))
  end
  # A file while it is read.
  papers = Hobrin::Demo::SampleLibrary.new(size: 9_000, seed: 5).records.last(8_900)
                                     .map { |record| record.with(id: "colleague:#{record.id}", doi: nil) }
  text = Hobrin::Exchange::Ris::Writer.call(papers, sample: true)
  import = Hobrin::Services::Imports::ReceiveFile.new(context).call(StringIO.new(text), name: "from a colleague.ris")
  session.visit("/library")
  session.assert_selector(".import progress")
  session.assert_text(/being imported [1-9]/, wait: 60)
  session.save_screenshot(FOLDER.join("library-reading.png"))
  Hobrin::Services::Imports::Change.new(context).stop(import.id)
  Thread.pass until context.incoming.alone { nil }
  session.quit
end
