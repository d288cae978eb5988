# frozen_string_literal: true

# Takes one picture of each main view, at 1280 by 800, from a fresh home with the sample data.
require "tmpdir"
require_relative "../../config/server"
require_relative "../support/builders"
require_relative "../support/browser"

FOLDER = Hobrin::Boot::ROOT.join("docs/screenshots")
VIEWS = { "home" => "/", "library" => "/library", "library-doubles" => "/library/doubles",
          "ask" => "/inquiries/1/ask", "word" => "/inquiries/1/word",
          "narrow" => "/inquiries/1/narrow",
          "sift" => "/inquiries/1/sift?paper=10.5555/hobrin.label-2019",
          "weigh" => "/inquiries/1/weigh?paper=10.5555/hobrin.trial-2021",
          "weigh-together" => "/inquiries/1/weigh?outcome=1",
          "weigh-certainty" => "/inquiries/1/weigh?outcome=1&part=certainty",
          "weigh-findings" => "/inquiries/1/weigh?show=table", "weigh-test" => "/inquiries/2/weigh?outcome=1",
          "act" => "/inquiries/1/act", "act-decision" => "/inquiries/1/act?show=decision",
          "act-measures" => "/inquiries/1/act?show=measures",
          "act-versions" => "/inquiries/1/act?show=versions&version=1",
          "trail" => "/inquiries/1/trail" }.freeze

Dir.mktmpdir do |folder|
  home = Pathname(folder)
  context = Hobrin::Boot.context(home:, who: "this desk", clock: Builders::FixedClock)
  Hobrin::Demo::Sample.new(context).load
  session = Capybara::Session.new(:chromium, Hobrin::Server.app(context, home:))
  window = session.driver.browser
  window.execute_cdp("Emulation.setDeviceMetricsOverride", width: 1280, height: 800, deviceScaleFactor: 1,
                                                           mobile: false)
  VIEWS.each do |name, path|
    session.visit(path)
    session.assert_selector("main")
    session.evaluate_async_script("document.fonts.ready.then(() => arguments[0]())")
    session.save_screenshot(FOLDER.join("#{name}.png"))
    puts "docs/screenshots/#{name}.png"
  end
  # Likeliest first, once a third of the papers of another inquiry is decided.
  opened = Hobrin::Services::ReadInquiry.new(context).call(5)
  ids = context.library.ids(opened.cascade.final).first(90)
  context.library.records_by_id(ids).partition { |one| one.types == ["qualitative study"] }
         .zip([[:keep, nil], [:drop, "Other design"]]).each do |some, (verdict, reason)|
    edit = Hobrin::Edits::Sift::DecideSeveral.new(record_ids: some.map(&:id), verdict:, reason:, note: "")
    Hobrin::Services::ApplyEdit.new(context).call(5, edit)
  end
  session.visit("/inquiries/5/sift?order=likeliest")
  session.assert_selector(".may-stop")
  session.save_screenshot(FOLDER.join("sift-likeliest.png"))
  # One of them in the hand.
  window.execute_cdp("Emulation.setDeviceMetricsOverride", width: 390, height: 844,
                                                           deviceScaleFactor: 1, mobile: true)
  session.visit("/inquiries/1/sift?paper=10.5555/hobrin.trial-2021")
  session.assert_selector("main")
  session.save_screenshot(FOLDER.join("sift-390.png"))
  session.quit
end
