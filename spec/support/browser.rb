# frozen_string_literal: true

require "capybara/rspec"
require "selenium-webdriver"
require "puma"

# The real interface in headless Chromium, from Debian's packages.
module Browser
  FLAGS = %w[
    --headless=new --no-sandbox --disable-gpu --disable-dev-shm-usage --disable-background-networking --no-first-run
    --disable-component-update --disable-sync --disable-quic --force-color-profile=srgb --hide-scrollbars
  ].freeze

  # Chromium may report a node that was replaced while it was looked at as an unknown error; like a
  # stale one, it is looked for again.
  class Driver < Capybara::Selenium::Driver
    def invalid_element_errors = [*super, Selenium::WebDriver::Error::UnknownError]
  end

  def self.driver(app, size: [1280, 800])
    options = Selenium::WebDriver::Options.chrome(args: [*FLAGS, "--window-size=#{size.join(",")}"],
                                                  binary: "/usr/bin/chromium")
    options.add_option("goog:loggingPrefs", { browser: "ALL" })
    Driver.new(app, browser: :chrome, options:,
                    service: Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver"))
  end

  Capybara.register_driver(:chromium) { |app| driver(app) }
  Capybara.server = :puma, { Silent: true, Threads: "1:4" }
  Capybara.default_max_wait_time = 120
  Capybara.enable_aria_label = true

  # The one application that Capybara knows; it passes each request on to that of the example. A new
  # application for each example would start a new server and a new Chromium for it.
  module Stage
    class << self
      attr_accessor :app

      def call(env) = app.call(env)
    end
  end

  # Where people sign in, what Hobrin::Server.app takes of that.
  def shared = nil

  # Serves the sample home of this example.
  def serve(context, home)
    Stage.app = Hobrin::Server.app(context, home:, shared:)
    Capybara.app = Stage
    Capybara.current_driver = :chromium
  end

  def self.included(base)
    base.include Capybara::DSL
    base.include Capybara::RSpecMatchers
    base.before { serve(context, home) }
    base.after do
      page.driver.browser.execute_cdp("Emulation.clearDeviceMetricsOverride")
      # The next example has the same browser; what its console said is not that one's.
      Capybara.reset_sessions!
      page.driver.browser.logs.get(:browser)
      Capybara.use_default_driver
    end
  end
end
