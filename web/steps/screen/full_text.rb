# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Screen
        # Where the full text may be had, and how the paper is cited.
        class FullText
          # A way to the full text: note :: what is said of it
          class Link < Value
            attributes :name, :address, :note
          end

          # The citation of the paper, in the style that was chosen.
          attr_reader :citation

          # page :: Page; record :: Records::Record; context :: Services::Context
          def initialize(page, record, context)
            @page = page
            @record = record
            @citation = Exchange::Citation.of(record, style)
            @state = Services::Screen::FullText.new(context).state(record.id)
            freeze
          end

          # The likeliest to be free first. Only web addresses become links.
          def links
            free = @record.flags.include?(Records::Flags::FREE)
            own = @record.links.grep(%r{\Ahttps?://}).map do |address|
              Link.new(name: host(address), address:, note: "a link of the record")
            end
            doi = @record.doi && Link.new(name: "DOI #{@record.doi}", address: "https://doi.org/#{doi_path}",
                                          note: free ? "its source says that it is free" : "may ask for money")
            [*own, *doi, *resolved].sort_by.with_index do |link, place|
              [link.note.include?("free") ? 0 : 1, place]
            end
          end

          def resolver = @page.typed_or(:resolver, @state.resolver)

          # A letter to the first author.
          def request
            author = @record.authors.first
            ["Dear #{author ? "#{author.given} #{author.family}".strip : "author"},", "",
             "we are looking for an answer to this question: #{@page.question.text}",
             "Your paper may help, and we cannot reach its full text:", "", citation, "",
             "Could you send us a copy? It would be read by our team only.", "", "With thanks"].join("\n")
          end

          def styles
            Exchange::Citation::STYLES.map { |key, (name, _)| [key, name, key == style] }
          end

          def style
            Exchange::Citation::STYLES.key?(@page.fields.text(:style)) ? @page.fields.text(:style) : "vancouver"
          end

          # Where this stands.
          def path = @page.path(:sift, paper: @record.id, show: "full")

          # Whether a PDF waits to be read; whether one is kept.
          def waiting? = @state.waiting
          def kept? = @state.kept

          # Why the last PDF was not kept, or nil.
          def refused = @state.refused

          # Whether who is here changes what all inquiries share.
          def keeps? = @state.keeps

          # For whom a PDF would be kept.
          def kept_for = keeps? ? "For everybody." : "For your ward; a librarian keeps one for everybody."

          def download = @page.path("full-text", paper: @record.id)

          # What a form has that carries a file.
          def with_file
            { enctype: "multipart/form-data", "hx-encoding": "multipart/form-data" }
          end

          private

          def resolved
            return if @state.resolver.empty?

            address = Exchange::OpenUrl.of(@state.resolver, @record)
            Link.new(name: "Our library's link resolver", address:, note: "what our library has")
          end

          def doi_path
            @record.doi.split("/").map { |part| URI.encode_www_form_component(part) }.join("/")
          end

          def host(address) = address[%r{\Ahttps?://([^/?#]+)}, 1]
        end
      end
    end
  end
end
