# frozen_string_literal: true

require "etc"
require "open3"

# Debian's PostgreSQL, started for the tests in a folder of its own, reached by a socket there
# alone.
class PostgresServer
  BIN = Dir["/usr/lib/postgresql/*/bin"].max_by { |path| path[%r{postgresql/(\d+)}, 1].to_i }

  class << self
    # Why it cannot be had, in words; nil when it can.
    def missing
      return "PostgreSQL is not here: apt-get install postgresql" unless BIN && File.exist?("#{BIN}/initdb")

      require "pg"
      nil
    rescue LoadError
      "the gem pg is not here: BUNDLE_WITH=postgres bundle install"
    end

    # The address of an empty database; the server is started once.
    def fresh
      @server ||= new.tap { |server| at_exit { server.stop } }
      @server.fresh
    end
  end

  def initialize
    @folder = Dir.mktmpdir("hobrin-postgres")
    FileUtils.chown(user, nil, @folder) if user
    run("initdb", "-D", "#{@folder}/data", "-A", "trust", "-U", "hobrin", "-E", "UTF8", "--no-sync")
    run("pg_ctl", "-D", "#{@folder}/data", "-w", "-l", "#{@folder}/log", "-o",
        "-k #{@folder} -c listen_addresses='' -c fsync=off", "start")
    @count = 0
  end

  def fresh
    name = "fresh#{@count += 1}"
    run("createdb", "-h", @folder, "-U", "hobrin", name)
    "postgres:///#{name}?host=#{@folder}&user=hobrin"
  end

  def stop
    run("pg_ctl", "-D", "#{@folder}/data", "-m", "immediate", "stop")
    FileUtils.rm_rf(@folder)
  end

  private

  # It does not run as root.
  def user = ("postgres" if Process.uid.zero?)

  def run(program, *arguments)
    command = ["#{BIN}/#{program}", *arguments]
    command = ["runuser", "-u", user, "--", *command] if user
    out, status = Open3.capture2e(*command, chdir: "/")
    raise "#{program}: #{out}" unless status.success?
  end
end
