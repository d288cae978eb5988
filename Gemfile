# frozen_string_literal: true

source "https://rubygems.org"

gem "bibtex-ruby", "~> 6.2"
gem "dry-inflector", "~> 1.2"
gem "erubi", "~> 1.13"
gem "iso-639", "~> 0.3"
gem "puma", "~> 8.0"
gem "rack-session", "~> 2.1"
gem "rake", "~> 13.0"
gem "rdf", "~> 3.2"
gem "rdf-rdfxml", "~> 3.2"
gem "rdf-turtle", "~> 3.2"
gem "roaring", "~> 0.5"
gem "ruby-progressbar", "~> 1.13"
gem "sequel", "~> 5.110"
gem "sinatra", "~> 4.2"
gem "sqlite3", "~> 2.8"
gem "zeitwerk", "~> 2.6"

group :test do
  gem "axe-core-capybara", "~> 4.14"
  gem "axe-core-rspec", "~> 4.14"
  gem "builder", "~> 3.2"
  gem "capybara", "~> 3.40"
  gem "cql-ruby", "~> 0.9"
  gem "parallel_tests", "~> 5.0"
  gem "rack-test", "~> 2.2"
  gem "rspec", "~> 3.13"
  gem "rubocop", "~> 1.92"
  gem "selenium-webdriver", "~> 4.32"
end
