# frozen_string_literal: true

module Hobrin
  module Services
    # Connected catalogues: which there are, and what is brought in from them.
    module Catalogues
      # The list of catalogues: puts one on it, after having asked what it can do, and takes one off.
      class KeepSources
        PROTOCOLS = %w[sru oai].freeze
        NO_FORMAT = Book.t("errors.catalogues.no_format")
        private_constant :NO_FORMAT

        # fetch :: Outside::Fetch
        def initialize(context, fetch: Outside::Fetch.for_page(context.allowed))
          @context = context
          @fetch = fetch
          @sources = context.library.sources
        end

        def all = @sources.all

        # protocol :: one of PROTOCOLS. Gives a Store::Library::Sources::Source. Raises InputError (:name,
        #   :address, :protocol), Outside::Fetch::NoAnswer.
        def add(name:, address:, protocol:, stand_in: false)
          name = name.to_s.gsub(/[[:space:]]+/, " ").strip
          check(name, protocol)
          values = { name:, address: address.to_s.strip, protocol:, stand_in:,
                     added_at: @context.clock.now }
          @sources.write(**values, **(protocol == "sru" ? asked(address) : harvested(address)))
        end

        def remove(id) = @sources.remove(@sources.find(id).id)

        private

        def check(name, protocol)
          errors = {}
          errors.merge!(FieldLengths.errors({ name: }, { name: :catalogue }))
          errors[:name] = Book.t("errors.catalogues.name") if name.empty?
          errors[:name] = Book.t("errors.catalogues.name_letters") if errors.empty? && Text::Tokens.line(name).empty?
          errors[:protocol] = Book.t("errors.catalogues.protocol") unless PROTOCOLS.include?(protocol)
          raise InputError, errors if errors.any?
        end

        # Version 2.0 is asked for once it says that it can.
        def asked(address)
          ability = Outside::Sources::Sru.new(@fetch, address).ability
          format = ability.schema or refuse
          { version: ability.version, format:, about: ability.about, ability: }
        end

        def harvested(address)
          name, prefixes = Outside::Sources::Oai.new(@fetch, address).identity
          format = Catalogue::PREFIXES.keys.find { |prefix| prefixes.include?(prefix) }
          format ? { version: "2.0", format:, about: name } : refuse
        end

        def refuse = raise(InputError, { address: NO_FORMAT })
      end

      # Begins to harvest a catalogue, or to harvest what changed there since the last time, as an
      # import in the background.
      class HarvestSource < Service
        # Raises GoneError for a catalogue that is not harvested, or is being harvested just now.
        def call(id)
          source = @context.library.sources.find(id)
          imports = @context.library.imports
          raise GoneError, "catalogue" if source.sru? || imports.all.any? { |import| import.source_id == id && import.waiting? }

          imports.begin(name: source.name, size: 0, at: @context.clock.now, state: "waiting",
                        sample: source.stand_in,
                        format: source.format, source_id: id)
          Imports::WakeWorker.new(@context).call
        end
      end

      # Brings records in from a catalogue, a step at a time, as an import that can be stopped, gone
      # on with and taken back. Each record is called by its catalogue and what that calls it, so that
      # records of two catalogues never meet; that they are one paper is found out as for files.
      class FetchRecords
        STEP = 50
        # A harvest is let in parts; more parts than this would never end.
        MOST_PARTS = 20_000
        private_constant :STEP, :MOST_PARTS

        # fetch :: Outside::Fetch
        def initialize(context, fetch: Outside::Fetch.new(context.allowed))
          @context = context
          @fetch = fetch
          @imports = context.library.imports
        end

        # import :: Store::Library::Imports::Import with a source; the block, when it gives :stop, ends it
        #   after a step. Raises Outside::Fetch::NoAnswer, GoneError for a catalogue that was taken off the list.
        def call(import, &)
          source = @context.library.sources.find(import.source_id)
          run = Imports::ImportRecords::Run.new(@context, import, &)
          @stay = 0
          catch(:stop) do
            source.sru? ? search(source, import, run) : harvest(source, import, run)
            run.finish(staying)
          end
        end

        private

        def search(source, import, run)
          gathering = run.gathering
          sru = Outside::Sources::Sru.new(@fetch, source.address, version: source.version)
          place = import.entries
          while place < import.most
            most = step(source, import.most - place)
            answer = sru.search(import.query, from: place + 1, most:, schema: source.format)
            # One that says that there are more and gives none would be asked for ever.
            break if answer.records.empty?

            answer.records.first(import.most - place).each do |text|
              gathering.take(place += 1, record(text, source, format_of(source), place))
            end
            run.write(gathering.piece(place))
            break if answer.count && place >= answer.count
          end
        end

        def step(source, left) = [STEP, left, source.ability&.most || STEP].min
        def format_of(source) = Catalogue::FORMATS.fetch(source.format)

        def harvest(source, import, run)
          oai = Outside::Sources::Oai.new(@fetch, source.address)
          gathering = run.gathering
          token, place, parts = import.token, import.entries, 0
          loop do
            answer = oai.records(prefix: source.format, token:,
                                 from: token ? nil : source.harvested_to)
            gone, there = answer.records.partition(&:deleted?)
            take_out(source, gone)
            there.each { |item| gathering.take(place += 1, item_record(item, source, place)) }
            before, token = token, answer.token
            run.write(gathering.piece(place), token:) if there.any?
            # One that leads back to itself would never end.
            break if token.nil? || token == before || (parts += 1) > MOST_PARTS
          end
          @context.library.sources.harvested(source.id, import.begun_at[0, 10])
        end

        # What an inquiry rests on stays, though its catalogue has it no more.
        def take_out(source, gone)
          return if gone.empty?

          ids = gone.map { |item| "#{source.key}:#{item.identifier}" }
          stay = ids & @context.inquiries.all.flat_map { |saved| saved.inquiry.kept_ids }
          @stay += stay.size
          @context.library.take_out(ids - stay, at: @context.clock.now)
        end

        def staying
          return if @stay.zero?

          Book.t("errors.catalogues.kept_papers", papers: @stay)
        end

        def item_record(item, source, place)
          format = Catalogue::PREFIXES.fetch(source.format)
          found = Catalogue.record(item.text, format:, place:)
          found.is_a?(Records::Record) ? named(found, source, item.identifier) : found
        end

        def record(text, source, format, place)
          found = Catalogue.record(text, format:, place:)
          found.is_a?(Records::Record) ? named(found, source, found.id) : found
        end

        def named(record, source, id)
          record.with(id: "#{source.key}:#{id}", added: @context.clock.today.iso8601)
        end
      end
    end
  end
end
