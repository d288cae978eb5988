# frozen_string_literal: true

require "digest"

module Hobrin
  module Services
    # Copies everything that a home holds into a folder, while Hobrin runs: each database as it is
    # at one moment, and the full texts. What was written is read again before it counts.
    class KeepBackup
      MANIFEST = "backup.json"
      # Inquiries name people, so people come after them.
      DATABASES = %w[inquiries people library].freeze
      FORMAT = 1
      DAY = /\A\d{4}-\d{2}-\d{2}\z/
      private_constant :FORMAT, :DAY

      def initialize(context, home)
        @context = context
        @home = home
      end

      # folder :: Pathname where there is nothing yet. Gives its size in bytes. Raises StateError.
      def call(folder)
        raise StateError, "#{folder} is there already; it is left as it is." if folder.exist?

        part = folder.sub_ext("#{folder.extname}.part")
        FileUtils.rm_rf(part)
        FileUtils.mkdir_p(part, mode: 0o700)
        write(part)
        File.rename(part, folder)
        Backup.new(folder).check
      rescue SystemCallError => e
        FileUtils.rm_rf(part) if part
        raise StateError, "Cannot write #{folder}: #{e.message.sub(/ @ \w+ - .*/, "")}."
      end

      # One for each day, of which so many are kept. Gives the folder, nil when today's is there.
      def daily(folder, keep:)
        today = folder.join(@context.today.iso8601)
        return if today.exist?

        call(today)
        days = folder.children.select { |child| child.basename.to_s.match?(DAY) }.sort
        days[0...-keep].each { |old| FileUtils.rm_rf(old) }
        today
      end

      private

      def write(part)
        stores = { "inquiries" => @context.inquiries, "people" => @context.directory, "library" => @context.library }
        DATABASES.each { |name| stores.fetch(name).backup(part.join("#{name}.sqlite3").to_s) }
        FileUtils.cp_r(@home.join("papers"), part) if @home.join("papers").directory?
        part.glob("**/*").each { |file| file.chmod(file.directory? ? 0o700 : 0o600) }
        files = Backup.files(part).to_h { |path| [path, Backup.print_of(part.join(path))] }
        manifest = { hobrin: "backup", format: FORMAT, made: @context.now, files: }
        part.join(MANIFEST).write(JSON.pretty_generate(manifest), perm: 0o600)
      end
    end
  end
end
