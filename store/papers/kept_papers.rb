# frozen_string_literal: true

require "digest"
require "fileutils"

module Hobrin
  module Store
    # Full texts that people here kept, as PDF files beside the inquiries, and the text of each.
    # They belong to papers, not to one inquiry; a file is named by a digest of the paper's id, so
    # that nothing of an id becomes a path.
    class KeptPapers
      LARGEST_BYTES = 25 * 1024 * 1024
      OWNER_ONLY = 0o600
      private_constant :OWNER_ONLY

      # home :: Pathname; reader :: what turns a path into text, see PdfText
      def initialize(home, reader: PdfText.new)
        @folder = home.join("papers")
        @reader = reader
      end

      def inspect = "#<#{self.class}>"

      # Keeps a copy of a file as the full text of a paper, in place of an earlier one.
      # Raises InputError (:pdf) for what is no PDF, or one that cannot be kept.
      def keep(record_id, path)
        refuse("Choose a file first.") unless path
        size = File.size(path)
        refuse("Keep to 25 MB: this file has #{(size / 1024.0 / 1024).ceil}.") if size > LARGEST_BYTES
        refuse("This is no PDF file.") unless File.binread(path, 1024).to_s.include?("%PDF-")

        text = @reader.call(path)
        Trouble.told { write(record_id, path, text) }
      end

      # The text of a kept full text, nil when none is kept.
      def text(record_id)
        file = file(record_id, "txt")
        file.read(encoding: "UTF-8") if file.exist?
      end

      # The bytes of a kept PDF. Raises GoneError.
      def pdf(record_id)
        file = file(record_id, "pdf")
        raise GoneError, "full text" unless file.exist?

        file.binread
      end

      def kept?(record_id) = file(record_id, "pdf").exist?

      # Raises GoneError.
      def remove(record_id)
        raise GoneError, "full text" unless kept?(record_id)

        Trouble.told { %w[pdf txt].each { |kind| FileUtils.rm_f(file(record_id, kind)) } }
      end

      private

      def file(record_id, ending)
        @folder.join("#{Digest::SHA256.hexdigest(record_id)[0, 32]}.#{ending}")
      end

      # Written beside its place and then renamed, the text first: a PDF that is there has its text.
      def write(record_id, path, text)
        FileUtils.mkdir_p(@folder, mode: 0o700)
        put(file(record_id, "txt")) { |part| File.write(part, text) }
        put(file(record_id, "pdf")) { |part| FileUtils.cp(path, part) }
      end

      def put(target)
        part = "#{target}.part"
        yield part
        File.chmod(OWNER_ONLY, part)
        File.rename(part, target)
      ensure
        FileUtils.rm_f(part)
      end

      def refuse(words) = raise(InputError, { pdf: words })
    end
  end
end
