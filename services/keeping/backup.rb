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
                .reject { |path| path == KeepBackup::MANIFEST }.sort
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
          raise StateError, "#{file} is not as it was written: this backup cannot be leant on." unless whole
        end
        KeepBackup::DATABASES.each { |name| Store::Database.check(@folder.join("#{name}.sqlite3")) }
        listed.keys.sum { |path| @folder.join(path).size }
      end

      # Puts everything into a home that has nothing yet: into a folder beside it first, which becomes the
      # home when all of it is on the disk. What was there else, such as the key of sessions, stays.
      # home :: Pathname. Raises StateError.
      def restore(home)
        check
        there = KeepBackup::DATABASES.map { |name| home.join("#{name}.sqlite3") }.find(&:exist?)
        raise StateError, "#{there} is there already. Move it away first: nothing is written over." if there

        part = home.sub_ext("#{home.extname}.restoring")
        FileUtils.rm_rf(part)
        lay_out(part)
        home.directory? ? move(part, home) : File.rename(part, home)
        flush(home.dirname)
      rescue SystemCallError => e
        FileUtils.rm_rf(part) if part
        raise StateError, "Cannot write #{home}: #{e.message.sub(/ @ \w+ - .*/, "")}."
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
        data = JSON.parse(@folder.join(KeepBackup::MANIFEST).read)
        return data if data.is_a?(Hash) && data["files"].is_a?(Hash)

        raise StateError, "#{@folder} is no backup of Hobrin."
      rescue SystemCallError, JSON::ParserError
        raise StateError, "#{@folder} is no backup of Hobrin."
      end
    end
  end
end
