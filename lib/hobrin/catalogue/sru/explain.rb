# frozen_string_literal: true

module Hobrin
  module Catalogue
    module Sru
      # The explain record of a catalogue (ZeeRex 2.0), read and written.
      module Explain
        NAMESPACE = "http://explain.z3950.org/dtd/2.0/"
        SETS = { "cql" => "info:srw/cql-context-set/1/cql-v1.2",
                 "dc" => "info:srw/cql-context-set/1/dc-v1.1",
                 "hobrin" => "hobrin" }.freeze
        FORMATS = [Exchange::DublinCore, Exchange::Mods, Exchange::Marcxml].freeze
        private_constant :NAMESPACE, :SETS, :FORMATS

        class << self
          # text :: an answer to explain, or the record alone. Gives an Ability. Raises InputError
          #   (:file) when there is no explain record in it.
          def read(text)
            root = Exchange::Xml.root(text)
            record = root.at_xpath("//explain[serverInfo or indexInfo or databaseInfo]")
            raise InputError, { file: Book.t("catalogue.errors.no_explain") } unless record

            Ability.new(title: said(record, "databaseInfo/title"), version: version(record),
                        about: said(record, "databaseInfo/description"), schemas: schemas(record),
                        indexes: indexes(record), most: most(record), **supported(record))
          end

          # ability :: Ability; host, port, path :: where it answers. Gives the record as XML.
          def write(ability, host:, port:, path:)
            x = Exchange::Xml
            server = x.value("host", host) + x.value("port", port) + x.value("database", path)
            database = x.value("title", ability.title) + x.value("description", ability.about)
            parts = [x.tag("serverInfo", server, protocol: "SRU", version: ability.version,
                                                 transport: "http", method: "GET"),
                     x.tag("databaseInfo", database), index_info(ability), schema_info(ability),
                     config(ability)]
            x.tag("explain", parts.join, xmlns: NAMESPACE)
          end

          private

          def said(node, path) = Exchange::Xml.said(node, "./#{path}").to_s
          def of(every, type) = every.select { |one, _| one == type }.map(&:last).uniq

          def supports(node)
            found = Hash.new { [] }
            node&.xpath("./supports")&.each { |support| found[support["type"]] += [support.text.strip] }
            found
          end

          def version(record)
            record.at_xpath("./serverInfo")&.[]("version").to_s.start_with?("2") ? "2.0" : "1.2"
          end

          def most(record)
            said(record, "configInfo/setting[@type='maximumRecords']")[/\A\d+\z/]&.to_i
          end

          def supported(record)
            every = record.xpath(".//configInfo/supports").map do |one|
              [one["type"], one.text.strip]
            end
            { modifiers: of(every, "relationModifier"),
              masks: of(every, "maskingCharacter") & %w[* ?],
              near: every.any? { |type, _| type == "proximity" } }
          end

          def indexes(record)
            common = supports(record.at_xpath("./configInfo"))["relation"]
            record.xpath("./indexInfo/index").flat_map do |index|
              own = supports(index.at_xpath("./configInfo"))["relation"]
              index.xpath("./map/name[@set]").map do |name|
                ["#{name["set"]}.#{name.text.strip}".downcase, own | common]
              end
            end.to_h
          end

          # By its identifier where the short name is the catalogue's own.
          def schemas(record)
            record.xpath("./schemaInfo/schema").filter_map do |schema|
              short, id = schema["name"].to_s.downcase, schema["identifier"].to_s.downcase
              Catalogue::FORMATS.keys.find { |name| short == name || id.match?(%r{/#{name}(?:-schema|-v|xml-v|$)}) }
            end.uniq
          end

          def index_info(ability)
            x = Exchange::Xml
            sets = SETS.map { |name, identifier| x.tag("set", "", name:, identifier:) }
            indexes = ability.indexes.map do |name, relations|
              set, own = name.split(".", 2)
              can = relations.map { |relation| x.value("supports", relation, type: "relation") }.join
              parts = [x.value("title", own), x.tag("map", x.value("name", own, set:)),
                       *(x.tag("configInfo", can) unless can.empty?)]
              x.tag("index", parts.join, search: true, scan: true)
            end
            x.tag("indexInfo", (sets + indexes).join)
          end

          def schema_info(ability)
            schemas = FORMATS.select { |format| ability.schemas.include?(format::SCHEMA) }.map do |format|
              Exchange::Xml.tag("schema", Exchange::Xml.value("title", format::NAME),
                                name: format::SCHEMA,
                                identifier: format::SCHEMA_URI)
            end
            Exchange::Xml.tag("schemaInfo", schemas.join)
          end

          def config(ability)
            x = Exchange::Xml
            said = [*ability.modifiers.map { |modifier| x.value("supports", modifier, type: "relationModifier") },
                    *ability.masks.map do |mask|
                      x.value("supports", mask,
                              type: "maskingCharacter")
                    end,
                    *(x.tag("supports", "", type: "proximity") if ability.near),
                    x.value("setting", ability.most, type: "maximumRecords")]
            x.tag("configInfo", said.join)
          end
        end
      end
    end
  end
end
