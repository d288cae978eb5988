# frozen_string_literal: true

module Hobrin
  module Services
    module Catalogues
      # Answers who harvests this library over OAI-PMH: all records in the order in which they came,
      # and those that went. Nothing is remembered between two answers.
      class AnswerOai < Service
        PART = 200
        PREFIX = "oai:hobrin:"
        KNOWN = { "Identify" => [], "ListMetadataFormats" => %w[identifier],
                  "ListSets" => %w[resumptionToken],
                  "ListIdentifiers" => %w[metadataPrefix from until resumptionToken set],
                  "ListRecords" => %w[metadataPrefix from until resumptionToken set],
                  "GetRecord" => %w[identifier metadataPrefix] }.freeze
        DAY = /\A\d{4}-\d\d-\d\d(?:T\d\d:\d\d:\d\dZ)?\z/
        private_constant :PART, :PREFIX, :KNOWN, :DAY

        # What is wrong with a request, by the codes of the protocol.
        class Wrong < StandardError
          attr_reader :code

          def initialize(code, words)
            @code = code
            super(words)
          end
        end
        private_constant :Wrong

        # params :: Hash of String to String; address :: of this provider. Gives XML.
        def call(params, address:)
          writer = Catalogue::Oai::Writer.new(at: @context.clock.now, address:, asked: params)
          check(params)
          @writer = writer
          writer.answer(inside(params, address))
        rescue Wrong => e
          writer.error(e.code, e.message)
        end

        private

        def x = Exchange::Xml

        def check(params)
          known = KNOWN.fetch(params["verb"].to_s) do
            wrong("badVerb", "Verbs are #{KNOWN.keys.join(", ")}.")
          end
          strange = params.keys - ["verb", *known]
          wrong("badArgument", "#{strange.first} is not known here.") if strange.any?
          alone = params.key?("resumptionToken") && params.size > 2
          wrong("badArgument", "A resumptionToken stands alone.") if alone
          wrong("noSetHierarchy", "There are no sets here.") if params.key?("set") || params["verb"] == "ListSets"
        end

        def inside(params, address)
          case params["verb"]
          when "Identify" then identify(address)
          when "ListMetadataFormats" then formats(params["identifier"])
          when "GetRecord" then record(entry(params["identifier"]),
                                       prefix(params["metadataPrefix"]))
          else list(token(params), params["verb"] == "ListRecords")
          end
        end

        def identify(address)
          { repositoryName: AnswerSru::ABILITY.title, baseURL: address, protocolVersion: "2.0",
            adminEmail: "nobody@example.invalid",
            earliestDatestamp: @context.library.harvest.earliest, deletedRecord: "persistent",
            granularity: "YYYY-MM-DDThh:mm:ssZ" }.map { |name, value| x.value(name, value) }.join
        end

        def formats(identifier)
          entry(identifier) if identifier
          Catalogue::Oai::Writer::FORMATS.map do |prefix, (_, schema, namespace)|
            x.tag("metadataFormat", x.value("metadataPrefix", prefix) + x.value("schema", schema) +
                                    x.value("metadataNamespace", namespace))
          end.join
        end

        def token(params)
          if params.key?("resumptionToken")
            token = Catalogue::Oai::Token.read(params["resumptionToken"]) or wrong(
              "badResumptionToken", "This token was not given out here."
            )
            return token.with(prefix: prefix(token.prefix))
          end

          from, till = params.values_at("from", "until")
          [from, till].compact.each do |day|
            wrong("badArgument", "Write a day as 2026-11-27.") unless day.match?(DAY) && day?(day)
          end
          wrong("badArgument", "from and until are not equally exact.") if from && till && from.size != till.size
          Catalogue::Oai::Token.new(prefix: prefix(params["metadataPrefix"]), from:,
                                    till: till && (till.size == 10 ? "#{till}T23:59:59Z" : till),
                                    after: 0)
        end

        def day?(text) = Date.valid_date?(*text[0, 10].split("-").map(&:to_i))

        def prefix(given)
          wrong("badArgument", "metadataPrefix is missing.") if given.to_s.empty?
          if Catalogue::Oai::Writer::FORMATS.key?(given)
            given
          else
            wrong("cannotDisseminateFormat", "There is no format #{given} here.")
          end
        end

        def entry(identifier)
          wrong("badArgument", "identifier is missing.") if identifier.to_s.empty?
          found = identifier.start_with?(PREFIX) && @context.library.harvest.find(identifier.delete_prefix(PREFIX))
          found || wrong("idDoesNotExist", "There is no record #{identifier} here.")
        end

        # A record may have gone since its entry was read.
        def record(entry, prefix)
          record = @context.library.record(entry.id) unless entry.gone
          return @writer.deleted(PREFIX + entry.id, entry.at) unless record

          @writer.record(record, identifier: PREFIX + entry.id, stamp: entry.at, prefix:,
                                 sample: @context.snapshot.sample?)
        end

        def list(token, whole)
          found = @context.library.harvest.entries(after: token.after, limit: PART + 1,
                                                   from: token.from, till: token.till)
          wrong("noRecordsMatch", "There is nothing in this span.") if found.empty?
          given = found.first(PART)
          items = given.map do |entry|
            whole ? record(entry, token.prefix) : @writer.header(PREFIX + entry.id, entry.at, deleted: entry.gone)
          end
          items.join + following(token, given.last, found.size > PART)
        end

        # The last part of several ends with an empty token.
        def following(token, last, more)
          return x.tag("resumptionToken", x.text(token.with(after: last.number))) if more

          token.after.zero? ? "" : x.tag("resumptionToken", "")
        end

        def wrong(code, words) = raise(Wrong.new(code, words))
      end
    end
  end
end
