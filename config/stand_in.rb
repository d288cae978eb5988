# frozen_string_literal: true

# Serves one of the made-up catalogues: `ruby config/stand_in.rb plain 4747`. It ends with the
# process that started it.
require_relative "boot"
require "puma"
require "puma/configuration"
require "puma/launcher"

kind = Hobrin::Demo::StandIns::StandIn::KINDS.fetch(ARGV.fetch(0))
context = Hobrin::Boot.context
catalogue = Hobrin::Demo::StandIns::StandIn.new(context, kind)
parent = ENV["HOBRIN_PARENT"]&.to_i
Thread.new do
  sleep 1 while parent.nil? || Process.ppid == parent
  Process.kill(:TERM, Process.pid)
end

settings = Puma::Configuration.new do |config|
  config.app catalogue
  config.bind "tcp://127.0.0.1:#{Integer(ARGV.fetch(1))}"
  config.threads 1, 2
  config.environment "production"
end
catalogue.fill
quiet = Puma::LogWriter.new(File.open(File::NULL, "w"), $stderr)
Puma::Launcher.new(settings, log_writer: quiet).run
