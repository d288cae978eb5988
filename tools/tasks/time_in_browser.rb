# frozen_string_literal: true

# How long a change takes from the press to its new numbers on the page, in headless Chromium on the
# sample library, beside the fetching of a plain file from the same server. Prints a table for
# docs/performance.md.
require "tmpdir"
require_relative "../../config/server"
require_relative "../../spec/support/builders"
require_relative "../../spec/support/browser"

TIMES = 15
# From what the browser is told to do until the page has settled and the next picture is drawn.
CLOCK = <<~JS
  const [selector, done] = arguments;
  const from = performance.now();
  document.addEventListener("htmx:afterSettle", () => requestAnimationFrame(() => done(performance.now() - from)), { once: true });
  document.querySelector(selector).click();
JS
PLAIN = <<~JS
  const done = arguments[0];
  const from = performance.now();
  fetch(document.querySelector("link[rel=stylesheet]").href, { cache: "no-store" }).then((answer) => answer.text()).then(() => done(performance.now() - from));
JS

def median(numbers) = numbers.sort[numbers.size / 2]

# Runs each pair of presses and keeps what each took.
def timed(session, name, *selectors)
  took = Array.new(TIMES) do
    selectors.map do |selector|
      session.assert_selector(selector, visible: :all)
      session.evaluate_async_script(CLOCK, selector)
    end
  end
  puts "| #{name} | #{median(took.flatten).round} ms | #{took.flatten.max.round} ms |"
end

Dir.mktmpdir do |folder|
  home = Pathname(folder)
  context = Hobrin::Boot.context(home:, who: "this desk", clock: Builders::FixedClock)
  Hobrin::Demo::Sample.new(context).load
  session = Capybara::Session.new(:chromium, Hobrin::Server.app(context, home:))
  session.visit("/inquiries/1/word")
  puts "| change | median | longest of #{TIMES * 2} |", "| --- | --- | --- |"
  plain = Array.new(TIMES) { session.evaluate_async_script(PLAIN) }
  puts "| (a plain file from the same server) | #{median(plain).round} ms | #{plain.max.round} ms |"
  timed(session, "Word: a block left out of the join, and joined again", "#block-O ~ .block-foot [value=out]",
        "#block-O ~ .block-foot [value=and]")
  timed(session, "Word: a heading's card opened, and closed", "#term-14", "#term-14")
  session.visit("/inquiries/1/word?open=term:14")
  timed(session, "Word: main topic only, on and off, with the card open", "#card [value=main]",
        "#card [value=main]")
  session.visit("/inquiries/1/word?open=term:17")
  timed(session, "Word: a term down and up, with its card open", "[data-move=down]",
        "[data-move=up]")
  session.visit("/inquiries/1/word")
  timed(session, "Undo and redo", "[data-way=undo]", "[data-way=redo]")
  session.visit("/inquiries/1/ask")
  timed(session, "Ask: the kind of question", "#kind_harm", "#kind_treatment")
  session.visit("/inquiries/1/narrow")
  timed(session, "Narrow: a limit off and on", "form[action$='/limits/age'] [value=switch]",
        "form[action$='/limits/age'] [value=switch]")
  timed(session, "Narrow: a what-if tried, and undone", ".what-ifs [name='try[]']",
        "[data-way=undo]")
  timed(session, "Narrow: a block moved up in the cascade, twice", "form[action$='/blocks/I'] [value=up]",
        "form[action$='/blocks/P'] [value=up]")
  timed(session, "Narrow: the papers that a step took away, opened and closed",
        ".cascade-step:nth-child(4) .step-removed a", "[data-close-card]")
  timed(session, "Narrow: study filters with what each would leave, opened and closed", "a[href$='show=filters']",
        "[data-close-card]")
  session.visit("/inquiries/1/narrow?show=limits")
  timed(session, "Narrow: all further limits shown, one put on and undone", ".put-in .limit-group .choice",
        "[data-way=undo]")
  session.quit
end
