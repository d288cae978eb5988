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
              Link.new(name: host(address), address:, note: Book.t("screen.full_text.record_link"))
            end
            doi = @record.doi && Link.new(name: Book.t("screen.full_text.doi", doi: @record.doi), address: "https://doi.org/#{doi_path}",
                                          note: free ? Book.t("screen.full_text.free") : Book.t("screen.full_text.may_cost"))
            [*own, *doi, *resolved].sort_by.with_index do |link, place|
              [link.note.include?("free") ? 0 : 1, place]
            end
          end

          def resolver = @page.typed_or(:resolver, @state.resolver)

          # A letter to the first author.
          def request
            author = @record.authors.first
            name = author ? "#{author.given} #{author.family}".strip : Book.t("screen.full_text.author")
            Book.t("screen.full_text.request_letter", name:, question: @page.question.text, citation:)
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
          def kept_for = keeps? ? Book.t("screen.full_text.for_all") : Book.t("screen.full_text.for_ward")

          def download = @page.path("full-text", paper: @record.id)

          # What a form has that carries a file.
          def with_file
            { enctype: "multipart/form-data", "hx-encoding": "multipart/form-data" }
          end

          private

          def resolved
            return if @state.resolver.empty?

            address = Exchange::OpenUrl.of(@state.resolver, @record)
            Link.new(name: Book.t("screen.full_text.resolver"), address:, note: Book.t("screen.full_text.resolver_hint"))
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
