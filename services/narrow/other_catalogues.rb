# frozen_string_literal: true

module Hobrin
  module Services
    module Narrow
      # The search of an inquiry in other catalogues.
      module OtherCatalogues
        # The search of an inquiry in other catalogues: how it would be asked there, and what came of
        # it.
        class Read
          # What one catalogue gave: search :: Narrowing::State::ExternalSearch; import :: Store::Library::Imports::Import or
          #   nil; found :: of its records, those that the search here finds; doubles :: of its records,
          #   those that another record is the same paper as; only :: those that no other is
          class Given < Value
            attributes :search, :import, :given, :found, :doubles, :only
          end

          # opened :: OpenInquiry; crossed_out :: whether terms that are crossed out are asked for, too: there
          #   they may find papers
          def initialize(context, opened, crossed_out: false)
            @context = context
            @opened = opened
            @crossed_out = crossed_out
          end

          # The terms that are crossed out.
          def crossed_out_terms = @opened.inquiry.searched_blocks.flat_map(&:terms).select(&:crossed_out?)

          def sources = @context.library.sources.all

          # Those that can be asked a search.
          def askable = sources.select(&:sru?)

          # A Catalogue::Plan for a Store::Library::Sources::Source, as it would be sent, or with other texts for
          #   some lines. texts :: Hash of number to String
          def plan(source, texts: {})
            plan = Catalogue::Plan::Planning.new(cascade:, question: @opened.question,
                                                 ability: source.ability,
                                                 evaluator: @context.evaluator).call
            texts.empty? ? plan : plan.edited(texts)
          end

          # The search as text to copy: Hash of its name to the text, in CQL and in plain Boolean.
          def texts
            inquiry = @opened.inquiry
            limits = inquiry.limits.select(&:on).map(&:leaf)
            cql = inquiry.tree ? Strategy::Cql.write(inquiry.with(included_ids: []).tree) : ""
            { plain: Catalogue::PlainBoolean.new(blocks: inquiry.ordered_blocks, limits:).call, cql: }
          end

          # Array of Given, in the order in which they were asked.
          def given = @opened.inquiry.elsewhere.map { |search| one(search) }

          private

          def cascade
            return @opened.cascade unless @crossed_out

            inquiry = @opened.inquiry
            inquiry.with(blocks: inquiry.blocks.map(&:restored)).cascade(@context.evaluator)
          end

          def one(search)
            import = import(search)
            numbers = import ? @context.library.imports.numbers(import.id) : []
            set = Records::RecordSet.of(numbers) & @context.evaluator.index.everything
            doubles = @context.library.duplicates.twins(set)
            Given.new(search:, import:, given: set.size, found: set.overlap(@opened.cascade.final),
                      doubles: doubles.size,
                      only: set.size - doubles.size)
          end

          # One that was taken back is still told of; one of another library is not.
          def import(search)
            search.import_id && @context.library.imports.find(search.import_id)
          rescue GoneError
            nil
          end
        end

        # Asks another catalogue the search of an inquiry, and brings records in from there.
        class Ask
          # Seconds in which lines are asked for, one after the other, beside the whole.
          SECONDS = 5
          # Seconds after which no further catalogue is asked again.
          LONG = 7
          MOST = 5_000
          private_constant :SECONDS, :LONG

          # seen :: the version that the person looked at, or nil; fetch :: Outside::Fetch
          def initialize(context, seen: nil, fetch: Outside::Fetch.for_page(context.allowed))
            @context = context
            @seen = seen
            @fetch = fetch
          end

          # texts :: Hash of the number of a line to its text, as a person changed them; crossed_out :: see
          #   ReadElsewhere. Gives an
          #   ApplyEdit::Outcome. Raises InputError (:query), Outside::Fetch::NoAnswer, GoneError.
          def ask(id, source_id, texts, crossed_out: false)
            source = @context.library.sources.find(source_id)
            refuse(Book.t("errors.catalogues.harvested_only")) unless source.sru?
            opened = Inquiries::Read.new(@context).call(id)
            plan = Read.new(@context, opened, crossed_out:).plan(source, texts:)
            write(id, asked(source, plan.lines, plan.query))
          end

          # Asks every catalogue that was asked before what it was asked then, as long as there is time.
          #   Gives an ApplyEdit::Outcome, and Hash of the name of each that did not answer to why.
          def again(id)
            troubles = {}
            outcome = nil
            ends = now + LONG
            Inquiries::Read.new(@context).call(id).inquiry.elsewhere.each do |before|
              outcome = write(id, once_more(before, ends))
            rescue Outside::Fetch::NoAnswer, GoneError, InputError => e
              troubles[before.source] = e.is_a?(InputError) ? e.errors.values.join(" ") : e.message
            end
            [outcome, troubles]
          end

          # Brings the records in that the catalogue was asked for, the first of them or all. most ::
          #   Integer. Raises InputError (:most), GoneError.
          def bring(id, source_id, most)
            source = @context.library.sources.find(source_id)
            asked = Inquiries::Read.new(@context).call(id).inquiry.elsewhere.find do |search|
              search.source == source.name
            end
            raise GoneError, "catalogue" unless asked
            raise InputError, { most: Book.t("errors.catalogues.number", most: MOST) } unless most.is_a?(Integer) && most.between?(1, MOST)

            import = waiting(source, asked, most)
            outcome = ApplyEdit.new(@context, seen: @seen).call(id,
                                                                Edits::OtherCatalogues::BringIn.new(
                                                                  source: source.name,
                                                                  import_id: import.id, most:
                                                                ))
            Imports::WakeWorker.new(@context).call
            outcome
          end

          private

          def write(id, search)
            ApplyEdit.new(@context, seen: @seen).call(id, Edits::OtherCatalogues::RecordSearch.new(search:))
          end

          def waiting(source, asked, most)
            size = [most, asked.count].min
            @context.library.imports.begin(name: source.name, size:, at: @context.clock.now,
                                           state: "waiting",
                                           sample: source.stand_in, format: source.format,
                                           source_id: source.id, query: asked.query, most: size)
          end

          # The whole first, since its number is what matters; then the lines, as far as there is time.
          def asked(source, lines, query)
            refuse(Book.t("errors.catalogues.nothing_left")) if query.empty?
            FieldLengths.check(:catalogue_query, query, at: :query)

            sru = Outside::Sources::Sru.new(@fetch, source.address, version: source.version)
            count = sru.count(query)
            Narrowing::State::ExternalSearch.new(source: source.name, address: source.address,
                                                 protocol: "SRU #{source.version}", query:, count:,
                                                 lines: counted(sru, lines), on: @context.clock.today.iso8601,
                                                 import_id: nil)
          end

          def counted(sru, lines)
            ends = now + SECONDS
            lines[0...-1].map do |line|
              count = count(sru, line.there) unless line.there.empty? || now > ends
              Narrowing::State::ExternalSearch::Line.new(name: line.name, text: line.there, count:,
                                                         by_hand: line.by_hand?)
            end
          end

          # A line that it cannot answer is left without a number.
          def count(sru, text)
            sru.count(text)
          rescue Outside::Fetch::NoAnswer
            nil
          end

          def once_more(before, ends)
            refuse(Book.t("errors.catalogues.not_searched")) if now > ends

            source = @context.library.sources.named(before.source) or raise GoneError, "catalogue"
            sru = Outside::Sources::Sru.new(@fetch, source.address, version: source.version)
            before.with(count: sru.count(before.query), on: @context.clock.today.iso8601)
          end

          def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          def refuse(words) = raise(InputError, { query: words })
        end
      end
    end
  end
end
