# frozen_string_literal: true

module Hobrin
  module Services
    module Act
      # The brief as a file: to read, to print, to write on, or as tables.
      class Export
        FONTS = File.expand_path("../../config/fonts", __dir__)
        FACES = { normal: "AtkinsonHyperlegible_400Regular.ttf", bold: "AtkinsonHyperlegible_700Bold.ttf",
                  italic: "AtkinsonHyperlegible_400Regular_Italic.ttf", other: "DejaVuSansCondensed.ttf" }
                .transform_values { |file| File.join(FONTS, file) }.freeze
        WRITERS = { "html" => Exchange::Report::Writers::Html, "md" => Exchange::Report::Writers::Markdown,
                    "docx" => Exchange::Report::Writers::Docx }.freeze
        TABLES = %w[findings papers measures].freeze
        private_constant :FONTS, :FACES, :WRITERS

        # name :: "brief" or "ward" for a report, one of TABLES for a table. ending :: "pdf", "html",
        #   "md", "docx", "xlsx" and "fhir.json" of "brief"; "pdf" of "ward"; "ics" of "days";
        #   "csv" of a table
        # The rest :: see ReadMaterial.
        # The block, if any, is told how many references are written, and of how many.
        def initialize(context, **materials, &)
          @context = context
          @materials = ReadMaterial.new(context, **materials, all_cited: true, &)
        end

        # Whether there is such a file.
        def makes?(name, ending)
          case name
          when "brief" then WRITERS.key?(ending) || %w[pdf xlsx fhir.json].include?(ending)
          when "ward" then ending == "pdf"
          when "days" then ending == "ics"
          else TABLES.include?(name) && ending == "csv"
          end
        end

        # opened :: OpenInquiry. Gives a Download. Raises GoneError for a file that there is not.
        def call(opened, name, ending)
          return calendar(opened) if name == "days" && ending == "ics"

          material = @materials.call(opened)
          return table(material, opened, name) if TABLES.include?(name) && ending == "csv"
          return workbook(material, opened) if name == "brief" && ending == "xlsx"
          return bundle(material, opened) if name == "brief" && ending == "fhir.json"

          written(Exchange::Report::Compose.call(material), opened.id, name, ending)
        end

        # report :: Exchange::Report, as one that was signed. The rest :: as for `call`.
        def written(report, id, name, ending)
          return pdf(report, id, name) if ending == "pdf" && %w[brief ward].include?(name)

          writer = name == "brief" && WRITERS[ending] or raise GoneError, "format"
          Download.new(name: "hobrin-#{id}-brief.#{ending}", type: writer::TYPE,
                       body: writer.call(report))
        end

        private

        def pdf(report, id, name)
          body = Exchange::Report::Writers::Pdf.new(FACES).call(report, ward: name == "ward")
          Download.new(name: "hobrin-#{id}-#{name}.pdf", type: Exchange::Report::Writers::Pdf::TYPE,
                       body:)
        end

        def table(material, opened, name)
          sheet = Exchange::Tables::OfBrief.new(material).call.fetch(name)
          Download.new(name: "hobrin-#{opened.id}-#{name}.csv", type: Exchange::Tables::Csv::TYPE,
                       body: Exchange::Tables::Csv.call(sheet, sample: material.sample))
        end

        def calendar(opened)
          body = Exchange::Calendar.write(opened.inquiry,
                                          made: @context.clock.today) or raise GoneError, "days"
          Download.new(name: "hobrin-#{opened.id}-days.ics", type: Exchange::Calendar::TYPE, body:)
        end

        def bundle(material, opened)
          Download.new(name: "hobrin-#{opened.id}-brief.fhir.json", type: Exchange::Fhir::TYPE,
                       body: Exchange::Fhir.write(material))
        end

        def workbook(material, opened)
          sheets = Exchange::Tables::OfBrief.new(material).call.values
          body = Exchange::Tables::Xlsx.call(sheets, made: @context.clock.today, sample: material.sample)
          Download.new(name: "hobrin-#{opened.id}-tables.xlsx", type: Exchange::Tables::Xlsx::TYPE, body:)
        end
      end
    end
  end
end
