# frozen_string_literal: true

source "https://rubygems.org"

gem "erubi", "~> 1.13"
gem "puma", "~> 8.0"
gem "rack-session", "~> 2.1"
gem "rake", "~> 13.0"
gem "roaring", "~> 0.5"
gem "sequel", "~> 5.110"
gem "sinatra", "~> 4.2"
gem "sqlite3", "~> 2.8"
gem "zeitwerk", "~> 2.6"

group :test do
  gem "axe-core-capybara", "~> 4.14"
  gem "axe-core-rspec", "~> 4.14"
  gem "capybara", "~> 3.40"
  gem "rack-test", "~> 2.2"
  gem "rspec", "~> 3.13"
  gem "rubocop", "~> 1.92"
  gem "selenium-webdriver", "~> 4.32"
end
