# frozen_string_literal: true

require "json"
require "open3"
require "rbconfig"

module Hobrin
  module Store
    # The text of a PDF file, read by pdf-reader in a process of its own that has little time and
    # memory: a file from outside may be made to take all of it.
    class PdfText
      SECONDS = 20
      BYTES = 1_200 * 1024 * 1024
      PROGRAM = File.expand_path("read_pdf.rb", __dir__)
      # What the reader says, in words.
      WORDS = { "encrypted" => "This PDF is locked with a password. Save it without one, then try again.",
                "scripts" => "This PDF carries a script or starts something when it is opened: it is not kept.",
                "broken" => "This PDF cannot be read: it is broken, or cut off." }.freeze
      TOO_MUCH = "This PDF takes too long or too much memory to read: it is not kept."
      private_constant :SECONDS, :BYTES, :PROGRAM, :WORDS, :TOO_MUCH

      # path :: of the file. Gives a String, "" for a PDF of pictures alone. Raises InputError
      #   (:pdf).
      def call(path)
        said, status = Open3.capture2(RbConfig.ruby, PROGRAM, path.to_s, err: File::NULL,
                                                                         rlimit_cpu: SECONDS, rlimit_as: BYTES)
        refuse(TOO_MUCH) unless status.success?

        answer = JSON.parse(said)
        refuse(WORDS.fetch(answer.fetch("refused"))) if answer.key?("refused")
        answer.fetch("text")
      rescue JSON::ParserError
        refuse(TOO_MUCH)
      end

      private

      def refuse(words) = raise(InputError, { pdf: words })
    end
  end
end
