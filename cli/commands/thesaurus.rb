# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin thesaurus import and export
      module Thesaurus
        # hobrin thesaurus import FILE
        class Import < Command
          SUMMARY = "Replaces the headings of the library by those of a SKOS file"
          USAGE = "FILE [OPTIONS]"
          EXAMPLES = ["hobrin thesaurus import headings.ttl",
                      "hobrin thesaurus import headings.rdf"].freeze
          MOST_SHOWN = 20
          private_constant :MOST_SHOWN

          private

          def run(file)
            bar = Progress.new(::File.basename(file), total: nil, err: @err)
            service = Services::Imports::ImportThesaurus.new(context)
            outcome = ::File.open(file, "rb") do |io|
              service.skos(io, name: ::File.basename(file)) { |count| bar.at(count) }
            end
            bar.finish
            outcome.warnings.first(MOST_SHOWN).each { |warning| @err.puts warning }
            @err.puts "And #{outcome.warnings.size - MOST_SHOWN} more." if outcome.warnings.size > MOST_SHOWN
            @out.puts "#{outcome.headings} headings."
          end
        end

        # hobrin thesaurus export FILE
        class Export < Command
          SUMMARY = "Writes the headings of the library as SKOS (Turtle)"
          USAGE = "FILE [OPTIONS]"
          EXAMPLES = ["hobrin thesaurus export headings.ttl"].freeze

          private

          def run(file)
            raise StateError, "#{file} is there already; it is left as it is." if ::File.exist?(file)

            thesaurus = context.library.thesaurus
            ::File.open(file, "w") { |io| Exchange::Skos::Writer.new.call(thesaurus, io, sample: context.library.sample?) }
            @out.puts "#{thesaurus.headings.size} headings in #{file}."
          end
        end
      end
    end
  end
end
