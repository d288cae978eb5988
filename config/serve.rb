# frozen_string_literal: true

# For `bundle exec puma`: this machine only, one worker a core.
require "etc"
require_relative "boot"

bind "tcp://#{ENV.fetch("BIND", "127.0.0.1")}:#{ENV.fetch("PORT", "4646")}"
workers Integer(ENV.fetch("HOBRIN_WORKERS", Etc.nprocessors))
threads 1, Hobrin::Boot::THREADS
# The application is loaded once; each worker opens the files for itself.
preload_app!
before_fork { Hobrin::Boot.disconnect }
# The largest file that may come in; what is too large for its address is refused there.
http_content_length_limit Hobrin::Web::Guards::RequestBounds::LARGEST_FILE
