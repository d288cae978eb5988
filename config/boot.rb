# frozen_string_literal: true

require "pathname"
require "yaml"
require "zeitwerk"
require "zlib"
require_relative "../lib/hobrin"

module Hobrin
  # SQLite in and out of core values.
  module Store; end
  # Catalogues on other machines, asked within bounds.
  module Outside; end
  # One verb per file: load, call the core, save, write the trail.
  module Services; end
  # The command line.
  module Cli; end
  # The web application.
  module Web; end
  # The made-up sample data.
  module Demo; end

  # Joins the layers, once.
  module Boot
    ROOT = Pathname(__dir__).parent
    LAYERS = { "store" => Store, "outside" => Outside, "services" => Services, "cli" => Cli, "web" => Web,
               "demo" => Demo }.freeze
    # What is no Ruby of a layer, or a program of its own.
    IGNORED = %w[web/public store/read_pdf.rb].freeze
    # How many requests are answered at once; each may hold one connection to a database.
    THREADS = 8

    LOADER = Zeitwerk::Loader.new.tap do |loader|
      loader.tag = "hobrin-layers"
      LAYERS.each { |folder, namespace| loader.push_dir(ROOT.join(folder).to_s, namespace:) }
      loader.ignore(*IGNORED.map { |path| ROOT.join(path).to_s })
      loader.setup
    end
    private_constant :LAYERS, :IGNORED, :LOADER

    class << self
      # Loads every file now, so that a slip in a name shows at start and not on first use.
      def eager_load
        Hobrin.eager_load
        LOADER.eager_load
        learned
        dictionary
      end

      # Where data lives: HOBRIN_HOME, or var/ beside the code.
      def home(env = ENV) = Pathname(env.fetch("HOBRIN_HOME") { ROOT.join("var") })

      # The databases opened, and all that services need. allowed :: which catalogues may be asked,
      #   see Outside::Allowed. Raises StateError when home cannot be
      # written.
      def context(home: self.home, who: ENV.fetch("HOBRIN_USER", "this desk"), clock: Time,
                  allowed: ENV.fetch("HOBRIN_SOURCES", ""))
        inquiries = database(home, :inquiries)
        Services::Context.new(
          filters: study_filters, inquiries: Store::Inquiries.new(inquiries),
          shared_briefs: Store::SharedBriefs.new(inquiries),
          own_filters: Store::House::OwnFilters.new(inquiries), house_changes: Store::House::Changes.new(inquiries),
          own_records: Store::House::OwnRecords.new(inquiries), settings: Store::House::Settings.new(inquiries),
          directory: Store::Directory.new(database(home, :people)), together: Store::Together.new(inquiries),
          papers: Store::KeptPapers.new(home), incoming: Store::Incoming.new(home),
          allowed: Outside::Allowed.new(allowed),
          library: Store::Library.new(database(home, :library)), who:,
          clock:, language: self, signing: Store::SigningKey.new(home)
        )
      end

      # Shuts every database; each opens again when it is asked next. A process that is forked must not
      # share what is open.
      def disconnect = Sequel::DATABASES.each(&:disconnect)

      # What was learnt about questions, as it ships.
      def learned
        @learned ||= Question::Understanding::Learned.parse(unpacked("config/learned.txt.gz"))
      end

      # The words of English, as they ship.
      def dictionary
        @dictionary ||= Text::Dictionary.new(unpacked("config/english_words.txt.gz").split)
      end

      private

      def unpacked(file) = Zlib.gunzip(ROOT.join(file).binread)

      # HOBRIN_DATABASE names a PostgreSQL database that several servers share.
      def database(home, kind)
        server = ENV.fetch("HOBRIN_DATABASE", "")
        return Store::Postgres.open(server, kind:, connections: THREADS) if Store::Postgres::KINDS.include?(kind) && !server.empty?

        Store::Database.open(home.join("#{kind}.sqlite3"), kind:, connections: THREADS)
      end

      # Their terms use no name of a library, so any vocabulary reads them; an aspect is taken as it
      # stands.
      def study_filters
        all = YAML.safe_load_file(ROOT.join("config/study_filters.yml"), symbolize_names: true)
        published = all.flat_map do |kind, widths|
          widths.map { |width, data| published(Strategy::Filters::Filter.new(kind: kind.to_s, width: width.to_s), data) }
        end
        Strategy::Filters.new(published)
      end

      def published(filter, data)
        Strategy::Filters::PublishedFilter.new(filter:, tree: Strategy::Cql.read(data.fetch(:terms), FilterVocabulary),
                                               sensitivity: data[:sensitivity], specificity: data[:specificity],
                                               source: data.fetch(:source), searched: data.fetch(:searched),
                                               here: data.fetch(:here), changed: data[:changed].to_s, note: data.fetch(:note))
      end
    end

    # What a study filter may name.
    module FilterVocabulary
      def self.aspects(_label, names, **) = names
    end
    private_constant :FilterVocabulary
  end
end
