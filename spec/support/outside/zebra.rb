# frozen_string_literal: true

require "erb"
require "open3"
require "socket"

# Debian's Zebra as a real foreign catalogue: indexes records that were written as MARCXML and
# answers over SRU. It shares nothing with Hobrin.
class Zebra
  FILES = File.expand_path("../../outside/zebra", __dir__)
  MODULES = Dir["/usr/lib/*/idzebra-2.0/modules"].first
  PATIENCE = 30

  # marcxml :: text of a collection. Yields the address at which it answers.
  def self.serve(marcxml, &)
    Dir.mktmpdir("zebra") { |folder| new(folder).serve(marcxml, &) }
  end

  def initialize(folder)
    @folder = folder
    @port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
  end

  def serve(marcxml)
    write(marcxml)
    run("zebraidx", "-c", "zebra.cfg", "init")
    run("zebraidx", "-c", "zebra.cfg", "update", "records.xml")
    run("zebraidx", "-c", "zebra.cfg", "commit")
    pid = Process.spawn("zebrasrv", "-f", "server.xml", chdir: @folder, out: "#{@folder}/out",
                                                        err: "#{@folder}/err")
    wait
    yield "http://127.0.0.1:#{@port}/Default"
  ensure
    Process.kill(:TERM, pid) && Process.wait(pid) if pid
  end

  private

  def write(marcxml)
    FileUtils.cp(Dir["#{FILES}/*"], @folder)
    known = { folder: @folder, port: @port, modules: MODULES }
    Dir["#{FILES}/*.erb"].each do |file|
      File.write("#{@folder}/#{File.basename(file, ".erb")}",
                 ERB.new(File.read(file)).result_with_hash(known))
    end
    File.write("#{@folder}/records.xml", marcxml)
  end

  def run(*command)
    out, status = Open3.capture2e(*command, chdir: @folder)
    raise out unless status.success?
  end

  # Until it listens.
  def wait
    ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + PATIENCE
    begin
      TCPSocket.new("127.0.0.1", @port).close
    rescue Errno::ECONNREFUSED
      raise File.read("#{@folder}/err") if Process.clock_gettime(Process::CLOCK_MONOTONIC) > ends

      IO.select(nil, nil, nil, 0.05)
      retry
    end
  end
end
