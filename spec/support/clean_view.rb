# frozen_string_literal: true

require "axe-capybara"
require "axe-rspec"

# axe in the page itself: its other way opens a second window for each reading.
Axe::Configuration.instance.legacy_mode = true

# One view read by axe, wide, and narrow too unless it is a part of a page that was; the console
# empty; no address asked for but our own.
module CleanView
  WIDE = %i[wcag2a wcag2aa wcag21a wcag21aa wcag22aa].freeze

  # What axe finds wrong, and not all that it finds right: pages are long.
  def be_clean = be_axe_clean.according_to(*WIDE).with_options(resultTypes: %w[violations])

  def expect_clean(view, narrow: true)
    page.driver.browser.logs.get(:browser)
    resize(1280, 800)
    visit view
    expect(page).to be_clean
    expect(addresses.uniq - [page.evaluate_script("location.origin")]).to eq([])
    expect(page.driver.browser.logs.get(:browser).map(&:message).grep_v(/404 \(Not Found\)/)).to eq([])
    resize(390, 844)
    expect(page.evaluate_script("document.documentElement.scrollWidth")).to eq(390)
    expect(page).to be_clean if narrow
  end

  private

  def addresses
    page.evaluate_script(<<~JS)
      performance.getEntriesByType("resource").map((entry) => new URL(entry.name).origin)
    JS
  end

  def resize(width, height)
    page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width:, height:, deviceScaleFactor: 1,
                                                                          mobile: width < 500)
  end
end
