# frozen_string_literal: true

module Hobrin
  module Services
    # Files on their way into the library.
    module Imports
      # Takes a file in, to be read into the library by a process of its own.
      class ReceiveFile < Service
        LARGEST_BYTES = Store::Incoming::LARGEST_BYTES

        # io :: of the file, read as bytes; name :: as it was called where it came from
        # Gives the Store::Library::Imports::Import. Raises InputError (:file).
        def call(io, name:)
          begin_with(@context.incoming.receive(io), name)
        end

        # One part of a file that comes in parts; see Store::Incoming#add_part. Gives the Import once it is
        # whole, nil before. Raises InputError (:file).
        def part(io, name:, upload:, at:, size:)
          path = @context.incoming.add_part(io, upload:, at:, size:, who: @context.user.person&.id)
          path && begin_with(path, name)
        end

        private

        def begin_with(path, name)
          import = @context.library.imports.begin(name: named(name), size: File.size(path),
                                                  at: @context.clock.now, state: "waiting")
          @context.incoming.name(path, import.id)
          WakeWorker.new(@context).call
          import
        end

        # The last part of a path, without what no name has.
        def named(name)
          text = name.to_s.scrub("").tr("\\", "/").split("/").last.to_s.gsub(/[[:cntrl:]]/, "").strip
          text.empty? ? Book.t("errors.imports.file_name") : text[0, FieldLengths.of(:catalogue)]
        end
      end

      # Starts the process that reads waiting files into the library. There is one at a time: another
      # finds the lock taken and ends.
      class WakeWorker < Service
        COMMAND = [RbConfig.ruby, File.expand_path("../config/cli.rb", __dir__), "work"].freeze
        private_constant :COMMAND

        # Does nothing while nothing waits.
        def call
          library = @context.library
          return unless library.imports.next_waiting || library.matches.next_waiting
          return unless @context.incoming.wake?

          env = { "HOBRIN_HOME" => @context.incoming.home.to_s,
                  "HOBRIN_SOURCES" => @context.allowed.to_a.join(",") }
          Process.detach(Process.spawn(env, *COMMAND, in: File::NULL, out: File::NULL,
                                                      err: File::NULL, pgroup: true))
        end
      end

      # Reads waiting files into the library, one after the other, and gives papers the headings that
      # people matched, until nothing waits. What was cut off goes on where its last batch ended.
      class Work < Service
        SAMPLE_BYTES = 65_536
        private_constant :SAMPLE_BYTES

        def initialize(context)
          super
          @imports = context.library.imports
        end

        # Gives false when another process is at it.
        def call
          @context.incoming.alone do
            while (work = @imports.next_waiting || @context.library.matches.next_waiting)
              work.is_a?(Store::Library::HeadingMatches::Match) ? match(work) : read(work)
              keep_frequent_words
            end
          end
        end

        private

        def read(import)
          @imports.change(import.id, state: "running")
          return fetch(import) if import.source_id

          File.open(@context.incoming.path_of(import.id), "rb") do |io|
            thesaurus?(io) ? headings(import, io) : papers(import, io)
          end
          @context.incoming.forget(import.id) if @imports.find(import.id).state == "done"
        rescue InputError => e
          fail_with(import, e.errors.values.join(" "))
        rescue SystemCallError, UnavailableError => e
          fail_with(import, e.message.sub(/ @ \w+ - .*/, ""))
        rescue GoneError
          fail_with(import, Book.t("errors.imports.catalogue_removed"))
        rescue StandardError => e
          fail_with(import, Book.t("errors.imports.fault", error: e.class))
        end

        def fetch(import)
          Catalogues::FetchRecords.new(@context).call(import) { :stop if stopped?(import) }
        end

        def papers(import, io)
          outcome = ImportRecords.new(@context).call(io, import:) { :stop if stopped?(import) }
          @imports.change(import.id, format: outcome.format.to_s)
        end

        # Whether a file holds headings: what speaks of SKOS and is no list of papers.
        def thesaurus?(io)
          sample = io.read(SAMPLE_BYTES).to_s
          io.rewind
          Exchange.detect(sample).nil? && sample.match?(/skos/i) && !Exchange::Skos.detect(sample).nil?
        end

        def headings(import, io)
          outcome = ImportThesaurus.new(@context).skos(io, name: import.name)
          doubts, first = outcome.warnings.size, outcome.warnings.first
          message = Book.t("errors.imports.#{doubts.zero? ? "headings" : "headings_with_warnings"}", count: outcome.headings, doubts:,
                                                                                                     first:)
          @imports.change(import.id, state: "done", format: "skos", at_byte: import.size, ended_at: @context.clock.now,
                                     message:)
        end

        # What fails is not tried for ever.
        def match(match)
          @context.library.apply_match(match)
        rescue StandardError
          @context.library.matches.fail(match)
        end

        # What cannot be kept now is kept after the next import.
        def keep_frequent_words
          @context.library.keep_frequent_words
        rescue UnavailableError
          nil
        end

        def stopped?(import) = @imports.find(import.id).state == "stopped"

        def fail_with(import, words)
          @imports.change(import.id, state: "failed", message: words, ended_at: @context.clock.now)
        end
      end

      # Stops an import, goes on with it, or takes back what it brought.
      class Change < Service
        # An inquiry that had kept papers of an import. papers :: how many
        class Losing < Value
          attributes :id, :question, :papers
        end

        # What taking an import back would cost. named :: Array of Losing, of the inquiries that who
        # asks may read; others :: how many more inquiries would lose papers
        class Losses < Value
          attributes :named, :others

          def any? = named.any? || others.positive?
        end

        def initialize(context)
          super
          @imports = context.library.imports
        end

        # Raises GoneError.
        def stop(id)
          @imports.change(id, state: "stopped") if @imports.find(id).waiting?
        end

        def go_on(id)
          import = @imports.find(id)
          waits = import.source_id || @context.incoming.path_of(id).exist?
          raise GoneError, "import" unless %w[stopped failed].include?(import.state) && waits

          @imports.change(id, state: "waiting", message: nil, ended_at: nil)
          WakeWorker.new(@context).call
        end

        # Which inquiries would lose kept papers. Gives Losses. Raises GoneError.
        def losing(id)
          gone = Records::RecordSet.of(@imports.parts(@imports.find(id).id).flat_map(&:to_a))
          losing = @context.stored.all.filter_map do |saved|
            papers = @context.library.set(saved.inquiry.kept_ids).overlap(gone)
            Losing.new(id: saved.id, question: saved.inquiry.question.text, papers:) if papers.positive?
          end
          permit = Permit.new(@context)
          named, others = losing.partition { |inquiry| permit.ability(inquiry.id) }
          Losses.new(named:, others: others.size)
        end

        # Takes its records out of the library. Raises GoneError for one that is at work, or taken
        # back already.
        def take_back(id)
          import = @imports.find(id)
          raise GoneError, "import" if import.waiting? || import.state == "taken back"

          @context.library.take_back(import, at: @context.clock.now)
          @context.incoming.forget(id)
        end
      end
    end
  end
end
