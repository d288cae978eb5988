# frozen_string_literal: true

require "fileutils"

VENDOR = "web/public/vendor"
# What is shipped of each npm package, its licence with it.
SHIPPED = {
  "bootstrap" => %w[dist/css/bootstrap.min.css LICENSE],
  "htmx.org" => %w[dist/htmx.min.js LICENSE],
  "bootstrap-icons" => [*%w[
    arrow-right arrow-up book bookmark check2 chevron-down eye journal-text pencil plus-lg printer question-lg quote
    slash-circle tag toggle-off toggle-on trash x-lg download clock-history arrow-clockwise arrow-counterclockwise
    arrow-down arrow-left arrow-left-right check2-all dash-circle diagram-2 exclamation-triangle lightbulb list-ul
    person plus-circle search chevron-right arrow-repeat
  ].map { |name| "icons/#{name}.svg" }, "LICENSE"],
  "@fontsource/atkinson-hyperlegible" => [*%w[400-normal 400-italic 700-normal].map do |face|
    "files/atkinson-hyperlegible-latin-#{face}.woff2"
  end,
                                          *%w[400-normal 700-normal].map do |face|
                                            "files/atkinson-hyperlegible-latin-ext-#{face}.woff2"
                                          end, "LICENSE"],
  "@fontsource/source-serif-4" => [*%w[400-normal 600-normal 400-italic].map do |face|
    "files/source-serif-4-latin-#{face}.woff2"
  end, "LICENSE"]
}.freeze

desc "Fetch the shipped styles, scripts, icons and fonts anew from npm"
task :assets do
  sh "npm install --no-audit --no-fund --ignore-scripts"
  rm_rf VENDOR
  SHIPPED.each do |package, files|
    folder = File.join(VENDOR, package.delete_prefix("@fontsource/"))
    mkdir_p folder
    files.each { |file| cp File.join("node_modules", package, file), folder }
  end
end

desc "Take the pictures in docs/screenshots from the sample data"
task :screenshots do
  ruby "tools/tasks/take_screenshots.rb"
end

desc "Time changes in the browser on the sample library"
task :browser_times do
  ruby "tools/tasks/time_in_browser.rb"
end

desc "Count what three journeys cost the code, for docs/architecture.md"
task :trace do
  ruby "tools/tasks/trace_journeys.rb"
end

desc "Learn anew to understand questions, with all figures of docs/asking.md; most of an hour"
task :learn do
  ruby "tools/tasks/learn.rb"
end

desc "Try the likeliest-first order of Sift on the sample, for docs/sifting.md; some minutes"
task :screen do
  ruby "tools/tasks/screen.rb"
end

desc "Change each threshold of the rules and ask whether their specs notice, for docs/testing.md; half an hour"
task :mutate do
  ruby "tools/tasks/mutate.rb"
end

desc "Run every test, as bin/test does"
task :test do
  sh "bin/test"
end

desc "Run everything but the browser and the readers from outside"
task :fast do
  sh "bin/test --fast"
end

desc "Check the style"
task :lint do
  sh "bundle exec rubocop"
end

desc "Open a console on the home that HOBRIN_HOME names: context is what services work with"
task :console do
  exec "bundle exec irb -r ./config/console"
end

task default: :fast
