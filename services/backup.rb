# frozen_string_literal: true

require "digest"

module Hobrin
  module Services
    # A backup that was made by KeepBackup: read again, and put in place.
    class Backup
      class << self
        # The files of a folder by their paths within it, but for the list of them.
        def files(folder)
          folder.glob("**/*").select(&:file?).map { |file| file.relative_path_from(folder).to_s }
                .reject { |path| path == Keep::MANIFEST }.sort
        end

        def print_of(file) = Digest::SHA256.file(file).hexdigest
      end

      # folder :: Pathname
      def initialize(folder)
        @folder = folder
      end

      # Reads every file again: each is as it was written, and each database is whole. Gives the size in
      #   bytes. Raises StateError naming what is not.
      def check
        listed = manifest.fetch("files")
        (listed.keys | Backup.files(@folder)).each do |path|
          file = @folder.join(path)
          whole = listed.key?(path) && file.file? && Backup.print_of(file) == listed[path]
          raise StateError, Book.t("errors.backup.altered", file:) unless whole
        end
        Keep::DATABASES.each { |name| Store::Database.check(@folder.join("#{name}.sqlite3")) }
        listed.keys.sum { |path| @folder.join(path).size }
      end

      # Puts everything into a home that has nothing yet: into a folder beside it first, which becomes the
      # home when all of it is on the disk. What was there else, such as the key of sessions, stays.
      # home :: Pathname. Raises StateError.
      def restore(home)
        check
        there = Keep::DATABASES.map { |name| home.join("#{name}.sqlite3") }.find(&:exist?)
        raise StateError, Book.t("errors.backup.there_already", path: there) if there

        part = home.sub_ext("#{home.extname}.restoring")
        FileUtils.rm_rf(part)
        lay_out(part)
        home.directory? ? move(part, home) : File.rename(part, home)
        flush(home.dirname)
      rescue SystemCallError => e
        FileUtils.rm_rf(part) if part
        raise StateError, Book.t("errors.backup.cannot_write", path: home, reason: e.message.sub(/ @ \w+ - .*/, ""))
      end

      private

      def lay_out(part)
        FileUtils.mkdir_p(part, mode: 0o700)
        Backup.files(@folder).each do |path|
          target = part.join(path)
          FileUtils.mkdir_p(target.dirname, mode: 0o700)
          FileUtils.cp(@folder.join(path), target)
          target.chmod(0o600)
          flush(target)
        end
        part.glob("**/").each { |folder| flush(folder) }
      end

      # Into a home that is there and has no databases. The mark stands until the last is in its place.
      def move(part, home)
        mark = home.join(Store::Database::HALF)
        FileUtils.touch(mark)
        flush(home)
        part.children.each do |child|
          FileUtils.rm_rf(home.join(child.basename))
          File.rename(child, home.join(child.basename))
        end
        flush(home)
        FileUtils.rm_f(mark)
        FileUtils.rm_rf(part)
      end

      # What was written is on the disk, and not only on its way.
      def flush(path) = File.open(path, &:fsync)

      def manifest
        data = JSON.parse(@folder.join(Keep::MANIFEST).read)
        return data if data.is_a?(Hash) && data["files"].is_a?(Hash)

        raise StateError, Book.t("errors.backup.not_a_backup", folder: @folder)
      rescue SystemCallError, JSON::ParserError
        raise StateError, Book.t("errors.backup.not_a_backup", folder: @folder)
      end

      # Copies everything that a home holds into a folder, while Hobrin runs: each database as it is
      # at one moment, and the full texts. What was written is read again before it counts.
      class Keep
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
          raise StateError, Book.t("errors.backup.left_as_is", folder:) if folder.exist?

          part = folder.sub_ext("#{folder.extname}.part")
          FileUtils.rm_rf(part)
          FileUtils.mkdir_p(part, mode: 0o700)
          write(part)
          File.rename(part, folder)
          Backup.new(folder).check
        rescue SystemCallError => e
          FileUtils.rm_rf(part) if part
          raise StateError, Book.t("errors.backup.cannot_write", path: folder, reason: e.message.sub(/ @ \w+ - .*/, ""))
        end

        # One for each day, of which so many are kept. Gives the folder, nil when today's is there.
        def daily(folder, keep:)
          today = folder.join(@context.clock.today.iso8601)
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
          manifest = { hobrin: "backup", format: FORMAT, made: @context.clock.now, files: }
          part.join(MANIFEST).write(JSON.pretty_generate(manifest), perm: 0o600)
        end
      end
    end
  end
end
