# frozen_string_literal: true

require_relative "boot"

exit Hobrin::Cli::Main.new.call(ARGV)
