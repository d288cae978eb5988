# frozen_string_literal: true

module Hobrin
  module Services
    module Imports
      # Brings a thesaurus in and takes it into use; those that came before stay beside it.
      class ImportThesaurus < Service
        # headings :: how many; warnings :: Array of String
        class Outcome < Value
          attributes :headings, :warnings
        end

        SAMPLE_BYTES = 4_096
        MOST_SAID = 20
        private_constant :SAMPLE_BYTES, :MOST_SAID

        # headings :: Array of Thesaurus::Heading; name :: of what they are in. Raises InputError
        #   naming what does not hang together.
        def call(headings, name: Book.t("errors.imports.thesaurus_name"))
          thesaurus = Thesaurus.new(headings)
          write(thesaurus, name)
          Outcome.new(headings: thesaurus.headings.size, warnings: [])
        end

        # io :: a SKOS file as Turtle, N-Triples or RDF/XML. The block is told how many statements were read.
        # Raises InputError (:file), saying where, when it cannot be read or does not hang together;
        # the library then keeps the headings it has.
        def skos(io, name: Book.t("errors.imports.thesaurus_name"), &told)
          format = Exchange::Skos.detect(io.read(SAMPLE_BYTES).to_s)
          io.rewind
          raise InputError, { file: Book.t("errors.imports.not_skos") } unless format

          result = Exchange::Skos::Reader.new.call(io, format:, &told)
          raise InputError, { file: Book.t("errors.imports.no_headings") } if result.headings.empty?

          refuse(result.errors) if result.errors.any?
          write(Thesaurus.new(result.headings, checked: true), name)
          Outcome.new(headings: result.headings.size, warnings: result.warnings)
        end

        # Takes one that is here into use. Raises GoneError.
        def use(id) = @context.library.use_thesaurus(id)

        private

        def write(thesaurus, name)
          @context.library.write_thesaurus(thesaurus, name:, at: @context.clock.now)
        end

        def refuse(errors)
          more = errors.size > MOST_SAID ? "\nAnd #{errors.size - MOST_SAID} more." : ""
          raise InputError, { file: errors.first(MOST_SAID).join("\n") + more }
        end
      end
    end
  end
end
