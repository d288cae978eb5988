# frozen_string_literal: true

require "json"
require "rbconfig"
require "zlib"

module Hobrin
  module Store
    # The text of a PDF file, read by pdf-reader in a process of its own that has little time and
    # memory: a file from outside may be made to take all of it. The process ends with whoever waits
    # for it.
    class PdfText
      # Of the processor, and on the clock: a busy machine may take long over a few seconds of work.
      SECONDS = 10
      PATIENCE = 120
      BYTES = 700 * 1024 * 1024
      # It leaves the processor to those that answer.
      STEPS_BACK = 10
      # What one stream of a file, and all of them, may come to when they are inflated.
      LARGEST_STREAM = 32 * 1024 * 1024
      LARGEST = 128 * 1024 * 1024
      STREAM = /stream\r?\n/n
      PROGRAM = File.expand_path("read_pdf.rb", __dir__)
      # What the reader says, in words.
      WORDS = { "encrypted" => Book.t("errors.pdf.locked"),
                "scripts" => Book.t("errors.pdf.active"),
                "broken" => Book.t("errors.pdf.broken") }.freeze
      TOO_MUCH = Book.t("errors.pdf.too_long")
      private_constant :SECONDS, :PATIENCE, :BYTES, :STEPS_BACK, :LARGEST_STREAM, :LARGEST, :STREAM, :PROGRAM, :WORDS, :TOO_MUCH

      # path :: of the file. Gives a String, "" for a PDF of pictures alone. Raises InputError
      #   (:pdf).
      def call(path)
        refuse(TOO_MUCH) if bomb?(File.binread(path))
        answer = JSON.parse(said(path))
        refuse(WORDS.fetch(answer.fetch("refused"))) if answer.key?("refused")
        answer.fetch("text")
      rescue JSON::ParserError
        refuse(TOO_MUCH)
      end

      private

      # Whether what is packed in the file is more than any paper has. Each stream is inflated piece by
      # piece and no further than allowed.
      def bomb?(bytes)
        at, all = 0, 0
        while (start = bytes.index(STREAM, at))
          at = start + Regexp.last_match(0).bytesize
          size = inflated(bytes, at, [LARGEST_STREAM, LARGEST - all].min)
          return true unless size

          all += size
        end
        false
      end

      # How many bytes a stream comes to, 0 for one that is not deflated; nil for more than allowed.
      def inflated(bytes, at, most)
        return 0 unless bytes.getbyte(at).to_i & 0x0f == 8

        size, inflater = 0, Zlib::Inflate.new
        until inflater.finished? || at >= bytes.bytesize
          inflater.inflate(bytes.byteslice(at, 16_384)) { |piece| return nil if (size += piece.bytesize) > most }
          at += 16_384
        end
        size
      rescue Zlib::Error
        size
      ensure
        inflater&.close
      end

      # What the process prints, "" where it was stopped.
      def said(path)
        from, to = IO.pipe
        pid = Process.spawn(RbConfig.ruby, PROGRAM, path.to_s, out: to, err: File::NULL, in: File::NULL,
                                                               rlimit_cpu: SECONDS, rlimit_as: BYTES)
        Process.setpriority(Process::PRIO_PROCESS, pid, STEPS_BACK)
        to.close
        text = +""
        ends = now + PATIENCE
        text << from.readpartial(1 << 16) while from.wait_readable([ends - now, 0].max)
        text
      rescue EOFError
        text
      ensure
        [from, to].each { |io| io&.close unless io&.closed? }
        stop(pid) if pid
      end

      def stop(pid)
        Process.kill(:KILL, pid)
        Process.wait(pid)
      rescue Errno::ESRCH, Errno::ECHILD
        nil
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      def refuse(words) = raise(InputError, { pdf: words })
    end
  end
end
