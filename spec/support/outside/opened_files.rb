# frozen_string_literal: true

require "docx"
require "open3"
require "roo"
require "zip"

# Files as other programs read them: poppler for PDF, the docx and roo gems for what office programs
# write, Nokogiri for HTML. None of them shares code with what writes the files.
module OpenedFiles
  class << self
    def pdf(bytes) = run("pdftotext", "-layout", "-", "-", bytes)

    def pages(bytes)
      run("pdfinfo", "-", bytes)[/^Pages:\s+(\d+)/, 1].to_i
    end

    def html(text) = Nokogiri::HTML(text).at_css("body").xpath(".//text()").map(&:text).join(" ")

    # Each part of it is well-formed, too.
    def docx(bytes)
      well_formed(bytes)
      document = Docx::Document.open(StringIO.new(bytes))
      [*document.paragraphs.map(&:to_s), *document.tables.flat_map do |table|
        table.rows.flat_map do |row|
          row.cells.map(&:to_s)
        end
      end].join("\n")
    end

    # Hash of the name of a sheet to its rows.
    def xlsx(bytes)
      well_formed(bytes)
      book = Roo::Excelx.new(StringIO.new(bytes))
      book.sheets.to_h { |name| [name, book.sheet(name).to_a] }
    end

    # What fhir_models finds wrong in each of several bundles of FHIR R5 and in their resources: for
    # each an Array of Hashes, empty where nothing is.
    def fhir(texts)
      JSON.parse(run("bundle", "exec", RbConfig.ruby, File.expand_path("../../outside/validate_fhir.rb", __dir__),
                     JSON.generate(texts)))
    end

    # What a QR code on the first page of a PDF says, by jsQR.
    def code(bytes)
      picture = run("pdftoppm", "-r", "150", "-f", "1", "-l", "1", "-", bytes, binmode: true)
      out, err, status = Open3.capture3("node", File.expand_path("read_qr.mjs", __dir__), stdin_data: picture,
                                                                                          binmode: true)
      raise err unless status.success?

      out
    end

    private

    def run(*command, bytes, binmode: true)
      out, err, status = Open3.capture3(*command, stdin_data: bytes, binmode:)
      raise err unless status.success?

      binmode && command.first == "pdftoppm" ? out : out.force_encoding(Encoding::UTF_8)
    end

    def well_formed(bytes)
      Zip::File.open_buffer(StringIO.new(bytes)) do |zip|
        zip.glob("**/*.{xml,rels}").each { |entry| Nokogiri::XML(entry.get_input_stream.read, &:strict) }
      end
    end
  end
end
