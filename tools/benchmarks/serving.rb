# frozen_string_literal: true

# Runs in a process of its own: starts as the server does, shows one page, works as a person would,
# and prints the milliseconds to the first page (first_page) or the most megabytes it took (memory).
started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
require_relative "../../config/server"
require "rack/mock"

what, home = ARGV
context = Hobrin::Boot.context(home: Pathname(home))
app = Hobrin::Server.app(context, home: Pathname(home))
page = Rack::MockRequest.new(app).get("/", "HTTP_HOST" => "localhost", "REMOTE_ADDR" => "127.0.0.1")
abort "The first page said #{page.status}." unless page.status == 200
context.library.thesaurus
first_page = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000

if what == "first_page"
  puts first_page
else
  require_relative "../load"
  work = Hobrin::Tools::Benchmarks::Work
  evaluator = context.evaluator
  work.blocks.each { |block| Hobrin::Retrieval::BlockFigures.of(block, evaluator) }
  cascade = Hobrin::Narrowing::Cascade.of(blocks: work.blocks, limits: work.limits, evaluator:)
  Hobrin::Narrowing::Previews.new(cascade:, limits: work.limits, evaluator:,
                                  today: context.clock.today).call(Hobrin::Narrowing::Previews::ALL)
  state = Hobrin::Narrowing::State.new(blocks: work.blocks, limits: work.limits)
  moves = Hobrin::Narrowing::Moves.new(state, thesaurus: evaluator.thesaurus,
                                              today: context.clock.today).call
  Hobrin::Narrowing::WhatIfs.new(state, evaluator:).call(moves)
  Hobrin::Retrieval::Facets::Counts::FACETS.each { |name| Hobrin::Retrieval::Facets::Counts.call(cascade.final, name, evaluator, limit: 10) }
  puts File.read("/proc/self/status")[/VmHWM:\s+(\d+)/, 1].to_i / 1024.0
end
