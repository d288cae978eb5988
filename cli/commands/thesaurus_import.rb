# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin thesaurus import FILE
      class ThesaurusImport < Command
        SUMMARY = "Replaces the headings of the library by those of a SKOS file"
        USAGE = "FILE [OPTIONS]"
        EXAMPLES = ["hobrin thesaurus import headings.ttl",
                    "hobrin thesaurus import headings.rdf"].freeze
        MOST_SHOWN = 20
        private_constant :MOST_SHOWN

        private

        def run(file)
          bar = Progress.new(::File.basename(file), total: nil, err: @err)
          service = Services::ImportThesaurus.new(context)
          outcome = ::File.open(file, "rb") do |io|
            service.skos(io, name: ::File.basename(file)) { |count| bar.at(count) }
          end
          bar.finish
          outcome.warnings.first(MOST_SHOWN).each { |warning| @err.puts warning }
          @err.puts "And #{outcome.warnings.size - MOST_SHOWN} more." if outcome.warnings.size > MOST_SHOWN
          @out.puts "#{outcome.headings} headings."
        end
      end
    end
  end
end
