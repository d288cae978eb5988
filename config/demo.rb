# frozen_string_literal: true

require_relative "puma_server"

module Hobrin
  # The same with made-up sample data in a home that has none, and small catalogues beside it that
  # stand in for those of others: `bin/demo`.
  class DemoServer < PumaServer
    private

    def allowed(home)
      @stand_ins = Demo::StandIns.new(home)
      [super, *@stand_ins.allowed].reject(&:empty?).join(",")
    end

    # One may sign in as somebody who is made up, and need not.
    def sharing(home)
      super || { required: false, demo: true, post: Outside::Post.new(folder: home.join("outbox")) }
    end

    def prepare(context)
      sample = Demo::Sample.new(context)
      @out.puts sample.announcement if sample.announcement
      sample.load
      @stand_ins.start
      @stand_ins.list(context)
    end

    def stopped = @stand_ins.stop
    def note = " (made-up sample data)"
  end
end

begin
  $stdout.sync = true
  Hobrin::DemoServer.new.call if $PROGRAM_NAME == __FILE__
rescue Hobrin::Error => e
  warn "hobrin: #{e.message}"
  exit 2
rescue Interrupt
  exit 0
end
