# frozen_string_literal: true

# For `bundle exec puma`: this machine only, one worker a core, nothing large taken in.
require "etc"
require_relative "boot"

bind "tcp://127.0.0.1:#{ENV.fetch("PORT", "4646")}"
workers Integer(ENV.fetch("HOBRIN_WORKERS", Etc.nprocessors))
threads 1, Hobrin::Boot::THREADS
# The application is loaded once; each worker opens the files for itself.
preload_app!
before_fork { Sequel::DATABASES.each(&:disconnect) }
http_content_length_limit 1_000_000
