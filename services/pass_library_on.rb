# frozen_string_literal: true

require "digest"

module Hobrin
  module Services
    # The library, from the server that fills it to others that only read it: as a file of its
    # version, with its fingerprint beside it.
    class PassLibraryOn
      LIST = "library.json"
      FILE = /\Alibrary-[0-9a-f]+\.\d+\.sqlite3\z/
      private_constant :LIST, :FILE

      # folder :: Pathname that both can reach
      def initialize(folder)
        @folder = folder
      end

      # Lays the library out as it is now. Gives its version. Raises StateError.
      def publish(context)
        version = context.library.version
        file = @folder.join("library-#{version}.sqlite3")
        FileUtils.mkdir_p(@folder)
        context.library.backup(file.to_s) unless file.exist?
        list = { version:, file: file.basename.to_s, sha256: Digest::SHA256.file(file).hexdigest }
        part = @folder.join("#{LIST}.part")
        part.write(JSON.pretty_generate(list))
        File.rename(part, @folder.join(LIST))
        version
      end

      # Takes the newest one into a home; what is there is replaced in one step. Gives its version.
      # Raises StateError for what is not as it was laid out.
      def fetch(home)
        list = JSON.parse(@folder.join(LIST).read)
        raise StateError, Book.t("errors.backup.no_library", folder: @folder) unless list.is_a?(Hash) && list["file"].to_s.match?(FILE)

        FileUtils.mkdir_p(home, mode: 0o700)
        part = home.join("library.part")
        FileUtils.cp(@folder.join(list["file"]), part)
        whole = Digest::SHA256.file(part).hexdigest == list["sha256"]
        raise StateError, Book.t("errors.backup.altered_library", file: list["file"]) unless whole

        put(part, home.join("library.sqlite3"))
        list["version"]
      rescue SystemCallError, JSON::ParserError
        raise StateError, Book.t("errors.backup.no_library", folder: @folder)
      ensure
        FileUtils.rm_f(home.join("library.part"))
      end

      private

      # What SQLite keeps beside the old file belongs to that one.
      def put(part, file)
        part.chmod(0o600)
        %w[-wal -shm].each { |ending| FileUtils.rm_f("#{file}#{ending}") }
        File.rename(part, file)
      end
    end
  end
end
