# frozen_string_literal: true

require "tmpdir"
require_relative "../config/server"
require_relative "../tools/load"
(Dir[File.join(__dir__, "support/**/*.rb")] - ["#{__dir__}/support/make_sample.rb"]).each { |file| require file }

RSpec.configure do |config|
  config.expect_with(:rspec) { |expectations| expectations.max_formatted_output_length = 3000 }
  config.disable_monkey_patching!
  config.filter_run_when_matching :focus
  Kernel.srand config.seed

  # However busy the machine is: what is tried here is not how long a request may take.
  config.before { stub_const("Hobrin::Web::Guards::Patience::SECONDS", 600) }

  config.include Builders
  config.include SampleHome, :sample
  config.include Editing, :sample
  config.include SmallSample, :small_sample
  config.include Client, :client
  config.include Browser, :browser
  config.include CleanView, :browser
end
