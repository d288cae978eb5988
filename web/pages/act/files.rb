# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Act
        # Everything that can be taken away from Act as a file.
        module Files
          # What it is for, and [address after "files/", name] of each.
          REPORTS = {
            "One page for the ward" => [%w[ward.pdf PDF]],
            "The whole brief" => [%w[brief.pdf PDF], %w[brief.docx Word], %w[brief.html HTML],
                                  %w[brief.md Markdown]],
            "The tables" => [%w[brief.xlsx Excel], ["findings.csv", "findings as CSV"],
                             ["papers.csv", "papers as CSV"], ["measures.csv", "measures as CSV"]],
            "For other programs" => [["brief.fhir.json", "FHIR R5"]]
          }.freeze
          PAPERS = [%w[evidence.ris RIS], %w[evidence.bib BibTeX],
                    %w[evidence.json CSL-JSON]].freeze
          WHOLE = "The whole inquiry, to be checked or opened elsewhere"
          private_constant :REPORTS, :PAPERS, :WHOLE

          # page :: Act. Gives [what it is for, Array of [path, name]].
          def self.of(page)
            reports = REPORTS.transform_values do |files|
              files.map { |file, words| [page.path("files/#{file}", style: page.style), words] }
            end
            papers = PAPERS.map { |file, words| [page.path(file), words] }
            [*reports, ["The papers", papers], [WHOLE, archives(page)]]
          end

          # What led to the question may tell of a patient: it goes along only where that is chosen.
          def self.archives(page)
            [[page.path("archive.json"), "Archive"],
             [page.path("archive.json", situation: "yes"), "Archive with the situation"]]
          end
          private_class_method :archives
        end
      end
    end
  end
end
