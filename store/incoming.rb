# frozen_string_literal: true

require "digest"
require "fileutils"
require "securerandom"

module Hobrin
  module Store
    # Files that came in over the web and wait to be read into the library, in a folder of the home.
    class Incoming
      LARGEST_BYTES = 500 * 1024 * 1024
      PIECE = 1 << 20
      # Seconds after which a process that was started and never came is given up.
      ON_ITS_WAY = 20
      OWNER_ONLY = 0o600
      # What came in parts and was never finished goes after so many seconds.
      GIVEN_UP = 86_400
      UPLOAD = /\A\h{32}\z/
      LOST = Book.t("errors.imports.part_missing")
      private_constant :PIECE, :ON_ITS_WAY, :OWNER_ONLY, :GIVEN_UP, :UPLOAD, :LOST

      # home :: Pathname
      def initialize(home)
        @home = home
        @folder = home.join("incoming")
      end

      attr_reader :home

      def inspect = "#<#{self.class}>"

      # Copies what is read to a file of its own, piece by piece. Gives its path.
      # Raises InputError (:file) for nothing, and for more than LARGEST_BYTES.
      def receive(io)
        FileUtils.mkdir_p(@folder, mode: 0o700)
        path = @folder.join("#{Process.pid}-#{SecureRandom.hex(8)}.part")
        Database::Trouble.disk { File.open(path, File::CREAT | File::EXCL | File::WRONLY | File::BINARY, OWNER_ONLY) { |file| copy(io, file) } }
        path
      rescue StandardError
        FileUtils.rm_f(path) if path
        raise
      end

      # Adds one part to a file that comes in parts. upload :: what tells it from others, 32 hexadecimal
      #   digits; who :: whose it is; at :: where the part belongs; size :: of the whole file
      # Gives the path of the whole once it is there, nil before. Raises InputError (:file).
      def add_part(io, upload:, who:, at:, size:)
        refuse(LOST) unless upload.match?(UPLOAD) && at.is_a?(Integer) && size.is_a?(Integer)
        refuse(too_large) if size > LARGEST_BYTES
        path = part_of(upload, who)
        forget_given_up
        refuse(LOST) unless at == (path.exist? ? path.size : 0)

        append(path, io)
        return if path.size < size

        refuse(Book.t("errors.imports.empty")) if path.empty?
        path
      rescue InputError
        FileUtils.rm_f(path) if path
        raise
      end

      # Gives a received file the name of its import.
      def name(path, import_id) = File.rename(path, path_of(import_id))

      def path_of(import_id) = @folder.join(import_id.to_s)
      def forget(import_id) = FileUtils.rm_f(path_of(import_id))

      # Does the block unless another process is at it already; gives whether it was done.
      def alone(&block)
        FileUtils.mkdir_p(@folder, mode: 0o700)
        File.open(@folder.join("lock"), File::CREAT | File::RDWR, OWNER_ONLY) do |file|
          return false unless file.flock(File::LOCK_EX | File::LOCK_NB)

          held(file, &block)
          FileUtils.rm_f(woken)
          true
        end
      end

      # A process that was forked meanwhile has the same lock: closing the file here would leave it
      # held until that one ends.
      def held(file)
        yield
      ensure
        file.flock(File::LOCK_UN)
      end
      private :held

      # Whether a process is to be started: none is at it, and none was started a moment ago that is
      # still on its way. Says that one is started now.
      def wake?
        return false if woken.exist? && Time.now - woken.mtime < ON_ITS_WAY
        return false unless alone { nil }

        FileUtils.touch(woken)
        true
      end

      private

      def part_of(upload, who)
        FileUtils.mkdir_p(@folder, mode: 0o700)
        @folder.join("#{Digest::SHA256.hexdigest("#{who} #{upload}")[0, 32]}.upload")
      end

      def append(path, io)
        Database::Trouble.disk do
          File.open(path, File::CREAT | File::APPEND | File::WRONLY | File::BINARY, OWNER_ONLY) do |file|
            copy(io, file, so_far: file.size)
          end
        end
      end

      def forget_given_up
        @folder.glob("*.upload").each { |file| FileUtils.rm_f(file) if Time.now - file.mtime > GIVEN_UP }
      end

      # Touched when a process is started, gone when it has done its work.
      def woken = @folder.join("woken")

      def copy(io, file, so_far: 0)
        size = so_far
        piece = +""
        while io.read(PIECE, piece)
          size += piece.bytesize
          refuse(too_large) if size > LARGEST_BYTES
          file.write(piece)
        end
        refuse(Book.t("errors.imports.empty")) if size.zero?
      end

      def too_large = Book.t("errors.imports.too_large", most: LARGEST_BYTES / 1024 / 1024)
      def refuse(words) = raise(InputError, { file: words })
    end
  end
end
