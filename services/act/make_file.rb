# frozen_string_literal: true

require "digest"

module Hobrin
  module Services
    module Act
      # A file of the brief. One of many papers takes long to write: it is made beside the requests, one
      # after the other, kept until something changes, and given from there.
      class MakeFile
        # A file that is not there yet. done, all :: how many references are written, of how many
        class Making < Value
          attributes :done, :all
        end

        # Up to so many papers a file is made while somebody waits.
        AT_ONCE = 150
        QUEUE = ReadLater.new(at_once: 1, patience: 0.2)
        # What is being made: Hash of path to [done, all], or the words of what went wrong.
        GOING = {} # rubocop:disable Style/MutableConstant
        LOCK = Mutex.new
        OWNER_ONLY = 0o600
        FAILED = Book.t("errors.files.not_made")
        private_constant :AT_ONCE, :QUEUE, :GOING, :LOCK, :OWNER_ONLY, :FAILED

        # materials :: see ReadMaterial
        def initialize(context, **materials)
          @context = context
          @materials = materials
          @folder = context.incoming.home.join("made")
        end

        # opened :: OpenInquiry; name, ending :: see ExportBrief. Gives a Download, or Making. Raises
        #   GoneError for a file that there is not, UnavailableError for one that could not be made.
        def call(opened, name, ending)
          exporting = Export.new(@context, **@materials)
          return exporting.call(opened, name, ending) if opened.inquiry.kept_ids.size <= AT_ONCE

          raise GoneError, "format" unless exporting.makes?(name, ending)

          path = path(opened, name, ending)
          return read(path) if path.exist?

          start(path, opened, name, ending)
          path.exist? ? read(path) : going(path)
        end

        # Lets go of what was made of an inquiry.
        def self.forget(context, inquiry_id)
          FileUtils.rm_rf(context.incoming.home.join("made", Integer(inquiry_id).to_s))
        end

        private

        # Named by all that it depends on.
        def path(opened, name, ending)
          blind = @context.user.person&.id if @context.user.person && @context.inquiries.blind?(opened.id)
          parts = [opened.version, @context.snapshot.version, @context.clock.today.iso8601, @materials.to_a, blind, name, ending]
          @folder.join(opened.id.to_s, "#{Digest::SHA256.hexdigest(JSON.generate(parts))[0, 40]}.#{ending}")
        end

        def start(path, opened, name, ending)
          all = opened.inquiry.kept_ids.size
          LOCK.synchronize do
            return if GOING.key?(path.to_s)

            GOING[path.to_s] = [0, all]
          end
          QUEUE.call { make(path, opened, name, ending) }
        end

        def make(path, opened, name, ending)
          Thread.current.priority = -3
          file = Export.new(@context, **@materials) { |done, all| note(path, [done, all]) }.call(opened, name, ending)
          Store::Database::Trouble.disk { write(path, file) }
          note(path, nil)
        rescue StandardError => e
          warn "hobrin: a file could not be made (#{e.class}: #{e.message[0, 160]})"
          note(path, FAILED)
        end

        # Others of before are let go: something changed since.
        def write(path, file)
          FileUtils.mkdir_p(path.dirname, mode: 0o700)
          path.dirname.glob("*#{path.extname}").each { |old| FileUtils.rm_f(old) if old.mtime < Time.now - 3_600 }
          part = path.sub_ext(".part")
          head = JSON.generate({ name: file.name, type: file.type, binary: file.body.encoding == Encoding::BINARY })
          File.binwrite(part, "#{head}\n".b + file.body.b)
          File.chmod(OWNER_ONLY, part)
          File.rename(part, path)
        end

        def read(path)
          head, body = path.binread.split("\n", 2)
          data = JSON.parse(head, symbolize_names: true)
          body = body.force_encoding(Encoding::UTF_8) unless data.delete(:binary)
          Download.new(**data, body:)
        end

        # Where it is; what went wrong is said once, and then it can be tried again.
        def going(path)
          state = LOCK.synchronize { GOING[path.to_s].tap { |now| GOING.delete(path.to_s) if now.is_a?(String) } }
          raise UnavailableError, state if state.is_a?(String)

          done, all = state || [0, 0]
          Making.new(done:, all:)
        end

        def note(path, state) = LOCK.synchronize { state ? GOING[path.to_s] = state : GOING.delete(path.to_s) }
      end
    end
  end
end
