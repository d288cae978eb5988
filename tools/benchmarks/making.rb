# frozen_string_literal: true

require "sqlite3"

module Hobrin
  module Tools
    module Benchmarks
      # Fills a library with made-up records by way of a file, as an import does, and times that.
      class Making
        # So many records are also put into a bare full-text table, for comparison.
        PLAIN = 5_000
        # So many records go to what stands beside at once.
        TOGETHER = 500
        private_constant :PLAIN, :TOGETHER

        # size :: records; home :: Pathname of a folder; err :: where progress is drawn
        # beside :: XapianCounts that gets the same records, or nil
        def initialize(context, size, home:, err:, beside: nil)
          @beside = beside
          @context = context
          @size = size
          @home = home
          @file = home.join("records.json")
          @err = err
        end

        # Gives [records a second with everything that an import does, records a second of the plain
        # way].
        def call
          Services::Imports::ImportThesaurus.new(@context).call(Demo::SampleThesaurus.headings)
          make
          took = Work::Timing.once { import }
          [@size / took * 1000, plain]
        ensure
          @file.delete if @file.exist?
        end

        private

        # Another process makes the records and writes them into the file, while this one fills what
        # stands beside; both end before anything is timed.
        def make
          maker = Services::Imports::ReadAhead::ForkedReader.new { |give| write { |some| give[some] if @beside } }
          made = Enumerator.new { |out| nil while maker.take { |some| some.each { |record| out << record } } }
          @beside ? @beside.fill(made) : made.to_a
        ensure
          maker&.stop
        end

        # Yields the records, some at a time.
        def write
          bar = Cli::Progress.new("making #{@size}", total: @size, err: @err)
          @file.open("w") do |io|
            io << "[\n"
            Demo::SampleLibrary.new(size: @size).each.each_slice(TOGETHER).with_index do |some, turn|
              items = some.map { |record| JSON.generate(Exchange::CslJson::Writer.item(record)) }
              io << (turn.zero? ? "" : ",\n") << items.join(",\n")
              bar.at(turn * TOGETHER)
              yield some
            end
            io << "\n]\n"
          end
          bar.finish
        end

        def import
          bar = Cli::Progress.new("importing #{@size}", total: @file.size, err: @err)
          @file.open("rb") do |io|
            service = Services::Imports::ImportRecords.new(@context)
            service.call(io, format: :csl, sample: true) { |_, bytes| bar.at(bytes) }
          end
          @context.library.keep_frequent_words
          bar.finish
        end

        # The text alone, parsed and put into a row and a full-text table: no facets, authors,
        # doubles or checks.
        def plain
          lines = @file.each_line.lazy.select { |line| line.start_with?("{") }.first(PLAIN)
          db = SQLite3::Database.new(@home.join("plain.sqlite3").to_s)
          db.execute_batch("PRAGMA journal_mode=WAL; CREATE TABLE records (number INTEGER PRIMARY KEY, csl TEXT);" \
                           "CREATE VIRTUAL TABLE texts USING fts5(title, abstract, keywords, content='')")
          took = Work::Timing.once do
            db.transaction do
              lines.each.with_index(1) do |line, number|
                insert(db, line.chomp.chomp(","), number)
              end
            end
          end
          lines.size / took * 1000
        ensure
          db&.close
        end

        def insert(db, line, number)
          item = JSON.parse(line)
          db.execute("INSERT INTO records VALUES (?, ?)", [number, line])
          db.execute("INSERT INTO texts (rowid, title, abstract, keywords) VALUES (?, ?, ?, ?)",
                     [number, *item.values_at("title", "abstract", "keyword")])
        end
      end
    end
  end
end
