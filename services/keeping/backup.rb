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

      # Reads every file again: each is as it was written, and each database is whole. Gives the
      # size in
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

      # Puts everything into a home that has nothing yet. home :: Pathname. Raises StateError.
      def restore(home)
        check
        there = KeepBackup::DATABASES.map { |name| home.join("#{name}.sqlite3") }.find(&:exist?)
        raise StateError, "#{there} is there already. Move it away first: nothing is written over." if there

        FileUtils.mkdir_p(home, mode: 0o700)
        Backup.files(@folder).each do |path|
          target = home.join(path)
          FileUtils.mkdir_p(target.dirname, mode: 0o700)
          FileUtils.cp(@folder.join(path), target)
          target.chmod(0o600)
        end
      end

      private

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
