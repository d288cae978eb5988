# frozen_string_literal: true

module Hobrin
  module Catalogue
    module Sru
      # What a client asks of us: its parameters, checked.
      #
      # version :: "1.2" or "2.0"; operation :: :explain, :search or :scan; query :: CQL; from, most
      #   :: place of the first record and how many; schema :: the module of a format; packed ::
      #   whether records come as text
      class Question < Value
        attributes :version, :operation, :query, :from, :most, :schema, :packed

        OPERATIONS = { "explain" => :explain, "searchRetrieve" => :search,
                       "scan" => :scan }.freeze
        SCHEMAS = [Exchange::DublinCore, Exchange::Mods, Exchange::Marcxml].freeze
        DEFAULT_MOST = 10
        # What says where to begin, and how much to give.
        SEARCHING = %w[startRecord maximumRecords].freeze
        SCANNING = %w[responsePosition maximumTerms].freeze
        private_constant :SEARCHING, :SCANNING, :OPERATIONS, :SCHEMAS, :DEFAULT_MOST

        class << self
          # params :: Hash of String to String. Raises Diagnostic::Told.
          def read(params)
            version = version(params)
            operation = operation(params)
            from, most = operation == :scan ? SCANNING : SEARCHING
            new(version:, operation:, query: query(params, operation), packed: packed(params),
                schema: schema(params), from: number(params, from, 1), most: number(params, most, DEFAULT_MOST))
          end

          # The version that an answer is to be in, whatever else is wrong. Version 2.0 names
          # neither itself nor, for the most part, an operation.
          def version_of(params)
            given = params["version"].to_s
            return given == "2.0" ? "2.0" : "1.2" unless given.empty?

            newer = params.keys.intersect?(%w[queryType recordXMLEscaping]) || !params.key?("operation")
            newer ? "2.0" : "1.2"
          end

          private

          def version(params)
            given = params["version"].to_s
            Diagnostic.tell(5, "1.2") unless ["", "1.1", "1.2", "2.0"].include?(given)
            version_of(params)
          end

          def operation(params)
            given = params["operation"].to_s
            return meant(params) if given.empty?

            OPERATIONS.fetch(given) { Diagnostic.tell(4, given) }
          end

          def meant(params)
            { "query" => :search, "scanClause" => :scan }.find { |name, _| params.key?(name) }&.last || :explain
          end

          def query(params, operation)
            return if operation == :explain

            name = operation == :scan ? "scanClause" : "query"
            Diagnostic.tell(6, "queryType") unless ["", "cql"].include?(params["queryType"].to_s)
            text = params[name].to_s
            text.strip.empty? ? Diagnostic.tell(7, name) : text
          end

          def number(params, name, otherwise)
            given = params[name].to_s
            return otherwise if given.empty?

            given.match?(/\A\d{1,9}\z/) ? given.to_i : Diagnostic.tell(6, name)
          end

          def schema(params)
            given = params["recordSchema"].to_s
            return SCHEMAS.first if given.empty?

            found = SCHEMAS.find { |schema| [schema::SCHEMA, schema::SCHEMA_URI].include?(given) }
            found || Diagnostic.tell(66, given)
          end

          def packed(params)
            given = (params["recordXMLEscaping"] || params["recordPacking"]).to_s
            %w[xml string].include?(given) || given.empty? ? given == "string" : Diagnostic.tell(71, given)
          end
        end
      end
    end
  end
end
