# frozen_string_literal: true

require "digest"
require "fileutils"

module Hobrin
  module Store
    # Full texts that people here kept, as PDF files beside the inquiries, and the text of each.
    # They belong to papers, not to one inquiry: one that a librarian keeps is there for everybody,
    # one that a ward keeps for that ward. A file is named by a digest of the paper's id, so that
    # nothing of an id becomes a path.
    class KeptPapers
      LARGEST_BYTES = 25 * 1024 * 1024
      OWNER_ONLY = 0o600
      KINDS = %w[pdf txt].freeze
      REMOVED = "removed"
      WAITING = "waiting"
      REFUSED = "refused"
      private_constant :OWNER_ONLY, :KINDS, :REMOVED, :WAITING, :REFUSED

      # home :: Pathname; reader :: what turns a path into text, see PdfText; wards :: ids of the wards
      #   whose full texts are seen, beside those for everybody
      def initialize(home, reader: PdfText.new, wards: [])
        @home = home
        @folder = home.join("papers")
        @reader = reader
        @wards = wards.sort.freeze
      end

      def inspect = "#<#{self.class}>"

      # The same as people of these wards see it.
      def seen_from(wards) = self.class.new(@home, reader: @reader, wards:)

      # Raises InputError (:pdf) for what is not a PDF, or is too large.
      def check(path)
        no(Book.t("errors.pdf.choose_file")) unless path
        size = File.size(path)
        no(Book.t("errors.pdf.too_large", megabytes: (size / 1024.0 / 1024).ceil)) if size > LARGEST_BYTES
        no(Book.t("errors.pdf.not_a_pdf")) unless File.binread(path, 1024).to_s.include?("%PDF-")
      end

      # Keeps a copy of a file as the full text of a paper, read at once, in place of an earlier one.
      # ward_id :: nil for everybody. Raises InputError (:pdf) for what is not a PDF, or one that cannot be
      # kept.
      def keep(record_id, path, ward_id: nil)
        check(path)
        text = @reader.call(path)
        Database::Trouble.disk { write(record_id, path, text, ward_id) }
      end

      # Puts a file that came in where it waits to be read. Gives its place. Raises InputError (:pdf).
      def stage(record_id, path, ward_id: nil)
        check(path)
        Database::Trouble.disk do
          FileUtils.mkdir_p(place(ward_id), mode: 0o700)
          FileUtils.rm_f(file(record_id, REFUSED, ward_id))
          file(record_id, WAITING, ward_id).tap { |staged| put(staged) { |part| FileUtils.cp(path, part) } }
        end
      end

      # The text of a file that waits. Raises InputError (:pdf).
      def read(staged) = @reader.call(staged)

      # Keeps a file that waited, with its text. What was kept there before is put aside under a number.
      def settle(record_id, staged, text, aside:, ward_id: nil)
        Database::Trouble.disk do
          put_aside(record_id, aside, ward_id:)
          write(record_id, staged, text, ward_id)
          FileUtils.rm_f(staged)
        end
      end

      # Lets a file go that waited. words :: why
      def refuse(record_id, words, ward_id: nil)
        put(file(record_id, REFUSED, ward_id)) { |part| File.write(part, words) }
        FileUtils.rm_f(file(record_id, WAITING, ward_id))
      end

      # Whether one waits to be read, and why the last one was not kept, or nil.
      def waiting?(record_id) = !found(record_id, WAITING).nil?
      def refused(record_id) = found(record_id, REFUSED)&.read(encoding: "UTF-8")

      # The text of a kept full text, nil when none is kept.
      def text(record_id)
        file = found(record_id, "txt")
        file&.read(encoding: "UTF-8")
      end

      # The bytes of a kept PDF. Raises GoneError.
      def pdf(record_id)
        file = found(record_id, "pdf") or raise GoneError, "full text"
        file.binread
      end

      def kept?(record_id) = !found(record_id, "pdf").nil?

      # Whether one is kept for a ward, or for everybody (nil).
      def kept_for?(record_id, ward_id) = file(record_id, "pdf", ward_id).exist?

      # Puts one aside under a number, from where it can be put back. Raises GoneError.
      def remove(record_id, aside, ward_id: nil)
        raise GoneError, "full text" unless kept_for?(record_id, ward_id)

        Database::Trouble.disk { put_aside(record_id, aside, ward_id:) }
      end

      # Puts back what was put aside under a number; where there was nothing, what is there goes.
      def put_back(record_id, aside, ward_id: nil)
        Database::Trouble.disk do
          KINDS.each do |kind|
            kept, now = removed(aside, kind), file(record_id, kind, ward_id)
            kept.exist? ? File.rename(kept, now) : FileUtils.rm_f(now)
          end
        end
      end

      private

      # That of one's ward comes first.
      def found(record_id, kind)
        [*@wards, nil].map { |ward_id| file(record_id, kind, ward_id) }.find(&:exist?)
      end

      def file(record_id, kind, ward_id)
        place(ward_id).join("#{Digest::SHA256.hexdigest(record_id)[0, 32]}.#{kind}")
      end

      def place(ward_id) = ward_id ? @folder.join("ward-#{Integer(ward_id)}") : @folder
      def removed(aside, kind) = @folder.join(REMOVED, "#{Integer(aside)}.#{kind}")

      def put_aside(record_id, aside, ward_id:)
        FileUtils.mkdir_p(@folder.join(REMOVED), mode: 0o700)
        KINDS.each do |kind|
          now = file(record_id, kind, ward_id)
          File.rename(now, removed(aside, kind)) if now.exist?
        end
      end

      # Written beside its place and then renamed, the text first: a PDF that is there has its text.
      def write(record_id, path, text, ward_id)
        FileUtils.mkdir_p(place(ward_id), mode: 0o700)
        put(file(record_id, "txt", ward_id)) { |part| File.write(part, text) }
        put(file(record_id, "pdf", ward_id)) { |part| FileUtils.cp(path, part) }
      end

      def put(target)
        part = "#{target}.part"
        yield part
        File.chmod(OWNER_ONLY, part)
        File.rename(part, target)
      ensure
        FileUtils.rm_f(part)
      end

      def no(words) = raise(InputError, { pdf: words })
    end
  end
end
